import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { a5, planWith } from '../../../../tests/support/arbitraries';
import { often } from '../../../../tests/support/effort';
import { robotsRule } from '../../../../tests/support/robots';
import { brokenRules } from '../../../../tests/support/judge';
import type { Cut } from '../cuts';
import { firstDayOfWeek, monthShape, weekdayNames } from '../month';
import type { Wish } from '../wish';
import { holdAt, planRun, roomsOf, type Block, type Plan } from '.';
import { pageMarks, pieceMarks } from '../page';

// How weeks are kept on cut leaves is common practice, without a published source.

const set = (more: Partial<Wish> = {}, weeks: Partial<NonNullable<Wish['weeks']>> = {}): Wish => ({
	id: 'weeks',
	kind: 'weekly-pages',
	weeks: { belong: 'touching', short: 'skip', pagesPerWeek: 2, ...weeks },
	...more
});
const planOn = (first: number, last: number, cuts: readonly Cut[], wish: Wish, month = 9): Plan =>
	planWith([wish], {
		month: { year: 2027, month },
		notebook: { ...a5, freePages: [{ first, last }] },
		cuts
	});
const rectsOf = (blocks: readonly Block[], id = 'weeks') =>
	blocks
		.filter(({ wish }) => wish === id)
		.flatMap(({ pieces }) =>
			pieces.map(({ page, rect: { x, y, w, h } }) => [page, x, y, w, h] as const)
		);

describe('a strip of 8 off leaves 23 to 29, the pages around them whole', () => {
	const strip: Cut = { id: 'strip', kind: 'strip', amount: 8, leaves: { first: 23, last: 29 } };
	const shared: Wish[] = [
		{
			id: 'mini',
			kind: 'month-calendar',
			form: 'mini-calendar',
			room: 'shared-left',
			rules: { 'mini-calendar': { cell: 1 } }
		},
		{ id: 'bank', kind: 'tasks', room: 'shared-right' }
	];
	const plan = planOn(22, 31, [strip], set({ members: shared }));
	const run = planRun(plan);

	test('page 22 keeps to what leaf 23 covers, and so does page 31 to the last one', () => {
		expect(run.unplaced).toEqual([]);
		expect(brokenRules(plan, run)).toEqual([]);
		const rects = rectsOf(run.blocks);
		expect(rects.map(([page]) => page)).toEqual([22, 23, 24, 25, 26, 27, 28, 29, 30, 31]);
		// Every page is 20 wide: left pages keep off their outer edge, at the left, right ones off theirs.
		for (const [page, x, , w] of rects)
			expect([page, x, w]).toEqual([page, page % 2 === 0 ? 8 : 0, 20]);
	});

	test('what stays in view beside them is a room for what the set shares, drawn once', () => {
		const [first] = run.blocks.filter(({ wish }) => wish === 'weeks');
		const rooms = first ? roomsOf(plan, first) : [];
		expect(rooms.find(({ name }) => name === 'shared-left')).toMatchObject({
			page: 22,
			rect: { x: 0, y: 0, w: 8, h: 40 }
		});
		expect(rectsOf(run.blocks, 'mini')).toEqual([[22, 0, 0, 7, 6]]);
		expect(rectsOf(run.blocks, 'bank').map(([page, x]) => [page, x >= 21])).toEqual([[31, true]]);
	});

	test('without a cut nothing stays in view, and that is said', () => {
		const whole = planRun(planOn(22, 31, [], set({ members: shared })));
		expect(whole.unplaced.map(({ wish }) => wish)).toEqual(['mini', 'bank']);
		expect(whole.unplaced[0]?.reason).toMatch(/cut a strip off its leaves/);
	});

	test('one week a page keeps to the covered part as well', () => {
		const single = planOn(22, 31, [strip], set({}, { pagesPerWeek: 1 }));
		const one = planRun(single);
		expect(brokenRules(single, one)).toEqual([]);
		expect(rectsOf(one.blocks)[0]?.slice(0, 4)).toEqual([22, 8, 0, 20]);
	});
});

test('the upper 14 rows off leaves 21 to 27: five column weeks take the lower parts of pages 20 to 29', () => {
	const top: Cut = { id: 'top', kind: 'top', amount: 14, leaves: { first: 21, last: 27 } };
	const wish = set({
		form: 'week-columns',
		members: [{ id: 'tasks', kind: 'tasks', room: 'shared-left' }]
	});
	const plan = planOn(20, 30, [top], wish);
	const run = planRun(plan);
	expect(run.unplaced).toEqual([]);
	expect(brokenRules(plan, run)).toEqual([]);
	const rects = rectsOf(run.blocks);
	expect(rects.map(([page]) => page)).toEqual([20, 21, 22, 23, 24, 25, 26, 27, 28, 29]);
	for (const [page, , y, , h] of rects) expect([page, y, h]).toEqual([page, 14, 26]);
	// What is shared stands above the first week, in view until the last.
	const [[page, , y, , h] = [0, 0, 0, 0, 0]] = rectsOf(run.blocks, 'tasks');
	expect([page, y >= 0 && y + h < 14]).toEqual([20, true]);
});

