import type { OrderProblem } from '../../src/lib/core/making';

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
			rows.push(`s${b} - s${a} - ${horizon} x${a}_${b} >= ${first.length - horizon}`);
			rows.push(`s${a} - s${b} + ${horizon} x${a}_${b} >= ${second.length}`);
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
