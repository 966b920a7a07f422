import { describe, expect, test } from 'vitest';
import { planWith } from '../../../../tests/support/arbitraries';
import type { Wish } from '../wish';
import { planRun, titleOf, type Plan } from '.';
import { pageMarks } from '../page';

// How titles are lettered is common practice: 2 wide and 3 high in a band of 4, gaps of 1.

const lined = (title: string, more: Partial<Wish> = {}): Wish => ({
	id: 'line',
	kind: 'one-line-a-day',
	form: 'day-lines',
	title,
	...more
});
const lettersOf = (plan: Plan) => {
	const run = planRun(plan);
	const page = run.blocks[0]?.pieces[0].page ?? 0;
	return pageMarks(plan, run, page).flatMap((mark) =>
		mark.kind === 'text' && mark.style === 'lettering' ? [mark] : []
	);
};
const rowsOf = (plan: Plan) => planRun(plan).blocks[0]?.facts.title;

describe('titles of one hand', () => {
	test('a line is the page less a square at each edge: letters stand closer, then lower, before there are two', () => {
		const across = (title: string) => {
			const plan = planWith([lined(title)]);
			const letters = lettersOf(plan);
			const [first, last] = [letters[0], letters.at(-1)];
			const used = (last?.x ?? 0) + (last?.w ?? 0) - (first?.x ?? 0);
			return [rowsOf(plan), first?.w, first?.h, used];
		};
		// 5 × 2 + 4 gaps.
		expect(across('Sleep')).toEqual([4, 2, 3, 14]);
		// With gaps 9 × 2 + 7 + 2 = 27; without, and a space of 1, 19.
		expect(across('Month plan')).toEqual([4, 2, 3, 19]);
		// Even so 27; one size lower 13 + 11 + 2 = 26.
		expect(across('Weather inside')).toEqual([4, 1, 2, 26]);
	});

	test('words too long for one line stand on two, in letters of one size', () => {
		const plan = planWith([lined('Concertina practice and tunes')]);
		expect(rowsOf(plan)).toBe(8);
		expect(new Set(lettersOf(plan).map(({ w, h }) => `${w} ${h}`)).size).toBe(1);
		const first = lettersOf(plan).filter(({ y }) => y < 4);
		expect(first.map(({ text }) => text).join('')).toBe('Concertina');
	});

	test('a title may be wider than the table it stands over, where nobody needs the room beside', () => {
		// Columns of money do not grow.
		const columns = ['In', 'Out'].map((name) => ({ name, width: 5, holds: 'money' as const }));
		const wish: Wish = { id: 'log', kind: 'spending', title: 'Spending', columns };
		const paper = { pageMm: { width: 105, height: 148 }, columns: 19, rows: 27 };
		const plan = planWith([wish], { notebook: { ...planWith([]).notebook, ...paper } });
		const [block] = planRun(plan).blocks;
		// Over it 8 letters of 2 without gaps and a square at each edge, on 19 squares.
		expect(block?.pieces[0].rect).toMatchObject({ w: 18, h: 27 });
		expect(lettersOf(plan).map(({ w }) => w)).toEqual(Array(8).fill(2));
		const upright = pageMarks(plan, planRun(plan), block?.pieces[0].page ?? 0).flatMap((mark) =>
			mark.kind === 'line' && mark.x1 === mark.x2 ? [mark.x1] : []
		);
		const x = block?.pieces[0].rect.x ?? 0;
		// The table of 10 stands in the middle.
		expect([Math.min(...upright), Math.max(...upright)]).toEqual([x + 4, x + 14]);
	});

	test('where two lines leave the days no room, the letters stand closer instead', () => {
		const low = planWith([lined('One line a watch')], {
			notebook: { ...planWith([]).notebook, rows: 36, pageMm: { width: 148, height: 190 } }
		});
		expect(rowsOf(low)).toBeLessThan(8);
		expect(planRun(low).unplaced).toEqual([]);
	});

	test('down the side a title takes three columns and no row, its letters one below the other', () => {
		const plan = planWith([lined('Sleep')], { titles: 'side' });
		const letters = lettersOf(plan);
		expect(rowsOf(plan)).toBe(0);
		// 5 × 3 + 4 × 1 = 19 rows.
		expect(letters.map(({ x, w, h }) => [x, w, h])).toEqual(
			letters.map(() => [letters[0]?.x, 2, 3])
		);
		const [first, last] = [letters[0]?.y ?? 0, letters.at(-1)?.y ?? 0];
		expect([letters.length, last + 3 - first]).toEqual([5, 19]);
		// A title longer than its block is high is written.
		const long = planWith([lined('Concertina practice, every watch')], { titles: 'side' });
		expect(rowsOf(long)).toBe(1);
	});

	test('a composed page with its title down the side holds its members beside it', () => {
		const members: Wish[] = [{ id: 'notes', kind: 'notes' }];
		const run = planRun(
			planWith([{ id: 'page', kind: 'composed', title: 'Mine', members }], { titles: 'side' })
		);
		const rectOf = (id: string) => run.blocks.find(({ wish }) => wish === id)?.pieces[0].rect;
		expect(rectOf('page')).toEqual({ x: 0, y: 0, w: 28, h: 40 });
		expect(rectOf('notes')).toEqual({ x: 3, y: 0, w: 25, h: 40 });
	});

	test('the month says it once, and a wish may say otherwise', () => {
		const own = { rules: { 'day-lines': { titleStyle: 'lettered' } } };
		expect(rowsOf(planWith([lined('Sleep')], { titles: 'written' }))).toBe(1);
		expect(rowsOf(planWith([lined('Sleep', own)], { titles: 'written' }))).toBe(4);
		const none = planWith([lined('Sleep')], { titles: 'none' });
		expect(rowsOf(none)).toBe(0);
		const [block] = planRun(none).blocks;
		expect(block && titleOf(none, block)).toBe('Sleep');
	});
});
