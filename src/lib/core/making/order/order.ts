/** Something to do, and how long it keeps from leaving the book afterwards. */
export interface Job {
	readonly length: number;
	readonly tail: number;
	/** Where it is done, such as the left page; one place where nothing is said. */
	readonly place?: number;
	/** A place on which nothing may be wet when it begins. */
	readonly clear?: number;
}

/** The second job begins so long after the end of the first at the earliest. */
export interface Delay {
	readonly from: number;
	readonly to: number;
	readonly least: number;
}

/** Jobs for one pair of hands, with their delays; lengths are whole numbers of any one unit. */
export interface OrderProblem {
	readonly jobs: readonly Job[];
	readonly delays: readonly Delay[];
}

export interface Placed {
	readonly job: number;
	readonly start: number;
	readonly end: number;
}

/** An order with all waiting in it, and how good it is. */
export interface Ordered {
	readonly order: readonly Placed[];
	/** When all is done and the book may be left. */
	readonly end: number;
	/** No order ends before this. */
	readonly bound: number;
	readonly proven: boolean;
}

/** Places that are looked at before the best order so far is taken. */
const mostNodes = 100_000;
/** Jobs are members of a set that is kept in the bits of a number. */
const mostJobs = 30;

interface Graph {
	readonly before: readonly (readonly Delay[])[];
	readonly after: readonly (readonly Delay[])[];
	/** Every job behind those that come before it. */
	readonly along: readonly number[];
	/** From a job's end to the end of all that must follow it. */
	readonly rest: readonly number[];
}

/** @throws RangeError where jobs wait for each other in a circle, or there are too many. */
function graphOf({ jobs, delays }: OrderProblem): Graph {
	if (jobs.length > mostJobs) throw new RangeError(`${jobs.length} jobs; ${mostJobs} are possible`);
	const before = jobs.map((_, job) => delays.filter(({ to }) => to === job));
	const after = jobs.map((_, job) => delays.filter(({ from }) => from === job));
	const along: number[] = [];
	while (along.length < jobs.length) {
		const next = jobs.findIndex(
			(_, job) => !along.includes(job) && before[job]?.every(({ from }) => along.includes(from))
		);
		if (next < 0) throw new RangeError('jobs wait for each other in a circle');
		along.push(next);
	}
	const rest = jobs.map(({ tail }) => tail);
	for (const job of along.toReversed())
		for (const { to, least } of after[job] ?? [])
			rest[job] = Math.max(rest[job] ?? 0, least + (jobs[to]?.length ?? 0) + (rest[to] ?? 0));
	return { before, after, along, rest };
}

/** Always what can be begun first, of equal ones what has the longest way behind it. */
export function listOrder(problem: OrderProblem): readonly Placed[] {
	const { before, rest } = graphOf(problem);
	const ends = new Map<number, number>();
	const order: Placed[] = [];
	const wet = new Map<number, number>();
	let now = 0;
	while (order.length < problem.jobs.length) {
		let best: Placed | undefined;
		for (const [job, { length, clear }] of problem.jobs.entries()) {
			const waits = before[job] ?? [];
			if (ends.has(job) || waits.some(({ from }) => !ends.has(from))) continue;
			const dry = clear === undefined ? 0 : (wet.get(clear) ?? 0);
			const start = Math.max(
				now,
				dry,
				...waits.map(({ from, least }) => (ends.get(from) ?? 0) + least)
			);
			const earlier = !best || start < best.start;
			const longer = best && start === best.start && (rest[job] ?? 0) > (rest[best.job] ?? 0);
			if (earlier || longer) best = { job, start, end: start + length };
		}
		if (!best) break;
		order.push(best);
		ends.set(best.job, best.end);
		const { place = 0, tail = 0 } = problem.jobs[best.job] ?? {};
		wet.set(place, Math.max(wet.get(place) ?? 0, best.end + tail));
		now = best.end;
	}
	return order;
}

/** When all is done and dry. */
export function endOf({ jobs }: OrderProblem, order: readonly Placed[]): number {
	return Math.max(0, ...order.map(({ job, end }) => end + (jobs[job]?.tail ?? 0)));
}

