/** What was written into a table in a month: so many entries in so many days. */
export interface Count {
	readonly entries: number;
	/** Days until it was full, or until the month was over. */
	readonly days: number;
	/** Months since then: 1 for the last one. */
	readonly age: number;
}

/** A month three months back counts half. */
const halfLife = 3;
/** What is known of a kind before anything was kept counts as much as these days. */
export const priorDays = 10;

/** A rate of entries a day as far as it is known: a gamma distribution. */
export interface Rate {
	readonly shape: number;
	/** Days that are behind it. */
	readonly days: number;
}

/**
 * The rate of entries that counts of some months speak for, from what a kind usually takes in a month of 30 days on: a
 * gamma prior for Poisson counts, recent months weighing more. (Conjugate prior: any text on Bayesian statistics.)
 */
export function rateFrom(counts: readonly Count[], usual: number): Rate {
	const prior = { shape: Math.max(0.5, (usual * priorDays) / 30), days: priorDays };
	return counts.reduce(({ shape, days }, count) => {
		const weight = 0.5 ** ((count.age - 1) / halfLife);
		return { shape: shape + weight * count.entries, days: days + weight * count.days };
	}, prior);
}

/**
 * The least number of rows that a month of so many days stays within, with a certainty: the quantile of the negative
 * binomial distribution that follows from a gamma-distributed Poisson rate.
 */
export function rowsFor({ shape, days: known }: Rate, days: number, certainty = 0.9): number {
	const failure = days / (known + days);
	// In logarithms, because the first of them underflows for large rates.
	let log = shape * Math.log(1 - failure);
	let sum = Math.exp(log);
	let rows = 0;
	while (sum < certainty && rows < 100_000) {
		log += Math.log((shape + rows) / (rows + 1)) + Math.log(failure);
		rows++;
		sum += Math.exp(log);
	}
	return rows;
}
