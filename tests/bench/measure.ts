/** Times of repeated work, in milliseconds. */
export interface Times {
	readonly median: number;
	readonly p95: number;
}

/** Runs some work `count` times after a few warm-up runs. */
export async function measure(count: number, work: () => unknown): Promise<Times> {
	for (let index = 0; index < Math.min(5, count); index++) await work();
	const times: number[] = [];
	for (let index = 0; index < count; index++) {
		const start = performance.now();
		await work();
		times.push(performance.now() - start);
	}
	return summary(times);
}

/** Median and 95th percentile of times. */
export function summary(times: readonly number[]): Times {
	const sorted = [...times].sort((a, b) => a - b);
	const at = (part: number) =>
		sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0;
	return { median: at(0.5), p95: at(0.95) };
}

/** Prints a line of the report: what, how long, and how that compares. */
export function report(what: string, { median, p95 }: Times, compared = ''): void {
	const times = `${median.toFixed(2)} ms median, ${p95.toFixed(2)} ms 95th percentile`;
	console.log(`${what.padEnd(52)} ${times}${compared ? `; ${compared}` : ''}`);
}
