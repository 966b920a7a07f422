import { describe, expect, test } from 'vitest';
import { a5, planWith } from '../../../../tests/support/arbitraries';
import { brokenRules } from '../../../../tests/support/judge';
import { holdAt, planRun, remediesFor, weeksShown, type Plan } from '.';
import { pageMarks } from '../page';
import type { Wish } from '../wish';

const weekly = (weeks: Partial<NonNullable<Wish['weeks']>>): Wish => ({
	id: 'weeks',
	kind: 'weekly-pages',
	importance: 'must',
	weeks: { belong: 'middle-day', short: 'own', pagesPerWeek: 2, ...weeks }
});

/** June 2021 from Monday with eight pages left, from a left page on. */
const eightLeft = (wish: Wish): Plan =>
	planWith([wish], {
		month: { year: 2021, month: 6 },
		notebook: { ...a5, freePages: [{ first: 84, last: 91 }] }
	});

describe('eight pages left in June 2021', () => {
	test('four weeks by their middle day fill them exactly', () => {
		const plan = eightLeft(weekly({}));
		const run = planRun(plan);
		expect(brokenRules(plan, run)).toEqual([]);
		expect(run).toMatchObject({ unplaced: [], pagesUsed: 8, optimal: true });
		expect(run.blocks.map(({ as }) => as.part?.week)).toEqual([1, 2, 3, 4]);
	});

	test('five touching weeks need nine: the short one goes, and what helps is named', () => {
		const plan = eightLeft(weekly({ belong: 'touching' }));
		const run = planRun(plan);
		expect(brokenRules(plan, run)).toEqual([]);
		expect(run.unplaced).toHaveLength(1);
		// Of equally many weeks lost those go first that have the fewest days (common practice).
		expect(run.unplaced[0]?.part).toBe('week 5 of the month');
		const remedies = remediesFor(plan, run, 'weeks');
		expect(remedies.map(({ text }) => text)).toContain('only weeks mostly in this month');
		for (const { wishes, pagesUsed } of remedies) {
			const tried = planRun({ ...plan, wishes });
			expect(tried.unplaced).toEqual([]);
			expect(tried.pagesUsed).toBe(pagesUsed);
		}
	});
});

test('a single week has a form of its own, and four pages a week follow each other', () => {
	const forms = [{ week: 3, form: 'week-rows' }];
	const one = planRun(planWith([weekly({ pagesPerWeek: 1, forms })]));
	const formOf = (week: number) => one.blocks.find(({ as }) => as.part?.week === week)?.form;
	expect(formOf(3)).toBe('week-rows');
	expect(new Set([2, 4, 5].map(formOf)).size).toBe(1);

	const four = planRun(planWith([weekly({ pagesPerWeek: 4, short: 'skip', belong: 'touching' })]));
	expect(four.unplaced).toEqual([]);
	for (const week of [2, 3, 4, 5]) {
		const pages = four.blocks
			.filter(({ as }) => as.part?.week === week)
			.map(({ as, pieces }) => [as.part?.page, pieces[0].page]);
		const [first] = pages;
		expect(pages).toEqual([1, 2, 3, 4].map((part, at) => [part, Number(first?.[1]) + at]));
	}
});

