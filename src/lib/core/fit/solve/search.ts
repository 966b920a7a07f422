import { Moves, type Move, type State, type Worth } from './moves';
import { PackingCache, type Group } from './pricing';
import type { Place, Problem, Solution } from './problem';

/** What is known while a problem is being solved. */
export interface Progress {
	/** The best solution so far. */
	readonly best: Solution;
	/** No solution costs less than this. */
	readonly bound: number;
}

interface Edge {
	readonly move: Move;
	readonly to: Node | undefined;
}

interface Node {
	readonly state: State;
	/** Least price of getting here as far as is known, and with an estimate of the rest. */
	before: number;
	promise: number;
	/** Least price of going on from here, as far as is known. */
	rest: number;
	edges: Edge[];
}

/** How much work goes into what; the result is the same whatever these say. */
export interface Effort {
	/** Work between two looks at the clock, in choices tried. */
	readonly between: number;
	/** States followed on each page by the first, narrow search. */
	readonly width: number;
	/** Choices tried for each group before the first search for the best run, and later at a time. */
	readonly first: number;
	readonly later: number;
}

const usualEffort: Effort = { between: 4000, width: 12, first: 40, later: 4000 };

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
	effort: Effort = usualEffort
): Generator<Progress, Progress> {
	cache.prepare(Math.max(0, ...problem.pages.map(({ w, h }) => w * h)));
	// Mostly nothing but cheap losses happens inside a page; the rest is tried only when it matters.
	const cheap = Math.min(...problem.items.map(({ loss }) => loss), Infinity);
	const narrow = yield* search(
		problem,
		cache,
		effort,
		(item) => problem.items[item]?.loss === cheap
	);
	const dear = narrow.best.places.some(
		(place, item) => !place && (problem.items[item]?.loss ?? 0) > cheap
	);
	if (!dear) return narrow;
	const wide = yield* search(problem, cache, effort, () => true, narrow.best);
	return wide;
}

/** A price that no solution is below, at once: every item at its cheapest, the area it takes paid for. */
export function lowerBound(problem: Problem): number {
	const moves = new Moves(problem, new PackingCache(), () => false);
	return new Estimate(problem, moves).of(moves.start);
}

function* search(
	problem: Problem,
	cache: PackingCache,
	effort: Effort,
	mayLose: (item: number) => boolean,
	known?: Solution
): Generator<Progress, Progress> {
	const moves = new Moves(problem, cache, mayLose);
	const estimate = new Estimate(problem, moves);
	let best = known ?? allLost(problem);
	const better = (solution: Solution | undefined) => {
		if (solution && solution.cost < best.cost) best = solution;
	};
	better(greedy(moves, estimate, effort.first));
	// A narrow search first: what it finds keeps the full graph small.
	const narrow = build(moves, estimate, best.cost, effort.width);
	backward(narrow);
	better(follow(narrow, problem, effort.later));
	yield { best, bound: estimate.of(moves.start) };

	const graph = build(moves, estimate, best.cost, Infinity);
	backward(graph);
	better(follow(graph, problem, effort.later));
	prune(graph, best.cost);
	let work = 0;
	let first = true;
	for (;;) {
		const bound = Math.min(backward(graph), best.cost);
		if (bound >= best.cost) return { best, bound };
		const groups = first ? openGroups(graph) : onBestPath(graph);
		better(follow(graph, problem, effort.later));
		// With every price on the best path known, it is the best there is.
		if (!first && groups.length === 0) return { best, bound };
		for (const group of groups) {
			work += group.settle(first ? effort.first : effort.later);
			if (work > effort.between) {
				work = 0;
				yield { best, bound };
			}
		}
		prune(graph, best.cost);
		first = false;
	}
}

function allLost(problem: Problem): Solution {
	const cost = problem.items.reduce((sum, { loss }) => sum + loss, 0);
	return {
		cost: cost + problem.pageCost * (problem.usedAnyway + 1),
		places: problem.items.map(() => undefined)
	};
}

/** A quick lower bound of what is still to come: every item at its cheapest, its area paid for. */
class Estimate {
	private readonly ordered: readonly number[];
	private readonly fillers: readonly number[];