test('a window in the picture of a cover that stays where it is leaves the page as it is composed', () => {
	const book = { ...a5, freePages: [{ first: 13, last: 16 }] };
	const cover: Wish = { id: 'cover', kind: 'cover' };
	const before = planWith([cover], { notebook: book, month: { year: 2027, month: 5 } });
	const [block] = planRun(before).blocks;
	const picture = block && roomsOf(before, block).find(({ name }) => name === 'picture');
	if (!block || !picture) throw new Error('no picture');
	const { x, y, w, h } = picture.rect;
	const rect = { x: x + 1, y: y + 1, w: w - 2, h: h - 2 };
	const hole: Cut = { id: 'w', kind: 'window', rect, leaves: { first: 13, last: 13 } };
	const wishes = holdAt(before, planRun(before), block, block.pieces);
	const after = planRun({ ...before, wishes, cuts: [hole] });
	expect(after.unplaced).toEqual([]);
	expect(after.blocks[0]?.pieces).toEqual(block.pieces);
	// A hole through its letters is none in its picture.
	const through: Cut = { ...hole, rect: { x: 4, y: 1, w: 20, h: 20 } };
	expect(planRun({ ...before, wishes, cuts: [through] }).unplaced).toHaveLength(1);
});

test('tabs of 2 × 6 on leaves cut back by 5 name one week on both sides, each 6 lower than the one before', () => {
	const tabs: Cut = { id: 't', kind: 'tab', depth: 5, leaves: { first: 23, last: 29 } };
	const plan = planOn(22, 31, [tabs], set());
	const run = planRun(plan);
	expect(run.unplaced).toEqual([]);
	// The leaves are 23 wide, and on the whole pages around them the frame stands in by the depth.
	for (const [page, x, , w] of rectsOf(run.blocks))
		expect([page, x, w]).toEqual([page, page % 2 === 0 ? 5 : 0, 23]);
	const datesOn = (page: number) =>
		pageMarks(plan, run, page).flatMap((mark) =>
			mark.kind === 'text' && mark.turned ? [[mark.text, mark.x, mark.y, mark.w, mark.h]] : []
		);
	// From Monday the second week of September 2027 is 6 to 12; leaf 23/24 lies before it and bears its days.
	expect(datesOn(23)).toEqual([['6–12', 23, 0, 2, 6]]);
	expect(datesOn(24)).toEqual([['6–12', 3, 0, 2, 6]]);
	expect(datesOn(25)).toEqual([['13–19', 23, 6, 2, 6]]);
	expect(datesOn(30)).toEqual([['27–3', 3, 18, 2, 6]]);
	expect(datesOn(22)).toEqual([]);
	// While the cut is only tried, the weeks still stand where its tabs would be.
	const uncut = planRun(planOn(22, 31, [], set()));
	const turned = pageMarks(plan, uncut, 23).filter((mark) => mark.kind === 'text' && mark.turned);
	expect(turned).toEqual([]);
});

describe('random sets on cut leaves', () => {
	const anySet = fc.record({
		ruled: fc.constantFrom<[string, 1 | 2]>(
			['week-boxes', 2],
			['week-boxes', 1],
			['week-columns', 2],
			['week-rows', 2],
			['week-rows', 1],
			['week-staggered', 2]
		),
		month: fc.integer({ min: 1, max: 12 }),
		weekStart: fc.constantFrom('monday' as const, 'sunday' as const, 'saturday' as const),
		head: fc.constantFrom('none', 'top', 'place'),
		spare: fc.integer({ min: 1, max: 8 }),
		foot: fc.constantFrom(0, 5, 8),
		cut: fc.constantFrom<Partial<Cut> | undefined>(
			undefined,
			{ kind: 'strip', amount: 5 },
			{ kind: 'top', amount: 8 },
			{ kind: 'tab', depth: 5 }
		)
	});

	test('show each day of a week once and in order, in days of one size, and robots rule them', () => {
		fc.assert(
			fc.property(
				anySet,
				({ ruled: [form, pagesPerWeek], month, weekStart, head, spare, foot, cut }) => {
					const rules = { [form]: { head, spare, foot } };
					const members: Wish[] = [{ id: 'notes', kind: 'notes', importance: 'spare' }];
					const cuts = cut
						? [{ id: 'c', kind: 'strip' as const, leaves: { first: 23, last: 31 }, ...cut }]
						: [];
					const plan = {
						...planOn(
							22,
							37,
							cuts,
							set({ form, rules, members }, { short: 'fold', pagesPerWeek }),
							month
						),
						weekStart
					};
					const run = planRun(plan);
					expect(brokenRules(plan, run)).toEqual([]);
					const weeks = run.blocks.filter(({ wish }) => wish === 'weeks');
					expect(new Set(weeks.map(({ facts }) => JSON.stringify(facts.cell))).size).toBe(
						Math.min(1, weeks.length)
					);
					const shape = monthShape(plan.month, weekStart);
					for (const block of weeks) {
						const { as, pieces } = block;
						const names = weekdayNames('en', weekStart, 'short');
						const dates = pieces.flatMap(({ page }) =>
							pieceMarks(plan, block, page).flatMap((mark) =>
								mark.kind === 'text' && names.some((name) => mark.text.startsWith(name))
									? [Number(/\d+/.exec(mark.text)?.[0])]
									: []
							)
						);
						const first = Date.parse(firstDayOfWeek(shape, as.part?.week ?? 0));
						const wanted = [0, 1, 2, 3, 4, 5, 6].map((day) =>
							new Date(first + day * 86_400_000).getUTCDate()
						);
						expect([...dates].sort((a, b) => a - b)).toEqual([...wanted].sort((a, b) => a - b));
					}
					robotsRule(plan, run);
				}
			),
			{ numRuns: often(60) }
		);
	});
});
