import { linearRegression, mean, median, quantile } from 'simple-statistics';

/** A number that was written down on a day. */
export interface DayValue {
	readonly day: number;
	readonly value: number;
}

/** How the numbers of a month went. */
export interface NumberTally {
	readonly count: number;
	readonly mean: number;
	readonly median: number;
	readonly least: number;
	readonly most: number;
	/** By how much they rise in a week, by least squares; undefined with fewer than two days. */
	readonly weekly: number | undefined;
	/** A fifth above the mean, to two figures: what to aim for next. */
	readonly next: number;
}

/** Numbers by day in a few numbers; undefined where there are none. */
export function numberTally(values: readonly DayValue[]): NumberTally | undefined {
	const all = values.map(({ value }) => value);
	if (all.length === 0) return undefined;
	const average = mean(all);
	const slope =
		values.length > 1
			? linearRegression(values.map(({ day, value }) => [day, value])).m * 7
			: undefined;
	return {
		count: all.length,
		mean: average,
		median: median(all),
		least: Math.min(...all),
		most: Math.max(...all),
		weekly: slope,
		next: twoFigures(1.2 * average)
	};
}

/** A number rounded to two significant figures: 9,000 of 9,012. */
export function twoFigures(value: number): number {
	return Number(value.toPrecision(2));
}

/** The value below which a share of others lies; undefined where there are none. */
export function quantileOf(values: readonly number[], share: number): number | undefined {
	return values.length === 0 ? undefined : quantile([...values], share);
}

/** Two groups of days that are compared, and how much their means differ. */
export interface Pairing {
	readonly on: number;
	readonly off: number;
	/** Mean on days with it less mean on days without. */
	readonly difference: number;
	/** How often a difference as large comes about by chance. */
	readonly chance: number;
}

/** Fewer days than these on a side say nothing. */
export const leastDays = 8;

/**
 * Whether numbers differ between days with something and days without: a permutation test, over all ways to deal the days
 * where these are few, else over so many random ones from a seed. (Fisher 1935; from memory.) Undefined with fewer than 8
 * days on either side.
 */
export function pairing(
	on: readonly number[],
	off: readonly number[],
	deals = 4000
): Pairing | undefined {
	if (on.length < leastDays || off.length < leastDays) return undefined;
	const difference = mean([...on]) - mean([...off]);
	const all = [...on, ...off];
	const total = all.reduce((sum, value) => sum + value, 0);
	const random = seeded(1);
	let asLarge = 1;
	for (let deal = 0; deal < deals; deal++) {
		const dealt = [...all];
		let sum = 0;
		for (let at = 0; at < on.length; at++) {
			const other = at + Math.floor(random() * (dealt.length - at));
			const taken = dealt[other] ?? 0;
			dealt[other] = dealt[at] ?? 0;
			dealt[at] = taken;
			sum += taken;
		}
		const far = sum / on.length - (total - sum) / off.length;
		if (Math.abs(far) >= Math.abs(difference) - 1e-12) asLarge++;
	}
	return { on: on.length, off: off.length, difference, chance: asLarge / (deals + 1) };
}

/** Random numbers from 0 to 1 that are the same for a seed (mulberry32). */
function seeded(seed: number): () => number {
	let state = seed;
	return () => {
		state = (state + 0x6d2b79f5) | 0;
		let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
		mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
		return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
	};
}

/**
 * Which of several chances are small enough to be told, so that of those told no more than a share are told wrongly: the
 * largest k with p(k) ≤ k · share ÷ m, and all below it. (Benjamini and Hochberg 1995.)
 */
export function discoveries(chances: readonly number[], share = 0.05): boolean[] {
	const sorted = [...chances].sort((a, b) => a - b);
	const last = sorted.findLastIndex((chance, at) => chance <= ((at + 1) * share) / sorted.length);
	const limit = sorted[last];
	return chances.map((chance) => limit !== undefined && chance <= limit);
}
