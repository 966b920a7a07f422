import type { Goal } from '../forms';
import { fullStretches, minutesOf, type Bandwidth, type Overload } from './load';

/** Goals with other days, so that there is time for all of them. */
export interface Leveled {
	readonly goals: readonly Goal[];
	/** Days that starts and ends were moved, all together. */
	readonly moved: number;
	/** Whether fewer are impossible. */
	readonly proven: boolean;
}

/** So many ways are looked at; after them the best that is known is taken, without a proof. */
const mostLooks = 3_000;

/** Goals on their way: what it took, what it takes at the least, and the stretch that asks the most of it. */
interface State {
	readonly goals: readonly Goal[];
	readonly moved: number;
	readonly least: number;
	readonly fullest: Overload | undefined;
}

/**
 * The least moving of starts and ends, in days, that leaves time for every goal, within the month and with each slack
 * behind its goal; undefined where no moving does it. Of goals that fill a stretch of days beyond its time at least one must
 * begin before it or end after it: each such way is followed, the cheapest first (A*, with `needed` as its bound).
 */
export function leveled(goals: readonly Goal[], bandwidth: Bandwidth): Leveled | undefined {
	const widest = goals.map((goal) => ({ ...goal, from: 1, to: lastEnd(goal, bandwidth) }));
	if (fullStretches(widest, bandwidth).length > 0) return undefined;
	const open: State[] = [stateOf(goals, 0, bandwidth)];
	const seen = new Set<string>();
	for (let looks = 0; looks < mostLooks; looks++) {
		const state = open.shift();
		if (!state) return undefined;
		const { fullest, moved } = state;
		if (!fullest) return { goals: state.goals, moved, proven: true };
		for (const { at, days, goal } of waysOut(state.goals, fullest, bandwidth)) {
			const changed = state.goals.with(at, goal);
			const key = changed.map(({ from, to }) => `${from}-${to}`).join();
			if (seen.has(key)) continue;
			seen.add(key);
			insert(open, stateOf(changed, moved + days, bandwidth));
		}
	}
	return oneByOne(goals, bandwidth);
}

/** Keeps the cheapest first, and of equally cheap ones the one that is further on. */
function insert(open: State[], state: State): void {
	let [low, high] = [0, open.length];
	while (low < high) {
		const middle = (low + high) >> 1;
		const other = open[middle];
		const before =
			other !== undefined &&
			(other.least < state.least || (other.least === state.least && other.moved >= state.moved));
		if (before) low = middle + 1;
		else high = middle;
	}
	open.splice(low, 0, state);
}

/** A state with its bound: stretches that share no day have no goal in common, so what they need adds up. */
function stateOf(goals: readonly Goal[], moved: number, bandwidth: Bandwidth): State {
	const full = fullStretches(goals, bandwidth)
		.map((stretch) => ({ stretch, needs: needed(goals, stretch, bandwidth) }))
		.sort(
			(a, b) => b.needs - a.needs || a.stretch.to - a.stretch.from - (b.stretch.to - b.stretch.from)
		);
	const apart: Overload[] = [];
	let least = moved;
	for (const { stretch, needs } of full) {
		if (apart.some((other) => stretch.from <= other.to && other.from <= stretch.to)) continue;
		apart.push(stretch);
		least += needs;
	}
	return { goals, moved, least, fullest: full[0]?.stretch };
}

/**
 * Days that goals in a stretch must be moved at the least: what does not fit into it needs so many days outside, each of
 * which gives no more than its time, and before a goal reaches them it goes to the stretch's edge.
 */
function needed(goals: readonly Goal[], stretch: Overload, bandwidth: Bandwidth): number {
	const inside = goals.filter(({ from, to }) => stretch.from <= from && to <= stretch.to);
	const toLeft = Math.min(...inside.map(({ from }) => from - stretch.from));
	const toRight = Math.min(...inside.map(({ to }) => stretch.to - to));
	const missing = stretch.wanted - stretch.there;
	let best = Infinity;
	let before = 0;
	for (let left = 0; left < stretch.from; left++) {
		if (left > 0) before += bandwidth[stretch.from - 1 - left] ?? 0;
		let given = before;
		for (let right = 0; stretch.to + right <= bandwidth.length; right++) {
			if (right > 0) given += bandwidth[stretch.to + right - 1] ?? 0;
			if (given < missing) continue;
			const reach = (left > 0 ? toLeft : 0) + (right > 0 ? toRight : 0);
			best = Math.min(best, left + right + reach);
			break;
		}
	}
	return best;
}

const lastEnd = ({ slack = 0 }: Goal, bandwidth: Bandwidth) => bandwidth.length - slack;

/** Each goal in a stretch, begun just before it or ended just after it. */
function waysOut(goals: readonly Goal[], { from, to }: Overload, bandwidth: Bandwidth) {
	return goals.flatMap((goal, at) => {
		if (goal.from < from || goal.to > to || minutesOf(goal) === 0) return [];
		const later = { at, days: to + 1 - goal.to, goal: { ...goal, to: to + 1 } };
		const earlier = { at, days: goal.from - (from - 1), goal: { ...goal, from: from - 1 } };
		return [...(to < lastEnd(goal, bandwidth) ? [later] : []), ...(from > 1 ? [earlier] : [])];
	});
}

/** The fullest stretch first, each time by the cheapest way out of it: what is taken where the best takes too long. */
function oneByOne(goals: readonly Goal[], bandwidth: Bandwidth): Leveled | undefined {
	let state = stateOf(goals, 0, bandwidth);
	while (state.fullest) {
		const [way] = waysOut(state.goals, state.fullest, bandwidth).sort((a, b) => a.days - b.days);
		if (!way) return undefined;
		state = stateOf(state.goals.with(way.at, way.goal), state.moved + way.days, bandwidth);
	}
	return { goals: state.goals, moved: state.moved, proven: false };
}
