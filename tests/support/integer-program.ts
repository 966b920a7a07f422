import loadHighs from 'highs';
import { expect } from 'vitest';
import {
	solve,
	type Effort,
	type PackingCache,
	type Problem,
	type Progress
} from '../../src/lib/core/fit/solve';

// Referee: HiGHS, an integer-programming solver that knows nothing of pages.
const highs = await loadHighs();

/** A problem worked out to its end. */
export function solved(problem: Problem, cache?: PackingCache, effort?: Effort): Progress {
	const solving = solve(problem, cache, effort);
	let state = solving.next();
	while (!state.done) state = solving.next();
	return state.value;
}

/** The least price of an integer program; the gaps make it exact for whole prices. */
export function leastPrice(model: string): number {
	const answer = highs.solve(model, { mip_rel_gap: 0, mip_abs_gap: 0.5, output_flag: false });
	expect(answer.Status).toBe('Optimal');
	return Math.round(answer.ObjectiveValue);
}

/** Seeds from 1 on. */
export const seeds = (count: number) => Array.from({ length: count }, (_, index) => index + 1);
/** Seeds in chunks, a test for each. */
export const chunks = (count: number, size: number) =>
	Array.from({ length: count / size }, (_, chunk) =>
		seeds(count).slice(chunk * size, (chunk + 1) * size)
	);
