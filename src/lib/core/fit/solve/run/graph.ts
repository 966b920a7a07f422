import type { Moves } from './moves';
import type { Move, State, Worth } from './state';
import type { Outlook } from './outlook';
import type { Group } from '../pages/group';

interface Edge {
	readonly move: Move;
	/** Where it leads, or nothing for the end. */
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

/** States and the moves between them, in an order in which every move leads on. */
export type Graph = readonly Node[];

/** A graph, and whether it has every state that was asked for. */
interface Built {
	readonly graph: Graph;
	readonly whole: boolean;
}

export const lowerOf = ({ cost, group }: Move) => cost + (group?.lower ?? 0);
export const exactOf = ({ cost, group }: Move) =>
	group ? cost + (group.best?.cost ?? Infinity) : cost;
const promiseOf = ({ move, to }: Edge) => lowerOf(move) + (to ? to.rest : 0);

const promised = (outlook: Outlook, { page, next, fillers, top, host }: State) =>
	outlook.rest(page, next, fillers, top, host);

/**
 * The states that a run cheaper than `most` may pass. Of each page's states only the `width` most
 * promising are followed; from the others there is only the end. Hands over after each state.
 */
export function* build(
	moves: Moves,
	outlook: Outlook,
	most: number,
	width: number
): Generator<number, Built> {
	const steps = moves.order.length + 1;
	const layers: Map<number | string, Node>[] = [];
	const node = (state: State, before: number): Node => {
		const layer = (layers[state.page * steps + state.next] ??= new Map<number | string, Node>());
		const key = moves.key(state);
		let found = layer.get(key);
		if (!found) {
			found = {
				state,
				before,
				promise: before + promised(outlook, state),
				rest: Infinity,
				edges: []
			};
			layer.set(key, found);
		} else if (before < found.before) {
			found.promise -= found.before - before;
			found.before = before;
		}
		return found;
	};
	node(moves.start, 0);
	const graph: Node[] = [];
	let whole = true;
	for (let page = 0; page <= moves.problem.pages.length; page++) {
		let limit = Infinity;
		if (width < Infinity) {
			const promises: number[] = [];
			for (let next = 0; next < steps; next++)
				for (const { promise } of layers[page * steps + next]?.values() ?? [])
					promises.push(promise);
			limit = promises.sort((a, b) => a - b)[width - 1] ?? Infinity;
		}
		for (let next = 0; next < steps; next++)
			for (const from of layers[page * steps + next]?.values() ?? []) {
				graph.push(from);
				if (from.promise > limit) {
					whole = false;
					from.edges.push({ move: moves.giveUp(from.state), to: undefined });
					continue;
				}
				const worth: Worth = (price, ...left) => from.before + price + outlook.rest(...left) < most;
				for (const move of moves.from(from.state, worth)) {
					const price = from.before + lowerOf(move);
					if (move.to === 'end') {
						if (price < most) from.edges.push({ move, to: undefined });
					} else if (price + promised(outlook, move.to) < most)
						from.edges.push({ move, to: node(move.to, price) });
				}
				yield 20 + from.edges.length;
			}
	}
	return { graph, whole };
}

/** Works out from the end how dear the rest of a run is at least; gives it for the start. */
export function backward(graph: Graph): number {
	for (let at = graph.length - 1; at >= 0; at--) {
		const node = graph[at];
		if (!node) continue;
		node.rest = Infinity;
		for (const edge of node.edges) node.rest = Math.min(node.rest, promiseOf(edge));
	}
	return graph[0]?.rest ?? Infinity;
}

/** Drops what cannot be part of a run that costs less than `most`, from the start on. */
export function prune(graph: Graph, most: number): void {
	for (const node of graph) node.before = Infinity;
	const [start] = graph;
	if (start) start.before = 0;
	for (const node of graph) {
		if (node.before === Infinity) node.edges = [];
		node.edges = node.edges.filter((edge) => {
			if (node.before + promiseOf(edge) >= most) return false;
			if (edge.to) edge.to.before = Math.min(edge.to.before, node.before + lowerOf(edge.move));
			return true;
		});
	}
}

/** Groups whose price is open. */
export function openGroups(graph: Graph): Group[] {
	const groups = new Set<Group>();
	for (const { edges } of graph)
		for (const { move } of edges) if (move.group && !move.group.settled) groups.add(move.group);
	return [...groups];
}

/** Open groups on the path that looks best. */
export function openOnBestPath(graph: Graph): Group[] {
	const groups: Group[] = [];
	let node = graph[0];
	while (node) {
		let best: Edge | undefined;
		for (const edge of node.edges) if (!best || promiseOf(edge) < promiseOf(best)) best = edge;
		if (best?.move.group && !best.move.group.settled) groups.push(best.move.group);
		node = best?.to;
	}
	return groups;
}

/** A run along the best path with exact prices: where a price is too high another move is taken. */
export function* follow(
	graph: Graph,
	budget: number
): Generator<number, readonly Move[] | undefined> {
	const path: Move[] = [];
	let node = graph[0];
	while (node) {
		let chosen: Edge | undefined;
		let least = Infinity;
		for (const edge of [...node.edges].sort((a, b) => promiseOf(a) - promiseOf(b))) {
			if (least <= promiseOf(edge)) break;
			const { move, to } = edge;
			if (move.group) yield* move.group.settle(budget);
			const price = exactOf(move) + (to ? to.rest : 0);
			if (price >= least) continue;
			least = price;
			chosen = edge;
		}
		if (!chosen) return undefined;
		path.push(chosen.move);
		node = chosen.to;
	}
	return path;
}
