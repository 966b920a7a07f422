import fc from 'fast-check';
import { expect, test } from 'vitest';
import { often } from '../support/effort';
import {
	lowerBound,
	pack,
	PackingCache,
	solve,
	usualEffort,
	type Effort,
	type Problem,
	type ProblemPage,
	type Progress,
	type SpreadOption
} from '../../src/lib/core/fit/solve';
import { leastPrice, seeds, solved } from '../support/integer-program';
import { cellModel } from '../support/cell-model';
import { faultsOf } from '../support/judge-solution';
import { fitsByRelations } from '../support/pack-by-relations';
import { cutPages, ordinaryMonth, smallProblem } from '../support/problems';

test('rectangles are packed whenever their relations to each other allow it', () => {
	const size = fc.record({
		w: fc.integer({ min: 1, max: 12 }),
		h: fc.integer({ min: 1, max: 12 })
	});
	fc.assert(
		fc.property(fc.array(size, { minLength: 2, maxLength: 5 }), (sizes) => {
			const page = { w: 14, h: 15 };
			const { found } = pack(page, sizes);
			expect(found !== 'none').toBe(fitsByRelations(page, sizes));
		}),
		{ numRuns: often(2000) }
	);
});

test('pages cut at random come back as exactly so many pages', () => {
	for (const seed of seeds(120)) {
		const { problem, pages } = cutPages(seed);
		const { best, bound } = solved(problem);
		expect(faultsOf(problem, best), `seed ${seed}`).toEqual([]);
		expect(bound, `seed ${seed}`).toBe(best.cost);
		const used = best.places.map((place) => (place ? place.page + 1 : Infinity));
		expect(Math.max(...used), `seed ${seed}`).toBe(pages);
	}
});

/** A problem in which every third thing may lie over both pages whole, on pages enough for some. */
function withWholeSpreads(problem: Problem): Problem {
	const h = Math.max(...problem.pages.map((page) => page.h));
	const whole: SpreadOption = { left: h, right: h, cost: 5 };
	const w = Math.max(...problem.pages.map((page) => page.w));
	const pages = Array.from({ length: 8 }, (_, index): ProblemPage => {
		const left = index % 2 === 0;
		const side = left ? 'left' : 'right';
		return {
			w,
			h,
			side,
			options: left ? 0 : 1,
			pair: left ? 0 : undefined,
			obstacles: [],
			held: 0
		};
	});
	const items = problem.items.map((item, index) =>
		index % 3 === 0 && item.page === undefined && !item.facing
			? { ...item, options: item.options.map(() => []), spreads: [[whole]] }
			: item
	);
	return { ...problem, pages, items };
}

test('a solution that is known beforehand, near the best or not, hides no better one', () => {
	for (const seed of seeds(often(600))) {
		const problem = withWholeSpreads(smallProblem(3000 + seed));
		const alone = solved(problem).best.cost;
		for (const over of [1, 16, 100]) {
			const known = { cost: alone + over, places: problem.items.map(() => undefined) };
			const solving = solve(problem, new PackingCache(), usualEffort, known);
			let state = solving.next();
			while (!state.done) state = solving.next();
			expect(state.value.best.cost, `seed ${seed}, ${over} over`).toBe(alone);
		}
	}
});

test('the bound that is known at once holds, whatever others may stand beside', () => {
	for (const seed of seeds(often(300, 2))) {
		const problem = withWholeSpreads(smallProblem(3000 + seed));
		expect(lowerBound(problem), `seed ${seed}`).toBeLessThanOrEqual(solved(problem).best.cost);
	}
});

test('what stands alone leaves out what is bound to its page, where that is cheaper', () => {
	for (const seed of [134, 180]) {
		const problem = smallProblem(seed);
		expect(solved(problem).best.cost).toBe(leastPrice(cellModel(problem)));
	}
});

test('whenever it is broken off there is a legal run, and its bound holds', () => {
	const problems = [
		...seeds(40).map((seed) => smallProblem(1000 + seed)),
		...seeds(3).map((seed) => ordinaryMonth(20, seed, 'balanced')),
		...seeds(2).map((seed) => ordinaryMonth(20, seed, 'balanced', 3))
	];
	for (const problem of problems) {
		const states: Progress[] = [];
		const fine: Effort = { ...usualEffort, between: 50 };
		const solving = solve(problem, new PackingCache(), fine);
		let state = solving.next();
		for (; !state.done; state = solving.next()) states.push(state.value);
		const { cost } = state.value.best;
		let last = Infinity;
		for (const { best, bound } of states) {
			expect(bound).toBeLessThanOrEqual(cost);
			expect(best.cost).toBeLessThanOrEqual(last);
			if (best.cost < last) expect(faultsOf(problem, best)).toEqual([]);
			last = best.cost;
		}
	}
});

test('problems worked on by turns, while what is kept is forgotten, cost what they cost alone', () => {
	const fine: Effort = { ...usualEffort, between: 50 };
	for (const seed of seeds(often(40, 12))) {
		const cache = new PackingCache(0);
		const aim = seed % 2 ? 'balanced' : 'fewest-pages';
		const problems = [1, 2, 3, 4].map((nth) => ordinaryMonth(6, 10 * seed + nth, aim));
		const turns = problems.map((problem) => solve(problem, cache, fine));
		const found: (Progress | undefined)[] = problems.map(() => undefined);
		while (found.includes(undefined))
			for (const [at, turn] of turns.entries()) {
				const { done, value } = found[at] ? {} : turn.next();
				if (done) found[at] = value;
			}
		for (const [at, problem] of problems.entries()) {
			const alone = solved(problem);
			const { best, bound } = found[at] ?? alone;
			expect(faultsOf(problem, best), `seed ${seed}`).toEqual([]);
			expect([best.cost, bound], `seed ${seed}`).toEqual([alone.best.cost, alone.bound]);
		}
	}
});

test('however the work is divided, the price is the same', () => {
	const cache = new PackingCache();
	for (const aim of ['fewest-pages', 'balanced', 'roomiest'] as const)
		for (const seed of seeds(2)) {
			const problem = ordinaryMonth(often(60, 36), seed, aim);
			const usual = solved(problem, cache);
			expect(faultsOf(problem, usual.best)).toEqual([]);
			expect(usual.bound).toBe(usual.best.cost);
			const lazy: Effort = {
				between: 500,
				widths: [3],
				outlooks: 0,
				rounds: 0,
				first: 0,
				later: 300
			};
			const eager: Effort = {
				between: 9000,
				widths: [40, 400],
				outlooks: 9,
				rounds: 90,
				first: 400,
				later: 90_000
			};
			for (const effort of [lazy, eager]) {
				const other = solved(problem, new PackingCache(0), effort);
				expect(other.best.cost, `${aim} ${seed}`).toBe(usual.best.cost);
			}
		}
});
