import { describe, expect, test } from 'vitest';
import { a5, demoPlan, planWith } from '../../../../tests/support/arbitraries';
import type { Cut } from '../cuts';
import type { Wish } from '../wish';
import { cutFor, planRun, runAlong, strayedCuts, type Plan, type Run } from '.';

// That a cut belongs to what it is made for until it is cut is common practice.

const cover: Wish = { id: 'cover', kind: 'cover' };
const weeks: Wish = {
	id: 'weeks',
	kind: 'weekly-pages',
	weeks: { belong: 'touching', short: 'skip', pagesPerWeek: 2 }
};
const notes = (id: string): Wish => ({ id, kind: 'notes' });
const planOf = (wishes: readonly Wish[], cuts: readonly Cut[] = []): Plan =>
	planWith(wishes, { notebook: { ...a5, freePages: [{ first: 21, last: 60 }] }, cuts });
const firstOf = (run: Run, wish: string) =>
	Math.min(
		...run.blocks
			.filter((block) => block.wish === wish)
			.flatMap(({ pieces }) => pieces.map(({ page }) => page))
	);

/** A door over the inner leaves of the weeks, planned for them where they lie in a plan of these wishes. */
function door(wishes: readonly Wish[], more: Partial<Cut> = {}): Cut {
	const run = planRun(planOf(wishes));
	const first = firstOf(run, 'weeks') + 1;
	const cut: Cut = { id: 'door', kind: 'strip', amount: 8, leaves: { first, last: first + 4 } };
	const purpose = cutFor(run, cut);
	expect(purpose).toEqual({ wish: 'weeks', page: first - 1 });
	return { ...cut, ...(purpose ? { for: purpose } : {}), ...more };
}

describe('a door that is planned for the weeks', () => {
	const wishes = [notes('n1'), weeks];
	const more = [notes('n1'), notes('n2'), notes('n3'), weeks];

	test('goes along when pages are put before them, and comes back', () => {
		const cut = door(wishes);
		const later = runAlong(planOf(more, [cut]));
		const by = firstOf(later.run, 'weeks') - (cut.for?.page ?? 0);
		expect(by).toBe(2);
		expect(later.plan.cuts).toEqual([
			{
				...cut,
				leaves: { first: cut.leaves.first + 2, last: cut.leaves.last + 2 },
				for: { wish: 'weeks', page: (cut.for?.page ?? 0) + 2 }
			}
		]);
		// The weeks keep to the leaves that are cut now: the run is that of the plan with the cut there.
		expect(later.run).toEqual(planRun(later.plan));
		const back = runAlong({ ...later.plan, wishes });
		expect(back.plan.cuts).toEqual([cut]);
		expect(strayedCuts(back.plan, back.run)).toEqual([]);
	});

	test('stays once it is cut, once its leaves are drawn on, and where it is for nothing', () => {
		const cut = door(wishes);
		const { for: _, ...free } = cut;
		for (const stays of [{ ...cut, made: true }, free]) {
			const { plan, run } = runAlong(planOf(more, [stays]));
			expect(plan.cuts).toEqual([stays]);
			expect(strayedCuts(plan, run)).toEqual([]);
		}
		const drawn = { pages: [cut.leaves.first], blocks: [] };
		expect(runAlong({ ...planOf(more, [cut]), drawn }).plan.cuts).toEqual([cut]);
	});
});

test('a window cannot go over to the other side of its leaf, and that is told', () => {
	const window: Cut = {
		id: 'window',
		kind: 'window',
		leaves: { first: 21, last: 21 },
		rect: { x: 9, y: 12, w: 10, h: 12 },
		for: { wish: 'cover', page: 21 }
	};
	expect(firstOf(planRun(planOf([cover], [window])), 'cover')).toBe(21);
	const pinned = { ...cover, pin: { page: 24 } };
	const { plan, run } = runAlong(planOf([pinned], [window]));
	expect(plan.cuts).toEqual([window]);
	expect(strayedCuts(plan, run)).toEqual([{ cut: window, page: 24 }]);
	const two = runAlong(planOf([{ ...cover, pin: { page: 25 } }], [window]));
	expect(two.plan.cuts?.[0]?.leaves).toEqual({ first: 25, last: 25 });
});

test('a plan whose cuts are for nothing is planned as ever', () => {
	const plan = demoPlan();
	const along = runAlong(plan);
	expect(along.plan).toBe(plan);
	expect(along.run).toEqual(planRun(plan));
});
