import { compose } from './compose';
import { problemOf } from './problem-of';
import type { Plan, Run } from './plan';
import { PackingCache, solve, type Progress } from './solve';

/** A run as it stands while it is still being improved. */
export interface Planning {
	/** The best run so far, drawn up when it is asked for. */
	readonly run: () => Run;
}

/** So many steps are enough for any usual month; what is not proven by then is said in the bound. */
const mostSteps = 1000;

/**
 * Plans bit by bit: hands over after every few milliseconds of work what is best so far, so that
 * whoever drives it can show it, go on or stop; returns the run in the end. It ends after a fixed amount
 * of work, so the same plan always gives the same run. `cache` carries what was worked out to the next.
 */
export function* planning(
	plan: Plan,
	cache: PackingCache = new PackingCache(),
	steps = mostSteps
): Generator<Planning, Run> {
	const planned = problemOf(plan);
	const drawUp = ({ best, bound }: Progress) =>
		compose(plan, planned, best, planned.bound ?? bound);
	const solving = solve(planned.problem, cache);
	let state = solving.next();
	for (let step = 0; !state.done && step < steps; step++) {
		const { value } = state;
		yield { run: () => drawUp(value) };
		state = solving.next();
	}
	return drawUp(state.value);
}

/** The run of a plan: optimal for its aim, or with a bound that says how far from it at most. */
export function planRun(plan: Plan, cache?: PackingCache, steps?: number): Run {
	const all = planning(plan, cache, steps);
	let state = all.next();
	while (!state.done) state = all.next();
	return state.value;
}
