import { compose } from './compose/compose';
import { hasOpenSize } from './problem/options';
import { stating, type PlannedProblem } from './problem/problem-of';
import { allWishes } from '../wish';
import { sizeSteps, type Plan, type Run, type Sizes } from './plan/plan';
import { Meter, metered, PackingCache, solve, type Progress } from './solve';
import { ordersOf } from './problem/orders';
import { steadied } from './problem/steady';
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

/** So many steps of comfort are given up at most for what stays where it lay. */
const near = 5;

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
	const steps = stepsOf(plan);
	/** Sizes that are through. */
	let [tried] = steps;
	function* solved(
		planned: PlannedProblem,
		asked = plan,
		search = 0,
		before?: Solved
	): Generator<Planning, Solved> {
		const drawUp = ({ best }: Progress, bound: number) => {
			const run = compose(asked, planned, best, { bound, sizes: tried });
			return asked === plan ? run : asListed(plan, run);
		};
		const nowhere = planned.problem.items.map(() => undefined);
		const known = before && { cost: before.cost, places: nowhere };
		const solving = solve(planned.problem, cache, undefined, known);
		const until = Math.max(limit.all, meter.spent + search);
		let state = solving.next();
		for (; !state.done && meter.spent < until; state = solving.next()) {
			const { value } = state;
			yield before ?? { run: () => drawUp(value, planned.bound ?? value.bound) };
		}
		const { value } = state;
		const bound = Math.min(before?.bound ?? Infinity, planned.bound ?? value.bound);
		// What is known already has no places here: it is no run of this order.
		if (before && value.best.cost >= before.cost) return withBound(before, bound);
		// What has no size on any page cannot be helped by other sizes of the rest.
		const lost = planned.items.some(
			({ pageChoices, spreadChoices }, index) =>
				!value.best.places[index] &&
				[...pageChoices, ...spreadChoices].some((choices) => choices.length > 0)
		);
		const { cost } = value.best;
		const draw = (bound: number) => drawUp(value, bound);
		return withBound({ asked, cost, comfort: planned.prices.comfort, draw, all: !lost }, bound);
	}
	/** A run for a plan that is only tried, as good as can be told with little work. */
	function* little(other: Plan): Generator<unknown, Run> {
		return (yield* solved(yield* stating(other), other, workOfTry)).run();
	}
	/** A run with the causes of what found no place. */
	function* told(asked: Plan, run: Run): Generator<Planning, Run> {
		const explaining = explained(asked, run, little, () => meter.spent >= limit.all);
		return yield* asBefore(explaining, { run: () => run });
	}
	/** The best run of all orders with such sizes, each with the best so far as what is known. */
	function* ordered(sizes: Sizes, known?: Solved): Generator<Planning, Solved> {
		let best = known;
		for (const asked of ordersOf(plan)) {
			// Of orders that are not tried nothing is known.
			if (best && meter.spent >= limit.all) return withBound(best, 0);
			const stated = yield* asBefore(stating(asked, sizes), best ?? nothingYet);
			best = yield* solved(stated, asked, best ? 0 : limit.search, best);
		}
		if (!best) throw new RangeError('a plan has an order');
		return best;
	}
	let best = yield* ordered(tried);
	for (const sizes of steps.slice(1)) {
		if (meter.spent >= limit.all) break;
		const wider = yield* ordered(sizes, best);
		// Of sizes that are not through only what is better counts, and no bound.
		const isThrough = meter.spent < limit.all;
		best = isThrough ? wider : withBound(wider, Math.min(wider.cost, best.bound));
		if (isThrough) tried = sizes;
	}
	if (meter.spent >= limit.all) return best.run();
	const { asked, cost, bound } = best;
	const shown = { run: best.run };
	if (!best.all) return yield* told(asked, best.run());
	const steady = steadied(asked, { cost, run: best.run() }, near * best.comfort, function* (held) {
		const found = yield* solved(yield* asBefore(stating(held, tried), shown), held);
		// What is held bounds nothing: without it a run may be a little better.
		return { cost: found.cost, run: found.draw(Math.min(bound, found.bound)) };
	});
	return yield* told(asked, yield* asBefore(steady, shown));
}

/**
 * The sizes that are tried one after the other, up to what the plan asks for. Where pages come first, the least of each counts
 * from the beginning; and nothing is gained by them where all have whole pages or sizes of their own.
 */
function stepsOf({ aim, sizes = 'united', wishes }: Plan): [Sizes, ...Sizes[]] {
	if (!wishes.some(hasOpenSize)) return ['every'];
	const all = sizeSteps.slice(0, sizeSteps.indexOf(sizes) + 1);
	const [first = sizes, ...rest] = aim === 'fewest-pages' && all.length > 1 ? all.slice(1) : all;
	return [first, ...rest];
}

/** The best run of some orders. */
interface Solved extends Planning {
	/** The plan in the order that it is of. */
	readonly asked: Plan;
	readonly cost: number;
	/** What a step of comfort costs. */
	readonly comfort: number;
	/** No run of these orders costs less. */
	readonly bound: number;
	/** The run, where none costs less than so much. */
	readonly draw: (bound: number) => Run;
	/** Whether everything that a page could take has a place. */
	readonly all: boolean;
}

function withBound(solved: Omit<Solved, 'bound' | 'run'>, bound: number): Solved {
	return { ...solved, bound, run: () => solved.draw(bound) };
}

/** A run of the same wishes in another order, told in the order of the list. */
function asListed({ wishes }: Plan, run: Run): Run {
	const order = new Map(allWishes(wishes).map(({ id }, index) => [id, index]));
	const byList = (a: { readonly wish: string }, b: { readonly wish: string }) =>
		(order.get(a.wish) ?? -1) - (order.get(b.wish) ?? -1);
	return { ...run, blocks: run.blocks.toSorted(byList), unplaced: run.unplaced.toSorted(byList) };
}

/** What there is to show before the first block has a place. */
const nothingYet: Planning = {
	run: () => ({
		pages: [],
		blocks: [],
		unplaced: [],
		art: [],
		pagesUsed: 0,
		sizes: 'usual',
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
