import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../../tests/support/effort';
import { a5, anyPlan, planWith } from '../../../../../tests/support/arbitraries';
import { brokenRules } from '../../../../../tests/support/judge';
import {
	drawPage,
	indexLines,
	indexText,
	lockPages,
	pinOf,
	planRun,
	sectionsOf,
	summaryOf,
	swapSides,
	undrawPage,
	unlockPages,
	type Plan,
	type Run
} from '..';

const month = planWith([
	{ id: 'cover', kind: 'cover' },
	{ id: 'calendar', kind: 'month-calendar', span: 'spread' },
	{ id: 'habits', kind: 'habits', title: 'Habits', items: [{ name: 'Walk' }, { name: 'Knead' }] },
	{ id: 'notes', kind: 'brain-dump', title: 'Notes' }
]);
const run = planRun(month);
const placeOf = (of: Run, id: string) => of.blocks.find(({ wish }) => wish === id)?.pieces;
const withDrawn = (plan: Plan, of: Run, pages: readonly number[]): Plan => ({
	...plan,
	drawn: pages.reduce((drawn, page) => drawPage(plan, of, drawn, page), plan.drawn) ?? {
		pages: [],
		blocks: []
	}
});

describe('what is held', () => {
	test('what faces a page that faces a pinned one stands beside that', () => {
		const half = { w: 28, h: 19 };
		const plan = planWith([
			{ id: 'one', kind: 'notes', filler: false, facing: 'two', size: half },
			{ id: 'two', kind: 'notes', filler: false, facing: 'three', size: half },
			{ id: 'three', kind: 'notes', filler: false, pin: { page: 14 }, size: half }
		]);
		const pages = ['one', 'two', 'three'].map((id) => placeOf(planRun(plan), id)?.[0].page);
		expect(pages).toEqual([14, 15, 14]);
	});

	test('what faces a page gives way to what a person has put there', () => {
		const whole = { w: 28, h: 40 };
		const plan = planWith([
			{ id: 'faces', kind: 'notes', filler: false, facing: 'left', size: whole },
			{ id: 'left', kind: 'notes', filler: false, pin: { page: 14 }, size: whole },
			{ id: 'right', kind: 'notes', filler: false, pin: { page: 15 }, size: whole }
		]);
		const next = planRun(plan);
		expect(next.unplaced.map(({ wish }) => wish)).toEqual(['faces']);
		expect(placeOf(next, 'right')?.[0].page).toBe(15);
	});

	test('a locked spread stays when wishes come before it, and is free again', () => {
		const locked = lockPages(month, run, 14, 15);
		const before = { id: 'more', kind: 'cover' };
		const next = planRun({ ...month, wishes: [before, before, before, ...locked].map(numbered) });
		for (const { wish, pieces } of run.blocks)
			if (pieces[0].page === 14 || pieces[0].page === 15) {
				const at = locked.findIndex(({ id }) => id === wish);
				expect(placeOf(next, `${at + 3}`)).toEqual(pieces);
			}
		expect(unlockPages({ ...month, wishes: locked }, 14, 15)).toEqual(
			locked.map((wish) => ({ ...wish, pin: undefined }))
		);
	});

	const numbered = (wish: Plan['wishes'][number], index: number) => ({ ...wish, id: `${index}` });

	test('two sides change places', () => {
		const plan = planWith([
			{ id: 'a', kind: 'brain-dump', size: { w: 28, h: 40 }, pin: { page: 12 } },
			{ id: 'b', kind: 'cover', form: 'cover', pin: { page: 13 } }
		]);
		const first = planRun(plan);
		const swapped = planRun({ ...plan, wishes: swapSides(plan, first, 12) });
		expect(placeOf(first, 'a')?.[0].page).toBe(12);
		expect(placeOf(swapped, 'a')?.[0].page).toBe(13);
		expect(placeOf(swapped, 'b')?.[0].page).toBe(12);
	});

	test('a page kept for one wish takes nothing else', () => {
		const plan = planWith([
			{ id: 'h', kind: 'habits', items: [{ name: 'Walk' }], pin: { page: 12, alone: true } },
			...['a', 'b', 'c'].map((id) => ({ id, kind: 'habits', items: [{ name: 'Knead' }] }))
		]);
		const alone = planRun({ ...plan, aim: 'fewest-pages' });
		expect(alone.blocks.filter(({ pieces }) => pieces[0].page === 12)).toHaveLength(1);
		expect(brokenRules(plan, alone)).toEqual([]);
	});

	test('a pin is where the block lies, or the page of a spread', () => {
		const [calendar] = run.blocks.filter(({ wish }) => wish === 'calendar');
		const [left, right] = calendar?.pieces.map(({ rect }) => rect) ?? [];
		const w = (left?.w ?? 0) + (right?.w ?? 0);
		expect(calendar && pinOf(calendar)).toEqual({ page: 14, y: 0, w, h: left?.h });
	});
});

