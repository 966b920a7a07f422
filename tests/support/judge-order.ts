import type { OrderProblem, Placed } from '../../src/lib/core/making';

/** What is wrong with an order; shares no code with those that make them. */
export function wrongIn({ jobs, delays }: OrderProblem, order: readonly Placed[]): string[] {
	const faults: string[] = [];
	const at = new Map(order.map((placed) => [placed.job, placed]));
	if (at.size !== jobs.length || order.length !== jobs.length) faults.push('not each job once');
	for (const { job, start, end } of order)
		if (end - start !== jobs[job]?.length || start < 0) faults.push(`job ${job} is too short`);
	for (const [index, { start }] of order.entries())
		if (start < (order[index - 1]?.end ?? 0)) faults.push(`two hands at ${start}`);
	for (const { from, to, least } of delays) {
		const [first, second] = [at.get(from), at.get(to)];
		if (first && second && second.start < first.end + least)
			faults.push(`${to} begins ${first.end + least - second.start} too early behind ${from}`);
	}
	for (const { job, start } of order) {
		const { clear } = jobs[job] ?? {};
		if (clear === undefined) continue;
		for (const other of order) {
			const { place = 0, tail = 0 } = jobs[other.job] ?? {};
			if (place === clear && other.end <= start && start < other.end + tail)
				faults.push(`${job} is begun while ${other.job} is wet`);
		}
	}
	return faults;
}
