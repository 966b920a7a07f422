import type { Job, OrderProblem } from '../../src/lib/core/making';

/** The least finishing time of a problem as an integer program, in the format of CPLEX LP; shares no code with the search. */
export function orderModel({ jobs, delays }: OrderProblem): string {
	const horizon =
		jobs.reduce((sum, { length, tail }) => sum + length + tail, 0) +
		delays.reduce((sum, { least }) => sum + least, 0);
	const rows: string[] = [];
	const bits: string[] = [];
	for (const [job, { length, tail }] of jobs.entries())
		rows.push(`finish - s${job} >= ${length + tail}`);
	for (const { from, to, least } of delays)
		rows.push(`s${to} - s${from} >= ${(jobs[from]?.length ?? 0) + least}`);
	for (const [a, first] of jobs.entries())
		for (const [b, second] of jobs.entries()) {
			if (b <= a) continue;
			bits.push(`x${a}_${b}`);
			// Who waits until a place is dry waits for the tail of what was done there before.
			const place = ({ place = 0 }: Job) => place;
			const afterFirst = first.length + (second.clear === place(first) ? first.tail : 0);
			const afterSecond = second.length + (first.clear === place(second) ? second.tail : 0);
			rows.push(`s${b} - s${a} - ${horizon} x${a}_${b} >= ${afterFirst - horizon}`);
			rows.push(`s${a} - s${b} + ${horizon} x${a}_${b} >= ${afterSecond}`);
		}
	return [
		'Minimize',
		' obj: finish',
		'Subject To',
		...rows.map((row, at) => ` c${at}: ${row}`),
		...(bits.length > 0 ? ['Binary', ` ${bits.join(' ')}`] : []),
		'End'
	].join('\n');
}