	constructor(
		private readonly problem: Problem,
		moves: Moves
	) {
		const { items, pages, pageCost } = problem;
		const largest = Math.max(1, ...pages.map(({ w, h }) => w * h));
		const least = (index: number) => {
			const item = items[index];
			if (!item) return 0;
			const prices = [item.loss];
			for (const options of item.options)
				for (const { w, h, cost } of options) prices.push(cost + (pageCost * w * h) / largest);
			for (const [pair, options] of item.spreads.entries()) {
				const page = pages.findIndex((page) => page.pair === pair);
				const widths = [pages[page]?.w ?? 0, pages[page + 1]?.w ?? 0] as const;
				for (const { left, right, cost } of options)
					prices.push(cost + (pageCost * (left * widths[0] + right * widths[1])) / largest);
			}
			return Math.min(...prices);
		};
		const ordered = [0];
		for (const index of [...moves.order].reverse())
			ordered.push((ordered.at(-1) ?? 0) + least(index));
		this.ordered = ordered.reverse();
		this.fillers = moves.sorts.map(({ items }) => least(items[0] ?? 0));
	}

	of({ page, next, fillers, top }: State): number {
		return this.rest(page, next, fillers, top);
	}

	rest(page: number, next: number, fillers: readonly number[], top: number): number {
		let sum = this.ordered[next] ?? 0;
		for (const [sort, count] of fillers.entries()) sum += count * (this.fillers[sort] ?? 0);
		// Rows that a spread took of this page were paid for by the spread.
		if (top > 0) sum -= this.problem.pageCost * (top / Math.max(1, this.tallest(page)));
		return Math.max(0, Math.ceil(sum - 1e-6));
	}

	private tallest(page: number): number {
		const { pages } = this.problem;
		const largest = Math.max(1, ...pages.map(({ w, h }) => w * h));
		return largest / Math.max(1, pages[page]?.w ?? 1);
	}
}

const lowerOf = ({ cost, group }: Move) => cost + (group?.lower ?? 0);
const exactOf = ({ cost, group }: Move) => (group ? cost + (group.best?.cost ?? Infinity) : cost);

/** A first run: at each page the step that promises most, with its exact price. */
function greedy(moves: Moves, estimate: Estimate, budget: number): Solution | undefined {
	const path: Move[] = [];
	let state: State | 'end' = moves.start;
	while (state !== 'end') {
		const steps: { move: Move; promise: number; after: number }[] = moves
			.from(state, () => true)
			.map((move) => {
				const after = move.to === 'end' ? 0 : estimate.of(move.to);
				return { move, after, promise: lowerOf(move) + after };
			});
		steps.sort((a, b) => a.promise - b.promise);
		let chosen: { move: Move; price: number } | undefined;
		for (const { move, promise, after } of steps) {
			if (chosen && chosen.price <= promise) break;
			move.group?.settle(budget);
			const price = exactOf(move) + after;
			if (price < Infinity && (!chosen || price < chosen.price)) chosen = { move, price };
		}
		if (!chosen) return undefined;
		path.push(chosen.move);
		state = chosen.move.to;
	}
	return solution(moves.problem, path);
}

/**
 * The nodes that a run cheaper than `most` may pass, in an order in which every edge leads on. Of each
 * page's nodes only the `width` most promising are followed.
 */
function build(moves: Moves, estimate: Estimate, most: number, width: number): Node[] {
	const steps = moves.order.length + 1;
	const layers: Map<string, Node>[] = Array.from(
		{ length: (moves.problem.pages.length + 1) * steps },
		() => new Map<string, Node>()
	);
	const node = (state: State, before: number): Node => {
		const layer = layers[state.page * steps + state.next];
		const key = moves.key(state);
		let found = layer?.get(key);
		if (!found) {
			found = { state, before, promise: before + estimate.of(state), rest: Infinity, edges: [] };
			layer?.set(key, found);
		} else if (before < found.before) {
			found.promise -= found.before - before;
			found.before = before;
		}
		return found;
	};
	node(moves.start, 0);
	for (let first = 0; first < layers.length; first += steps) {
		const page = layers.slice(first, first + steps);
		const promises = page.flatMap((layer) => [...layer.values()].map(({ promise }) => promise));
		const limit = promises.sort((a, b) => a - b)[width - 1] ?? Infinity;
		for (const layer of page)
			for (const from of layer.values()) {
				if (from.promise > limit) continue;
				const worth: Worth = (price, ...left) =>
					from.before + price + estimate.rest(...left) < most;
				for (const move of moves.from(from.state, worth)) {
					const price = from.before + lowerOf(move);
					if (move.to === 'end') {
						if (price < most) from.edges.push({ move, to: undefined });
					} else if (price + estimate.of(move.to) < most)
						from.edges.push({ move, to: node(move.to, price) });
				}
			}
	}
	return layers.flatMap((layer) => [...layer.values()]);
}

