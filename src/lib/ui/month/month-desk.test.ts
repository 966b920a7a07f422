import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { a5, planWith } from '../../../../tests/support/arbitraries';
import { planRun } from '../../core/fit';
import { defaultHand } from '../../core/hand';
import { MonthDesk } from './month-desk.svelte';

const written: { path: string; body: { revision: number; wishes: { id: string }[] } }[] = [];
let status = 200;

beforeEach(() => {
	written.length = 0;
	status = 200;
	vi.stubGlobal('fetch', async (path: string, { body }: { body: string }) => {
		const content = JSON.parse(body);
		written.push({ path, body: content });
		const revision = content.revision + 1;
		const answer = status === 409 ? { current: { revision: 9 } } : { revision };
		return new Response(JSON.stringify(answer), { status });
	});
});
afterEach(() => vi.unstubAllGlobals());

const soon = () => new Promise((resolve) => setTimeout(resolve));

function desk(ids: string[] = ['a', 'b', 'c']) {
	const wishes = ids.map((id) => ({ id, kind: 'cover' }));
	return new MonthDesk({
		id: 'm1',
		revision: 3,
		notebookId: 'n1',
		notebook: a5,
		month: { month: '2027-05', weekStart: 'monday', aim: 'balanced', wishes },
		person: { locale: 'en', hand: defaultHand },
		earlierCuts: [],
		earlierWeeks: [],
		run: planRun(planWith(wishes))
	});
}

const idsOf = (month: MonthDesk) => month.wishes.map(({ id }) => id).join();

describe('the desk', () => {
	test('moves a wish up and down, and no further than the ends', () => {
		const month = desk();
		month.move('c', -1);
		expect(idsOf(month)).toBe('a,c,b');
		month.move('c', -5);
		expect(idsOf(month)).toBe('c,a,b');
		month.move('c', -1);
		month.undo();
		expect(idsOf(month)).toBe('a,c,b');
		month.move('nobody', 1);
		expect(idsOf(month)).toBe('a,c,b');
	});

	test('typing is undone together, but not across a field that was left or a pause', () => {
		vi.useFakeTimers();
		const month = desk(['a']);
		const type = (title: string) => month.edit('a', { title });
		const titles = () => {
			const seen = [month.wishes[0]?.title];
			while (month.canUndo) {
				month.undo();
				seen.push(month.wishes[0]?.title);
			}
			return seen;
		};
		['M', 'MA', 'MAY'].forEach(type);
		month.endStep();
		type('MAY D');
		type('MAY DAYS');
		vi.advanceTimersByTime(5000);
		type('MAY');
		expect(titles()).toEqual(['MAY', 'MAY DAYS', 'MAY', undefined]);
		vi.useRealTimers();
	});

	test('adds a kind under an id that is free, chosen to be edited', () => {
		const month = desk(['habits']);
		month.add('habits');
		month.add('habits');
		expect(idsOf(month)).toBe('habits,habits-2,habits-3');
		expect(month.chosen).toBe('habits-3');
		month.remove('habits-3');
		expect(month.chosen).toBeUndefined();
		month.add('no such kind');
		expect(idsOf(month)).toBe('habits,habits-2');
	});

	test('duplicates a wish behind it, without its pin', () => {
		const month = desk(['a', 'b']);
		month.edit('a', { title: 'Log', pin: { page: 14 } });
		month.duplicate('a');
		expect(month.wishes.map(({ title, pin }) => [title, pin?.page])).toEqual([
			['Log', 14],
			['Log', undefined],
			[undefined, undefined]
		]);
		expect(new Set(month.wishes.map(({ id }) => id)).size).toBe(3);
		expect(month.chosen).toBe(month.wishes[1]?.id);
	});

	test('takes a typed title back as a whole, and makes it again', () => {
		const month = desk(['a']);
		for (const title of ['L', 'Lo', 'Log']) month.edit('a', { title });
		month.edit('a', { note: 'x' });
		month.undo();
		expect(month.wishes[0]).toMatchObject({ title: 'Log' });
		month.undo();
		expect(month.wishes[0]?.title).toBeUndefined();
		expect(month.canUndo).toBe(false);
		month.redo();
		expect(month.wishes[0]?.title).toBe('Log');
	});

	test('what it was comes back whole, in one step, but what is drawn in the book stays drawn', () => {
		const month = desk(['a', 'b']);
		const before = { ...month.month, aim: 'roomiest', titles: 'written' } as const;
		const drawn = { pages: [12], blocks: [] };
		month.change({ drawn, wishes: month.wishes.slice(1), cuts: [], theme: undefined });
		month.bringBack(before);
		expect(month.month).toMatchObject({ aim: 'roomiest', titles: 'written', drawn });
		expect(idsOf(month)).toBe('a,b');
		month.undo();
		expect(idsOf(month)).toBe('b');
		// What the earlier state did not say is not left over from the later one.
		month.change({ titles: 'none' });
		month.bringBack({ month: '2027-05', weekStart: 'monday', aim: 'balanced', wishes: [] });
		expect(month.month.titles).toBeUndefined();
	});

	test('writes every change at once, each on top of the one before', async () => {
		const month = desk(['a']);
		month.edit('a', { title: 'One' });
		await soon();
		month.edit('a', { title: 'Two' });
		await soon();
		expect(written.map(({ path, body }) => [path, body.revision])).toEqual([
			['/app/months/m1', 3],
			['/app/months/m1', 4]
		]);
		expect(month.saver.settled).toBe(true);
	});

	test('keeps what is here over another window’s change when it is told to', async () => {
		const month = desk(['a']);
		status = 409;
		month.edit('a', { title: 'Mine' });
		await soon();
		expect(month.saver.state).toEqual({ kind: 'conflict', revision: 9 });
		status = 200;
		month.saver.overwrite();
		await soon();
		expect(written.at(-1)?.body).toMatchObject({ revision: 9, wishes: [{ title: 'Mine' }] });
		expect(month.saver.settled).toBe(true);
	});

	test('taking the other window’s change leaves a way back', () => {
		const month = desk(['a', 'b']);
		const theirs = { month: '2027-05', weekStart: 'sunday', aim: 'roomiest', wishes: [] } as const;
		month.adopt({
			id: 'm1',
			revision: 7,
			notebookId: 'n1',
			notebook: a5,
			month: theirs,
			person: { locale: 'en', hand: defaultHand },
			earlierCuts: [],
			earlierWeeks: [],
			run: planRun(planWith([]))
		});
		expect(month.month).toEqual(theirs);
		month.undo();
		expect(idsOf(month)).toBe('a,b');
	});
});
