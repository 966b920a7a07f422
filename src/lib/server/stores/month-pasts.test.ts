import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { loadDemo } from '../shelf/demo';
import { mostPasts } from './month-pasts';
import type { MonthRecord } from './month-row';
import { openStore, type Store } from '../shelf/store';

let store: Store;
let month: MonthRecord;
beforeEach(async () => {
	vi.useFakeTimers({ toFake: ['Date'], now: Date.UTC(2027, 3, 28, 20) });
	store = await openStore(':memory:');
	await loadDemo(store);
	const entry = (await store.months.all()).at(-1);
	const found = await store.months.find(entry?.id ?? '');
	if (!found) throw new Error('no month');
	month = found;
});
afterEach(() => {
	vi.useRealTimers();
	store.close();
});

const seconds = (count: number) => vi.setSystemTime(Date.now() + count * 1000);
const pasts = () => store.pasts.of(month.id);

/** Writes the month with so many of its wishes. */
async function keepOnly(wishes: number): Promise<void> {
	const { id, revision, deleted: _, ...content } = month;
	const done = await store.months.update(id, revision, {
		...content,
		wishes: content.wishes.slice(0, wishes)
	});
	if (done.outcome !== 'written') throw new Error(done.outcome);
	month = done.record;
}

test('what a month was is kept with when it was left, but not each letter that was typed', async () => {
	const { id: _, revision, deleted: __, ...before } = month;
	await keepOnly(5);
	seconds(20);
	await keepOnly(4);
	seconds(30);
	await keepOnly(3);
	expect((await pasts()).map(({ month }) => month)).toEqual([before]);
	seconds(60);
	await keepOnly(2);
	const all = await pasts();
	expect(all.map(({ month }) => month.wishes.length)).toEqual([3, before.wishes.length]);
	expect(all.map(({ leftAt }) => leftAt)).toEqual([
		'2027-04-28T20:01:50.000Z',
		'2027-04-28T20:00:00.000Z'
	]);
	expect(all.at(-1)?.revision).toBe(revision);
});

test('only the last hundred stay, and those of other months are theirs', async () => {
	for (let count = 0; count < mostPasts + 5; count++) {
		await keepOnly(2 + (count % 3));
		seconds(61);
	}
	const revisions = (await pasts()).map(({ revision }) => revision);
	expect(revisions).toHaveLength(mostPasts);
	expect(revisions[0]).toBe(month.revision - 1);
	const [first] = await store.months.all();
	expect(await store.pasts.of(first?.id ?? '')).toEqual([]);
});

test('a write that is refused leaves nothing behind', async () => {
	const { id, revision, deleted: _, ...content } = month;
	const refused = await store.months.update(id, revision - 1, { ...content, wishes: [] });
	expect(refused.outcome).toBe('conflict');
	expect(await pasts()).toEqual([]);
});