/** Works out from the end how dear the rest of a run is at least; gives it for the start. */
function backward(graph: readonly Node[]): number {
	for (let at = graph.length - 1; at >= 0; at--) {
		const node = graph[at];
		if (!node) continue;
		node.rest = Infinity;
		for (const { move, to } of node.edges) {
			const price = lowerOf(move) + (to ? to.rest : 0);
			if (price < node.rest) node.rest = price;
		}
	}
	return graph[0]?.rest ?? Infinity;
}

/** Drops what cannot be part of a run that costs less than `most`, from the start on. */
function prune(graph: readonly Node[], most: number): void {
	for (const node of graph) node.before = Infinity;
	const [start] = graph;
	if (start) start.before = 0;
	for (const node of graph) {
		if (node.before === Infinity) node.edges = [];
		node.edges = node.edges.filter(({ move, to }) => {
			const price = node.before + lowerOf(move);
			if (price + (to ? to.rest : 0) >= most) return false;
			if (to) to.before = Math.min(to.before, price);
			return true;
		});
	}
}

/** Groups whose price is open, the smallest first. */
function openGroups(graph: readonly Node[]): Group[] {
	const groups = new Set<Group>();
	for (const { edges } of graph)
		for (const { move } of edges) if (move.group && !move.group.settled) groups.add(move.group);
	return [...groups];
}

/** The edge on the best path from a node. */
function bestEdge(node: Node, priceOf: (move: Move) => number): Edge | undefined {
	let best: Edge | undefined;
	let least = Infinity;
	for (const edge of node.edges) {
		const price = priceOf(edge.move) + (edge.to ? edge.to.rest : 0);
		if (price < least) {
			least = price;
			best = edge;
		}
	}
	return best;
}

/** Open groups on the path that looks best. */
function onBestPath(graph: readonly Node[]): Group[] {
	const groups: Group[] = [];
	let node = graph[0];
	while (node) {
		const edge = bestEdge(node, lowerOf);
		if (edge?.move.group && !edge.move.group.settled) groups.push(edge.move.group);
		node = edge?.to;
	}
	return groups;
}

/** A run along the best path with exact prices: where a price is too high another step is taken. */
function follow(graph: readonly Node[], problem: Problem, budget: number): Solution | undefined {
	const path: Move[] = [];
	let node = graph[0];
	while (node) {
		const steps = node.edges
			.map((edge) => ({ edge, promise: lowerOf(edge.move) + (edge.to ? edge.to.rest : 0) }))
			.sort((a, b) => a.promise - b.promise);
		let chosen: { edge: Edge; price: number } | undefined;
		for (const { edge, promise } of steps) {
			if (chosen && chosen.price <= promise) break;
			edge.move.group?.settle(budget);
			const price = exactOf(edge.move) + (edge.to ? edge.to.rest : 0);
			if (price < Infinity && (!chosen || price < chosen.price)) chosen = { edge, price };
		}
		if (!chosen) return undefined;
		path.push(chosen.edge.move);
		node = chosen.edge.to;
	}
	return solution(problem, path);
}

/** The solution that a path of moves stands for. */
function solution(problem: Problem, path: readonly Move[]): Solution {
	const places: (Place | undefined)[] = problem.items.map(() => undefined);
	let cost = 0;
	for (const move of path) {
		cost += exactOf(move);
		const { page, group, members, carried } = move;
		if (carried) places[carried.item] = { span: 'spread', page, option: carried.option };
		const rects = group?.places() ?? [];
		for (const [at, item] of members.entries()) {
			const rect = rects[at];
			const option = group?.best?.picks[at];
			if (rect && option !== undefined) places[item] = { span: 'page', page, option, rect };
		}
	}
	return { cost, places };
}