/** A place in the search: what is done, until when, and when each job may begin because of it. */
interface Node {
	readonly done: number;
	readonly now: number;
	readonly dry: number;
	readonly ready: readonly number[];
	/** When each place is dry. */
	readonly wet: readonly number[];
	readonly order: readonly Placed[];
}

/**
 * The order that ends first: one machine, precedences with minimal delays, jobs that wait until another place is dry, least
 * finishing time, by branch and bound. Of
 * what is done in other orders only what is worse in nothing is followed further. The bound of a place is the longest way
 * through what is left, or all that is left without a pause.
 * @throws RangeError where jobs wait for each other in a circle, or there are too many.
 */
export function bestOrder(problem: OrderProblem): Ordered {
	const { jobs } = problem;
	const { before, after, along, rest } = graphOf(problem);
	const lengthOf = (job: number) => jobs[job]?.length ?? 0;
	let best = listOrder(problem);
	let end = endOf(problem, best);
	const seen = new Map<number, Node[]>();

	const boundOf = ({ done, now, dry, ready }: Node): number => {
		const starts = [...ready];
		let bound = dry;
		let first = Infinity;
		let shortest = Infinity;
		let sum = 0;
		for (const job of along) {
			if (done & (1 << job)) continue;
			const start = Math.max(now, starts[job] ?? 0);
			for (const { to, least } of after[job] ?? [])
				starts[to] = Math.max(starts[to] ?? 0, start + lengthOf(job) + least);
			bound = Math.max(bound, start + lengthOf(job) + (rest[job] ?? 0));
			first = Math.min(first, start);
			shortest = Math.min(shortest, rest[job] ?? 0);
			sum += lengthOf(job);
		}
		return sum === 0 ? bound : Math.max(bound, first + sum + shortest);
	};
	const worse = (node: Node, other: Node) =>
		other.now <= node.now &&
		other.dry <= node.dry &&
		other.wet.every((time, place) => time <= Math.max(node.now, node.wet[place] ?? 0)) &&
		other.ready.every(
			(time, job) =>
				// What may begin by now anyway is the same for both.
				Boolean(node.done & (1 << job)) || time <= Math.max(node.now, node.ready[job] ?? 0)
		);

	const places = 1 + Math.max(0, ...jobs.flatMap(({ place = 0, clear = 0 }) => [place, clear]));
	const wet = Array.from({ length: places }, () => 0);
	const root: Node = { done: 0, now: 0, dry: 0, ready: jobs.map(() => 0), wet, order: [] };
	const least = boundOf(root);
	let nodes = 0;
	const visit = (node: Node): void => {
		if (node.order.length === jobs.length) {
			if (node.dry < end) [best, end] = [node.order, node.dry];
			return;
		}
		const known = seen.get(node.done) ?? [];
		if (known.some((other) => worse(node, other))) return;
		seen.set(node.done, [...known.filter((other) => !worse(other, node)), node]);
		const next: { node: Node; bound: number; start: number }[] = [];
		for (const [job, { length, tail, place = 0, clear }] of jobs.entries()) {
			if (node.done & (1 << job)) continue;
			if ((before[job] ?? []).some(({ from }) => !(node.done & (1 << from)))) continue;
			const clearAt = clear === undefined ? 0 : (node.wet[clear] ?? 0);
			const start = Math.max(node.now, node.ready[job] ?? 0, clearAt);
			const done = start + length;
			const ready = [...node.ready];
			for (const { to, least } of after[job] ?? [])
				ready[to] = Math.max(ready[to] ?? 0, done + least);
			const child: Node = {
				done: node.done | (1 << job),
				now: done,
				dry: Math.max(node.dry, done + tail),
				ready,
				wet: node.wet.with(place, Math.max(node.wet[place] ?? 0, done + tail)),
				order: [...node.order, { job, start, end: done }]
			};
			next.push({ node: child, bound: boundOf(child), start });
		}
		next.sort((a, b) => a.bound - b.bound || a.start - b.start);
		for (const { node: child, bound } of next) {
			if (end <= least || nodes >= mostNodes) return;
			nodes++;
			if (bound < end) visit(child);
		}
	};
	visit(root);
	const proven = nodes < mostNodes;
	return { order: best, end, bound: proven ? end : least, proven };
}
