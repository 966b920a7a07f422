import fc from 'fast-check';
import { expect, test } from 'vitest';
import { often } from '../../../../../tests/support/effort';
import { anyPlan, planWith } from '../../../../../tests/support/arbitraries';
import { brokenRules } from '../../../../../tests/support/judge';
import type { Wish } from '../../wish';
import { laysOf, ownBlocks, planRun, summaryOf, type Lay, type Plan, type Run } from '..';

const moved = (lays: readonly Lay[], run: Run) =>
	lays.filter(({ wish, page }) => {
		const block = ownBlocks(run).find((own) => own.wish === wish);
		return block !== undefined && block.pieces[0].page !== page;
	}).length;

/** A plan without one of its wishes: its run, and the run that keeps what it can where it lay. */
function withoutOne(plan: Plan, n: number) {
	const lays = laysOf(plan, planRun(plan));
	const gone = plan.wishes[n % Math.max(1, plan.wishes.length)];
	const fewer = { ...plan, wishes: plan.wishes.filter((wish) => wish !== gone) };
	return { lays, fewer, free: planRun(fewer), steady: planRun({ ...fewer, lately: lays }) };
}

test('of equally good runs one is taken in which no more wishes have left their pages', () => {
	fc.assert(
		fc.property(anyPlan, fc.nat(), (plan, n) => {
			const { lays, fewer, free, steady } = withoutOne(plan, n);
			expect(brokenRules(fewer, steady)).toEqual([]);
			const { pagesUsed, leftOut } = summaryOf(free);
			expect(summaryOf(steady)).toMatchObject({ pagesUsed, leftOut });
			expect(moved(lays, steady)).toBeLessThanOrEqual(moved(lays, free));
			for (const { as } of steady.blocks)
				expect(as.pin).toEqual(fewer.wishes.find(({ id }) => id === as.id)?.pin ?? as.pin);
		}),
		{ numRuns: often(150) }
	);
});

test('what is given up for it is at most five steps of comfort, and told', () => {
	fc.assert(
		fc.property(anyPlan, fc.nat(), (plan, n) => {
			const { free, steady } = withoutOne(plan, n);
			if (free.bound > 0) return;
			const { pages, leftOut, comfort } = steady.gap;
			expect({ pages, leftOut }).toEqual({ pages: 0, leftOut: 0 });
			expect(comfort).toBeLessThanOrEqual(5);
			if (comfort > 0) expect(steady.optimal).toBe(false);
		}),
		{ numRuns: often(60) }
	);
});

test('what was to face something that is gone keeps its place in the order', () => {
	const whole = { w: 28, h: 40 };
	const notes = (id: string) => ({ id, kind: 'notes', filler: false, size: whole });
	const pageOf = (run: Run, id: string) =>
		run.blocks.find(({ wish }) => wish === id)?.pieces[0].page ?? 0;
	const plan = planWith([notes('a'), { ...notes('b'), facing: 'gone' }, notes('c')]);
	const lately = [
		{ wish: 'a', page: 13 },
		{ wish: 'c', page: 12 }
	];
	const run = planRun({ ...plan, lately });
	expect(brokenRules(plan, run)).toEqual([]);
	expect(pageOf(run, 'a')).toBeLessThan(pageOf(run, 'b'));
});

test('what asks to face another from both pages keeps its place in the order', () => {
	const over = (id: string): Wish => ({
		id,
		kind: 'composed',
		span: 'spread',
		members: [{ id: `${id} tasks`, kind: 'tasks' }]
	});
	const plan = planWith([
		{ id: 'cover', kind: 'cover' },
		over('first'),
		{ ...over('second'), facing: 'cover' }
	]);
	const first = planRun(plan).blocks.find(({ wish }) => wish === 'first')?.pieces[0].page ?? 0;
	const lately = [{ wish: 'first', page: first + 2 }];
	expect(brokenRules(plan, planRun({ ...plan, lately }))).toEqual([]);
});

test('what is left stays where it lay, where that costs nothing', () => {
	const sleep = (id: string) => ({ id, kind: 'sleep', title: 'Sleep' });
	const last = { ...sleep('last'), pin: { page: 16 } };
	const before = planWith([sleep('a'), sleep('b'), last]);
	const lately = laysOf(before, planRun(before));
	const pageOf = (run: Run) => run.blocks.find(({ wish }) => wish === 'b')?.pieces[0].page;
	const after = planWith([sleep('b'), last]);
	expect(lately).toContainEqual({ wish: 'b', page: 13 });
	expect(pageOf(planRun(after))).toBe(12);
	expect(pageOf(planRun({ ...after, lately }))).toBe(13);
});