describe('which weeks', () => {
	const touching = (weeks: Partial<NonNullable<Wish['weeks']>> = {}) =>
		weekly({ belong: 'touching', ...weeks });
	const weeksOn = ({ blocks }: ReturnType<typeof planRun>) =>
		blocks.map(({ as, form, pieces }) => [as.part?.week, form, pieces.length]);

	test('May 2020 from Sunday has two short weeks: two boxes at its start, 31 May at its end', () => {
		const plan = planWith([touching()], {
			month: { year: 2020, month: 5 },
			weekStart: 'sunday'
		});
		const run = planRun(plan);
		expect(brokenRules(plan, run)).toEqual([]);
		const whole = [2, 3, 4, 5].map((week) => [week, 'week-boxes', 2]);
		expect(weeksOn(run)).toEqual([[1, 'week-short', 1], ...whole, [6, 'week-short', 1]]);
		expect(run.blocks[0]?.facts.cell).toEqual({ w: 28, h: 19 });
		// What is said of the others holds for them too, as far as they have a place for it.
		const framed = { rules: { 'week-boxes': { frames: 'corners', gap: 3 } } };
		const told = planRun({ ...plan, wishes: [{ ...touching(), ...framed }] });
		expect(told.blocks[0]?.as.rules?.['week-short']).toEqual({ frames: 'corners' });
	});

	test('a week that the month before shows is not drawn twice', () => {
		const september = planWith([touching()], { month: { year: 2028, month: 9 } });
		const shown = weeksShown(september, planRun(september));
		// 28 August is short in September; 25 September to 1 October is whole.
		expect(shown).toEqual(['2028-09-04', '2028-09-11', '2028-09-18', '2028-09-25']);
		const october = planWith([touching()], { month: { year: 2028, month: 10 } });
		const first = (plan: Plan) => planRun(plan).blocks[0]?.as.part?.week;
		expect(first(october)).toBe(1);
		expect(first({ ...october, earlierWeeks: shown })).toBe(2);
	});

	test('only chosen ones are planned, the others later', () => {
		expect(weeksOn(planRun(planWith([touching({ only: [2, 4] })])))).toEqual([
			[2, 'week-boxes', 2],
			[4, 'week-boxes', 2]
		]);
	});

	test('a form that is chosen is drawn, or refused with a reason: another never takes its place', () => {
		const chosen: Wish = { ...touching({ pagesPerWeek: 1 }), form: 'week-staggered' };
		const { blocks, unplaced } = planRun(planWith([chosen]));
		expect(blocks.filter(({ form }) => form !== 'week-short')).toEqual([]);
		expect(unplaced[0]?.reason).toBe('“Week in staggered boxes” is ruled over two pages only');
	});
});

describe('a short week on a page of its own', () => {
	const may = { month: { year: 2027, month: 5 } };
	const touching = weekly({ belong: 'touching' });

	test('is no place for what stands with the others, and says no loss of it', () => {
		const bank: Wish = { id: 'bank', kind: 'task-bank', importance: 'want', room: 'spare' };
		const run = planRun(planWith([{ ...touching, form: 'week-boxes', members: [bank] }], may));
		expect(run.unplaced).toEqual([]);
		expect(run.blocks.filter(({ wish }) => wish === 'bank')).toHaveLength(4);
	});

	test('has the parts of a day as they share its rows', () => {
		const columns = [
			{ name: 'Events', width: 12 },
			{ name: 'Tasks', width: 16 }
		];
		const plan = planWith([{ ...touching, form: 'week-columns', columns }], may);
		const run = planRun(plan);
		expect(run.unplaced).toEqual([]);
		// Two days of 28 × 19: 18 rows below each heading, of which Events takes 12 in 28.
		const short = run.blocks.find(({ as }) => as.part?.short);
		expect(short?.why).toContain('parts of a day 7 + 10 in 18');
		const rows = pageMarks(plan, run, short?.pieces[0].page ?? 0).flatMap((mark) =>
			mark.kind === 'text' && /^(Events|Tasks)$/.test(mark.text) ? [mark.y] : []
		);
		expect(rows).toEqual([1, 8, 21, 28]);
	});
});

