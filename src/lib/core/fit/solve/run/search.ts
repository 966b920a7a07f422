import {
	backward,
	build,
	exactOf,
	follow,
	openGroups,
	openOnBestPath,
	prune,
	type Graph
} from './graph';
import { Moves } from './moves';
import type { Move } from './state';
import { Outlook } from './outlook';
import { lowerBound } from '../problem/lower-bound';
import type { Group } from '../pages/group';
import { charge } from '../counted/meter';
import { PackingCache } from '../pages/packing-cache';
import type { Place, Problem, Solution } from '../problem/problem';

/** What is known while a problem is being solved. */
export interface Progress {
	/** The best solution so far. */
	readonly best: Solution;
	/** No solution costs less than this. */
	readonly bound: number;
}

/** How much work goes into what; the result is the same whatever these say. */
export interface Effort {
	/** Work between two looks at the clock, in choices tried. */
	readonly between: number;
	/** States followed on each page by the first, narrow searches. */
	readonly widths: readonly number[];
	/** How often the outlook is sharpened before them. */
	readonly outlooks: number;
	/** How often what is known is improved at most before the next search. */
	readonly rounds: number;
	/** Choices tried for each group before the first search for the best run, and later at a time. */
	readonly first: number;
	readonly later: number;
}

/** What has proved to be quick. */
export const usualEffort: Effort = {
	between: 1000,
	widths: [12, 100],
	outlooks: 2,
	rounds: 5,
	first: 40,
	later: 4000
};

/**
 * Solves a problem exactly, bit by bit: every so much work it hands over the best solution so far and
 * a bound, so that whoever drives it can stop, go on, or show what there is.
 *
 * Runs are paths through states (page, next item, fillers left). Each page's group has a price that is
 * at first only bounded from below; a backward pass over all states with these bounds gives the path
 * that could be best; prices on it are worked out; and so on until the best path has exact prices.
 */
export function* solve(
	problem: Problem,
	cache: PackingCache = new PackingCache(),
	effort: Effort = usualEffort,
	known: Solution = allLost(problem)
): Generator<Progress, Progress> {
	cache.prepare(Math.max(0, ...problem.pages.map(({ w, h }) => w * h)));
	// Leaving things out inside a page is tried only of what costs less than a run may cost: first than
	// one is expected to cost, and in the end than the best one does.
	let dear = 2 * lowerBound(problem);
	let best = known;
	for (;;) {
		const limit = dear;
		const search = new Search(
			problem,
			cache,
			effort,
			(item) => lossOf(problem, item) < limit,
			best
		);
		for (const { best, bound } of inBits(search, effort.between))
			yield { best, bound: Math.min(bound, limit) };
		({ best } = search.progress);
		if (best.cost <= limit) return search.progress;
		dear = best.cost;
	}
}

function lossOf({ items }: Problem, item: number): number {
	return items[item]?.loss ?? 0;
}

/** Hands over what is known whenever so much work has been done. */
function* inBits(search: Search, between: number): Generator<Progress, void> {
	let work = 0;
	for (const spent of search.run()) {
		charge(spent);
		work += spent;
		if (work < between) continue;
		work = 0;
		yield search.progress;
	}
}

class Search {
	private bound: number;
	private readonly moves: Moves;
	private readonly outlook: Outlook;

	constructor(
		private readonly problem: Problem,
		cache: PackingCache,
		private readonly effort: Effort,
		mayLose: (item: number) => boolean,
		private best: Solution
	) {
		this.moves = new Moves(problem, cache, mayLose);
		const { order, groups, fillers, shapes } = this.moves;
		this.outlook = new Outlook(problem, order, groups, fillers, shapes);
		this.bound = lowerBound(problem);
	}

	get progress(): Progress {
		return { best: this.best, bound: Math.min(this.bound, this.best.cost) };
	}

	/** Hands over the work done after each small piece of it. */
	*run(): Generator<number, void> {
		const { moves, outlook, effort } = this;
		for (let round = 0; ; round++) {
			yield* outlook.renew();
			this.bound = Math.max(this.bound, outlook.rest(0, 0, moves.fillers.all, 0, 0));
			const groups = outlook.openGroups();
			if (groups.length === 0 || round >= effort.outlooks) break;
			yield* this.settle(groups, effort.first);
		}
		// Narrow searches first: what they find keeps the whole graph small.
		for (const width of [...effort.widths, Infinity]) {
			const { graph, whole } = yield* build(moves, outlook, this.best.cost, width);
			if (whole) return yield* this.prove(graph);
			yield* this.improve(graph);
		}
	}

	/** Looks for better runs in a part of the graph. */
	private *improve(graph: Graph): Generator<number, void> {
		const { effort } = this;
		for (let round = 0; round < effort.rounds; round++) {
			if (backward(graph) >= this.best.cost) return;
			const groups = openOnBestPath(graph);
			this.consider(yield* follow(graph, effort.later));
			if (groups.length === 0) return;
			yield* this.settle(groups, effort.first);
		}
	}

	/** Narrows the graph of all runs that may be better down to the best one. */
	private *prove(graph: Graph): Generator<number, void> {
		const { effort } = this;
		for (let first = true; ; first = false) {
			this.bound = Math.max(this.bound, backward(graph));
			if (this.bound >= this.best.cost) return;
			prune(graph, this.best.cost);
			const groups = first ? openGroups(graph) : openOnBestPath(graph);
			this.consider(yield* follow(graph, first ? effort.first : effort.later));
			// With every price on the best path known, it is the best there is.
			if (!first && groups.length === 0) return;
			yield* this.settle(groups, first ? effort.first : effort.later);
		}
	}

	private *settle(groups: readonly Group[], budget: number): Generator<number, void> {
		for (const group of groups) yield* group.settle(budget);
	}

	private consider(path: readonly Move[] | undefined): void {
		const found = path && solutionOf(this.problem, this.moves, path);
		if (found && found.cost < this.best.cost) this.best = found;
	}
}

function allLost(problem: Problem): Solution {
	const cost = problem.items.reduce((sum, { loss }) => sum + loss, 0);
	return {
		cost: cost + problem.pageCost * (problem.usedAnyway + 1),
		places: problem.items.map(() => undefined)
	};
}

/** The solution that a path of moves stands for. */
function solutionOf(problem: Problem, moves: Moves, path: readonly Move[]): Solution {
	const places: (Place | undefined)[] = problem.items.map(() => undefined);
	const used = moves.fillers.sorts.map(() => 0);
	const itemOf = (member: number): number => {
		if (member >= 0) return member;
		const sort = -1 - member;
		const item = moves.fillers.sorts[sort]?.items[used[sort] ?? 0];
		used[sort] = (used[sort] ?? 0) + 1;
		if (item === undefined) throw new RangeError('more fillers than there are');
		return item;
	};
	let cost = 0;
	for (const move of path) {
		cost += exactOf(move);
		const { page, group, members, carried } = move;
		if (carried) places[itemOf(carried.item)] = { span: 'spread', page, option: carried.option };
		const rects = group?.places() ?? [];
		for (const [at, member] of members.entries()) {
			const item = itemOf(member);
			const rect = rects[at];
			const option = group?.best?.picks[at];
			if (rect && option !== undefined) places[item] = { span: 'page', page, option, rect };
		}
	}
	return { cost, places };
}
