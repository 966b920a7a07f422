import { expect, test } from 'vitest';
import { a5, planWith } from '../../../../tests/support/arbitraries';
import { planRun } from '.';
import { arrange, type Fitted } from './arrange';
import type { Rect } from '../paper';

const page = { w: 28, h: 40 };
const fitted = (rect: Rect): Fitted => ({ rect, form: 'matrix', grow: (now) => now });

test('blocks side by side stand in the middle together, but not across what is held there', () => {
	const blocks = [
		{ x: 0, y: 0, w: 12, h: 30 },
		{ x: 13, y: 0, w: 6, h: 34 }
	].map(fitted);
	// 28 − (12 + 1 + 6) = 9 are over.
	expect(arrange(page, [], blocks).map(({ x }) => x)).toEqual([4, 17]);
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
