import { compose } from './compose/compose';
import { stating, type PlannedProblem } from './problem/problem-of';
import type { Plan, Run } from './plan/plan';
import { Meter, metered, PackingCache, solve, type Progress } from './solve';
import { steadied, type Priced } from './problem/steady';
import { explained } from './compose/why-not';

/** A run as it stands while it is still being improved. */
export interface Planning {
	/** The best run so far, drawn up when it is asked for. */
	readonly run: () => Run;
}

/** How much work a planning may take, in choices tried (see `Meter`). */
export interface WorkLimit {
	/** All of it. */
	readonly all: number;
	/** The first search may take so much in any case, however much it took to state the plan. */
	readonly search: number;
}

/** Eight times what the largest ordinary month takes; what is not proven by then is said in the bound. */
export const usualLimit: WorkLimit = { all: 6_000_000, search: 500_000 };

/** A try that is not settled by then counts as it stands. */
const workOfTry = 40_000;

/**
 * Plans bit by bit: hands over after every few milliseconds of work what is best so far (nothing at first), so that
 * whoever drives it can show it, go on or stop; returns the run in the end. It ends after a fixed amount
 * of counted work, so the same plan always gives the same run. `cache` carries what was worked out to the next.
 */
export function* planning(
	plan: Plan,
	cache: PackingCache = new PackingCache(),
	limit: WorkLimit = usualLimit
): Generator<Planning, Run> {
	const meter = new Meter();
	return yield* metered(planned(plan, cache, limit, meter), meter);
}

function* planned(
	plan: Plan,
	cache: PackingCache,
	limit: WorkLimit,
	meter: Meter
): Generator<Planning, Run> {
	function* solved(planned: PlannedProblem, asked = plan, search = 0): Generator<Planning, Solved> {
		const drawUp = ({ best, bound }: Progress) =>
			compose(asked, planned, best, planned.bound ?? bound);
		const solving = solve(planned.problem, cache);
		const until = Math.max(limit.all, meter.spent + search);
		let state = solving.next();
		for (; !state.done && meter.spent < until; state = solving.next()) {
			const { value } = state;
			yield { run: () => drawUp(value) };
		}
		const { value } = state;
		// What has no size on any page cannot be helped by other sizes of the rest.
		const lost = planned.items.some(
			({ pageChoices, spreadChoices }, index) =>
				!value.best.places[index] &&
				[...pageChoices, ...spreadChoices].some((choices) => choices.length > 0)
		);
		return { cost: value.best.cost, run: drawUp(value), all: !lost };
	}
	/** A run for a plan that is only tried, as good as can be told with little work. */
	function* little(other: Plan): Generator<unknown, Run> {
		return (yield* solved(yield* stating(other), other, workOfTry)).run;
	}
	/** A run with the causes of what found no place. */
	function* told(run: Run): Generator<Planning, Run> {
		const explaining = explained(plan, run, little, () => meter.spent >= limit.all);
		return yield* asBefore(explaining, { run: () => run });
	}
	const stated = yield* asBefore(stating(plan), nothingYet);
	const usual = yield* solved(stated, plan, limit.search);
	if (meter.spent >= limit.all) return usual.run;
	const shown = { run: () => usual.run };
	if (usual.all) {
		const steady = steadied(plan, usual, function* (held) {
			return yield* solved(yield* asBefore(stating(held), shown), held);
		});
		return yield* told(yield* asBefore(steady, shown));
	}
	// Before a wish is said to have no place, all are tried at every width.
	yield shown;
	const closer = yield* asBefore(stating(plan, true), shown);
	const thorough = yield* asBefore(solved(closer), shown);
	const found = thorough.cost <= usual.cost ? thorough.run : usual.run;
	return yield* told(found);
}

/** A run that was worked out to the end. */
interface Solved extends Priced {
	/** Whether everything that a page could take has a place. */
	readonly all: boolean;
}

/** What there is to show before the first block has a place. */
const nothingYet: Planning = {
	run: () => ({
		pages: [],
		blocks: [],
		unplaced: [],
		art: [],
		pagesUsed: 0,
		optimal: false,
		bound: 0,
		gap: { pages: 0, leftOut: 0, comfort: 0 }
	})
};

/** Works on, and shows the run that is known as long as none is better for certain. */
function* asBefore<T>(work: Generator<unknown, T>, shown: Planning): Generator<Planning, T> {
	let state = work.next();
	for (; !state.done; state = work.next()) yield shown;
	return state.value;
}

/** The run of a plan: optimal for its aim, or with a bound that says how far from it at most. */
export function planRun(plan: Plan, cache?: PackingCache, limit?: WorkLimit): Run {
	const all = planning(plan, cache, limit);
	let state = all.next();
	while (!state.done) state = all.next();
	return state.value;
}