describe('members of a set', () => {
	const wish: Wish = {
		...weekly({ belong: 'touching', short: 'fold' }),
		rules: { 'week-boxes': { head: 'place', foot: 8 } },
		members: [
			{
				id: 'mini',
				kind: 'month-calendar',
				form: 'mini-calendar',
				room: 'head',
				rules: { 'mini-calendar': { cell: 1 } }
			},
			{ id: 'tasks', kind: 'tasks', room: 'foot-left', spot: { x: 2, y: 1, w: 20, h: 6 } }
		]
	};
	const plan = planWith([wish]);
	const run = planRun(plan);
	const blocksOf = (id: string) => run.blocks.filter((block) => block.wish === id);

	test('stand in every week, at the same place', () => {
		expect(run.unplaced).toEqual([]);
		expect(blocksOf('weeks')).toHaveLength(4);
		for (const id of ['mini', 'tasks']) {
			const rects = blocksOf(id).map(({ pieces }) => JSON.stringify(pieces[0].rect));
			expect([rects.length, new Set(rects).size]).toEqual([4, 1]);
			expect(blocksOf(id).map(({ as }) => as.part?.week)).toEqual([2, 3, 4, 5]);
		}
		expect(blocksOf('tasks')[0]?.pieces[0].rect).toEqual({ x: 2, y: 34, w: 20, h: 6 });
	});

	test('are drawn on their weeks, and held there by hand for all of them', () => {
		const [, second] = blocksOf('mini');
		if (!second) throw new Error('no second week');
		const [{ page, rect }] = second.pieces;
		const letters = pageMarks(plan, run, page).filter(
			(mark) => mark.kind === 'text' && mark.text === '31'
		);
		expect(letters.length).toBeGreaterThan(0);
		const moved = { ...rect, y: rect.y + 1 };
		const wishes = holdAt(plan, run, second, [{ page, rect: moved }]);
		const after = planRun({ ...plan, wishes });
		const places = after.blocks.filter((block) => block.wish === 'mini');
		expect(places).toHaveLength(4);
		for (const { pieces } of places) expect(pieces[0].rect).toEqual(moved);
	});
});

test('a page of one’s own comes every week, the same in a short one, with the dates of its week', () => {
	const bench: Wish = {
		id: 'bench',
		kind: 'composed',
		title: 'Bench',
		weeks: { belong: 'touching', short: 'own', pagesPerWeek: 1 },
		members: [
			{ id: 'tasks', kind: 'tasks' },
			{ id: 'notes', kind: 'notes' }
		]
	};
	// May 2027 begins on a Saturday: the first of its six weeks has two days of it, the last one has one.
	const plan = planWith([bench], { earlierWeeks: ['2027-04-26'] });
	const run = planRun(plan);
	expect(brokenRules(plan, run)).toEqual([]);
	expect(run.unplaced).toEqual([]);
	const own = run.blocks.filter(({ wish }) => wish === 'bench');
	const held = run.blocks.filter(({ host }) => host?.wish === 'bench');
	expect(own.map(({ as }) => as.part?.week)).toEqual([1, 2, 3, 4, 5, 6]);
	const places = new Set(held.map(({ wish, pieces }) => JSON.stringify([wish, pieces[0].rect])));
	expect(places.size).toBe(2);
	const titles = own.map(({ pieces }) =>
		pageMarks(plan, run, pieces[0].page)
			.flatMap((mark) => (mark.kind === 'text' && mark.style === 'lettering' ? [mark.text] : []))
			.join('')
	);
	expect(titles[0]).toBe('Bench26–2');
	expect(titles[1]).toBe('Bench3–9');
	// Over a spread the title lies over both pages, with its dates.
	const both = planWith(
		[{ ...bench, weeks: { belong: 'touching', short: 'own', pagesPerWeek: 2 } }],
		{}
	);
	const over = planRun(both);
	const [first] = over.blocks;
	const words = (first?.pieces ?? []).flatMap(({ page }) =>
		pageMarks(both, over, page).flatMap((mark) =>
			mark.kind === 'text' && mark.style === 'lettering' ? [mark.text] : []
		)
	);
	expect(words.join('')).toBe('Bench26–2');
	// It shows no days, so what the next month asks for is not shown by it.
	expect(weeksShown(plan, run)).toEqual([]);
});
