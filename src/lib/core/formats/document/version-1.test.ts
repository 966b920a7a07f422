import { describe, expect, test } from 'vitest';
import months from '../../../../../tests/support/version-1/months.json';
import { planRun } from '../../fit';
import { checked, planSchema, toPlan, wishFromVersion1 } from '..';

// Documents as version 1 wrote them, with the runs that it planned for them: every kind as it started, and random ones
// (of sixteen two were left out: more sizes are tried now, and a kind that had two forms keeps the first).

// All kinds, among them a timeline of goals that takes one page now; and work hours, which have columns of values now.
const ruledOtherwise = new Set([0, 10]);
/**
 * Weeks that only their middle day makes the month's are drawn whole now, columns of a week are parts of its days, and a box
 * a single square wide (w8) is none.
 */
const ruledAsWeeks = new Map([[1, ['w5', 'w6', 'w8']]]);

const planOf = (document: unknown) => {
	const read = checked(planSchema, document);
	if (!read.ok) throw new Error(JSON.stringify(read.faults));
	return toPlan(read.value);
};

describe('documents of version 1', () => {
	test.each(months.map((month, index) => [index, month] as const))(
		'month %i has the same blocks as before',
		(index, { document, blocks, unplaced }) => {
			const run = planRun(planOf(document));
			const others = (wish: unknown) => !ruledAsWeeks.get(index)?.some((own) => own === wish);
			expect(run.unplaced.map(({ wish }) => wish).filter(others)).toEqual(unplaced.filter(others));
			if (ruledOtherwise.has(index)) return;
			// Where a page is shared has prices now, so places may differ; what stands in the book, and how it is ruled, may not.
			expect(
				run.blocks.filter(({ wish }) => others(wish)).map(({ wish, form }) => [wish, form])
			).toEqual(blocks.filter(([wish]) => others(wish)).map(([wish, form]) => [wish, form]));
		}
	);

	test('give each form of the bag what it read, and what is written to all', () => {
		const wish = {
			id: 'a',
			kind: 'habits',
			title: 'Habits',
			cell: { w: 2, h: 2 },
			across: 10,
			marking: 'fill',
			split: 3
		};
		expect(wishFromVersion1(wish)).toEqual({
			id: 'a',
			kind: 'habits',
			title: 'Habits',
			rules: {
				'mini-calendar-set': { across: 10, cell: 2, done: 'filled' },
				strips: { across: 10, done: 'filled' },
				'matrix-days-down': { done: 'filled' },
				'matrix-days-across': { done: 'filled' },
				'rhythm-boxes': { done: 'filled' },
				ring: { cell: 2, done: 'filled' }
			}
		});
	});

	test('with the twelve months as a part say so in a rule', () => {
		const wish = { id: 'a', kind: 'year-strip', parts: ['months'], items: [{ name: 'x' }] };
		expect(wishFromVersion1(wish)).toEqual({
			id: 'a',
			kind: 'year-strip',
			form: 'grid-table',
			items: [{ name: 'x' }],
			rules: { 'grid-table': { across: 'months' } }
		});
	});

	test('keep what is drawn as it was drawn', () => {
		const [first] = months;
		const document = {
			...first?.document,
			wishes: [],
			drawn: {
				pages: [12],
				blocks: [
					{
						wish: { id: 'w', kind: 'weekly-pages', week: 3, across: 2, folded: [1, 2] },
						form: 'week-halves',
						pieces: [{ page: 12, rect: { x: 0, y: 0, w: 28, h: 40 } }]
					}
				]
			}
		};
		expect(planOf(document).drawn?.blocks[0]?.wish).toEqual({
			id: 'w',
			kind: 'weekly-pages',
			part: { week: 3, page: 2, folded: [1, 2] }
		});
	});
});
