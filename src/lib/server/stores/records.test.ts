import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { changesSchema, checked } from '$lib/core/formats';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { loadDemo } from '../shelf/demo';
import { openStore, type Store } from '../shelf/store';

let folder: string;
let store: Store;
beforeEach(async () => {
	folder = await mkdtemp(join(tmpdir(), 'horarium-records-'));
	store = await openStore(join(folder, 'test.db'));
});
afterEach(async () => {
	store.close();
	await rm(folder, { recursive: true });
});

const content = (notebookId: string, ...names: string[]) => ({
	notebookId,
	month: '2027-05',
	weekStart: 'monday' as const,
	aim: 'balanced' as const,
	wishes: [{ id: 'h', kind: 'habits', items: names.map((name) => ({ name })) }]
});
const mark = (item: string, day: number, value = 'x') => ({
	wish: 'h',
	about: `item=${item}&day=${day}`,
	holds: 'mark' as const,
	value
});

test('entries are set, changed and taken away; a month that goes keeps its own', async () => {
	const book = await store.notebooks.create(a5);
	const month = await store.months.create(content(book.id, 'Walk'));
	const other = await store.months.create({ ...content(book.id, 'Walk'), month: '2027-06' });
	await store.records.change(month.id, [mark('Walk', 1), mark('Walk', 2)]);
	await store.records.change(other.id, [mark('Walk', 9)]);
	await store.records.change(month.id, [mark('Walk', 1, '-'), mark('Walk', 2, '')]);
	expect(await store.records.ofMonth(month.id)).toEqual([mark('Walk', 1, '-')]);
	expect(await store.records.ofMonth(other.id)).toEqual([mark('Walk', 9)]);
});

test('what was made over something else than what stands there is not written, and said', async () => {
	const book = await store.notebooks.create(a5);
	const month = await store.months.create(content(book.id, 'Walk'));
	const over = (value: string, ...was: string[]) => ({ ...mark('Walk', 1, value), was });
	const values = async () => (await store.records.ofMonth(month.id)).map(({ value }) => value);
	expect(await store.records.change(month.id, [over('x', '')])).toEqual([]);
	// An old queue, made when there was nothing; others of it are written.
	const late = [over('-', ''), { ...mark('Walk', 2), was: [''] }];
	expect(await store.records.change(month.id, late)).toEqual([mark('Walk', 1, 'x')]);
	expect(await values()).toEqual(['x', 'x']);
	// Sent twice, because the first answer was lost, and then changed again.
	expect(await store.records.change(month.id, [over('x', '')])).toEqual([]);
	expect(await store.records.change(month.id, [over('o', '', 'x')])).toEqual([]);
	expect(await store.records.change(month.id, [over('', 'o')])).toEqual([]);
	expect(await store.records.change(month.id, [over('-', 'o')])).toEqual([mark('Walk', 1, '')]);
	expect(await values()).toEqual(['x']);
});

test('names of many letters in any script can be kept', async () => {
	const about = `item=${encodeURIComponent('Ж'.repeat(300))}&day=1&column=${encodeURIComponent('列'.repeat(100))}`;
	expect(checked(changesSchema, { changes: [{ ...mark('Walk', 1), about }] }).ok).toBe(true);
});

test('a habit that is renamed takes its records along, one that is removed keeps them', async () => {
	const book = await store.notebooks.create(a5);
	const month = await store.months.create(content(book.id, 'Walk', 'Read'));
	await store.records.change(month.id, [mark('Walk', 1), mark('Read', 1)]);
	await store.months.update(month.id, 1, content(book.id, 'Stroll', 'Read'));
	const after = await store.records.ofMonth(month.id);
	expect(after.map(({ about }) => about).sort()).toEqual(['item=Read&day=1', 'item=Stroll&day=1']);
	await store.months.update(month.id, 2, content(book.id, 'Stroll'));
	expect(await store.records.ofMonth(month.id)).toHaveLength(2);
});

test('how far a month is made is added to what others know', async () => {
	const book = await store.notebooks.create(a5);
	const { id } = await store.months.create(content(book.id, 'Walk'));
	await store.makings.add(id, { done: [{ id: '62 rule', at: 1 }], moved: [] });
	const all = await store.makings.add(id, { done: [{ id: '63 rule', at: 2 }], moved: [] });
	expect(all.done.map((tick) => tick.id)).toEqual(['62 rule', '63 rule']);
	expect(await store.makings.of(id)).toEqual(all);
});

test('the demo has two recorded months, and May kept to the 9th', async () => {
	await loadDemo(store);
	const months = await store.months.all();
	expect(months.map(({ month }) => month)).toEqual(['2027-03', '2027-04', '2027-05']);
	const last = await Promise.all(
		months.map(async ({ id }) =>
			Math.max(
				...(await store.records.ofMonth(id)).map(({ about }) =>
					Number(/day=(\d+)/.exec(about)?.[1] ?? 0)
				)
			)
		)
	);
	expect(last).toEqual([31, 30, 9]);
});