describe('what is drawn', () => {
	test('never moves, whatever is planned later', () => {
		fc.assert(
			fc.property(anyPlan, fc.nat(6), fc.nat(3), (plan, from, count) => {
				const first = planRun(plan);
				const pages = first.pages.slice(from, from + count + 1).map(({ number }) => number);
				const partly = withDrawn(plan, first, pages);
				const next = planRun({ ...partly, wishes: plan.wishes.toReversed(), aim: 'fewest-pages' });
				for (const { wish, form, pieces } of partly.drawn?.blocks ?? [])
					expect(
						next.blocks.some(
							(block) =>
								block.wish === wish.id &&
								block.form === form &&
								JSON.stringify(block.pieces) === JSON.stringify(pieces)
						)
					).toBe(true);
				const held = new Set(partly.drawn?.pages);
				const known = partly.drawn?.blocks.length ?? 0;
				const on = next.blocks.filter(({ pieces }) => pieces.some(({ page }) => held.has(page)));
				expect(on).toHaveLength(known);
				expect(brokenRules(partly, next)).toEqual([]);
			}),
			{ numRuns: often(60) }
		);
	});

	test('is taken back page by page, with both pages of a spread', () => {
		const drawn = drawPage(month, run, drawPage(month, run, undefined, 14), 13);
		expect(drawn.pages).toEqual([13, 14, 15]);
		const back = undrawPage(drawn, 15);
		expect(back.pages).toEqual([13]);
		expect(back.blocks.map(({ wish }) => wish.id)).toEqual(
			run.blocks.filter(({ pieces }) => pieces[0].page === 13).map(({ wish }) => wish)
		);
	});

	test('keeps the wish as it was when it is changed afterwards', () => {
		const partly = withDrawn(month, run, [14]);
		const wishes = month.wishes.map((wish) =>
			wish.id === 'calendar' ? { ...wish, span: 'page' as const, title: 'New' } : wish
		);
		const next = planRun({ ...partly, wishes });
		const calendar = next.blocks.find(({ wish }) => wish === 'calendar');
		expect(calendar?.pieces).toEqual(placeOf(run, 'calendar'));
		expect(calendar?.as.title).toBeUndefined();
	});
});

test('index lines give each title once with its pages, in the order of the book', () => {
	const lines = indexLines(month, run);
	expect(lines.map(({ title }) => title).sort()).toEqual(
		['Habits', 'May 2027', 'Month calendar', 'Notes'].sort()
	);
	const firsts = lines.map(({ first }) => first);
	expect(firsts).toEqual(firsts.toSorted((a, b) => a - b));
	expect(indexText(lines)).toContain('14–15\tMonth calendar');
	const weeks = planRun(
		planWith([
			{
				id: 'w',
				kind: 'weekly-pages',
				weeks: { belong: 'middle-day', short: 'own', pagesPerWeek: 2 }
			}
		])
	);
	expect(indexLines(month, weeks)).toMatchObject([{ first: 12, last: 19 }]);
});

test('sections follow the purpose of the largest block of each page, without gaps', () => {
	const sections = sectionsOf(run);
	expect(sections[0]?.first).toBe(run.pages[0]?.number);
	expect(sections.at(-1)?.last).toBe(run.pages.at(-1)?.number);
	for (const [at, { first }] of sections.entries())
		if (at > 0) expect(first).toBe((sections[at - 1]?.last ?? 0) + 1);
});

test('a summary counts pages, what is left out, cells and squares for art', () => {
	const tiny = { ...a5, freePages: [{ first: 12, last: 13 }] };
	const left = summaryOf(planRun({ ...month, notebook: tiny }));
	expect(left.pagesUsed).toBe(2);
	expect(left.leftOut).toBe(planRun({ ...month, notebook: tiny }).unplaced.length);
	const all = summaryOf(run);
	expect(all.leftOut).toBe(0);
	const cells = run.blocks.flatMap(({ facts }) =>
		facts.cell ? [facts.cell.w * facts.cell.h] : []
	);
	expect((all.smallestCell?.w ?? 0) * (all.smallestCell?.h ?? 0)).toBe(Math.min(...cells));
	expect((all.largestCell?.w ?? 0) * (all.largestCell?.h ?? 0)).toBe(Math.max(...cells));
});
