import { expect, test } from 'vitest';
import { a5, planWith } from '../../../../../tests/support/arbitraries';
import { planRun } from '..';
import { pageFields } from '../../page';
import { arrange, type Fitted } from './arrange';
import type { Rect } from '../../paper';

const page = { w: 28, h: 40 };
const fitted = (rect: Rect): Fitted => ({ rect, form: 'matrix', grow: (now) => now });

test('blocks side by side stand in the middle together, but not across what is held there', () => {
	const blocks = [
		{ x: 0, y: 0, w: 12, h: 30 },
		{ x: 13, y: 0, w: 6, h: 34 }
	].map(fitted);
	// 28 − (12 + 1 + 6) = 9 are over: 2 go between them.
	expect(arrange(page, [], blocks).map(({ x }) => x)).toEqual([3, 18]);
	const held = { x: 20, y: 30, w: 8, h: 10 };
	expect(arrange(page, [held], blocks).map(({ x }) => x)).toEqual([0, 13]);
});

test('what lies over a spread grows before what stands below it on one of its pages', () => {
	const hours = ['6', '10', '14', '18'].map((name) => ({ name }));
	const plan = planWith(
		[
			{
				id: 'hours',
				kind: 'timetable',
				title: 'Timetable',
				form: 'grid-table',
				span: 'spread',
				items: hours,
				rules: { 'grid-table': { across: 'weekdays' } }
			},
			{ id: 'due', kind: 'deadlines', title: 'Deadlines', form: 'table' }
		],
		{ notebook: { ...a5, freePages: [{ first: 12, last: 13 }] } }
	);
	const { blocks } = planRun(plan);
	const [left, right] = blocks.find(({ wish }) => wish === 'hours')?.pieces ?? [];
	const [due] = blocks.find(({ wish }) => wish === 'due')?.pieces ?? [];
	// Title 4 + header 1 + 4 rows of 3; planned with rows of 2.
	expect([left?.rect.h, right?.rect.h]).toEqual([17, 17]);
	expect(due?.rect).toMatchObject({ y: 18, h: 22 });
});

test('what grows by its columns gives more room to words, up to twice as much', () => {
	const columns = [
		{ name: 'Item', width: 6 },
		{ name: 'Cost', width: 3, holds: 'money' as const }
	];
	const wish = { id: 'log', kind: 'spending', title: 'Log', form: 'table', columns } as const;
	const widthOf = (tables: number) =>
		planRun(planWith([{ ...wish, rules: { table: { tables } } }])).blocks[0]?.pieces[0].rect.w;
	// 28 − 9 are over, but 6 more is as much as it had.
	expect(widthOf(1)).toBe(15);
	// 28 − (2 × 9 + 2) = 8 are over: 4 for each.
	expect(widthOf(2)).toBe(28);
});

test('days stand in one row all across a page', () => {
	const tracker = (id: string, items: readonly string[]) => ({
		id,
		kind: 'habits',
		title: id,
		form: 'matrix-days-down',
		items: items.map((name) => ({ name }))
	});
	const plan = planWith([tracker('Sums', ['A', 'B']), tracker('Long', ['Concertina', 'Bread'])], {
		aim: 'fewest-pages',
		notebook: { ...a5, freePages: [{ first: 12, last: 12 }] }
	});
	const run = planRun(plan);
	const rowsOf = (wish: string) =>
		pageFields(plan, run, 12).flatMap(({ wish: of, field }) =>
			of === wish ? [[field.about.day, field.y] as const] : []
		);
	const [sums, long] = [new Map(rowsOf('Sums')), new Map(rowsOf('Long'))];
	expect(sums.size).toBe(31);
	expect(sums).toEqual(long);
});
