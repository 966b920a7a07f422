import cdf from '@stdlib/stats-base-dists-t-cdf';
import quantile from '@stdlib/stats-base-dists-t-quantile';
import { mean, sampleCorrelation, sampleStandardDeviation } from 'simple-statistics';

/** A day with a number, and whether something was done on it. */
export interface PairedDay {
	readonly day: number;
	readonly on: boolean;
	readonly value: number;
}

/** Days with something compared with days without, and how much their means differ. */
export interface Pairing {
	readonly on: number;
	readonly off: number;
	/** Mean on days with it less mean on days without. */
	readonly difference: number;
	/** How often a difference as large comes about by chance (two-sided). */
	readonly chance: number;
	/** The smallest difference, in the measure's own unit, that would be as rare as this by chance. */
	readonly leastFor: (chance: number) => number;
}

/** Fewer days than these on a side say nothing. */
export const leastDays = 8;
/** Days that resemble each other more than this are taken to do so by this much. */
const mostAlike = 0.95;

/**
 * Whether a number differs between days with something and days without: a two-sided t test of the correlation, with as many
 * degrees of freedom as there are days that do not merely resemble the day before. Of n days these are
 * n′ = min(n, n (1 − ab) / (1 + ab)); a and b are the lag-one autocorrelations over neighbouring recorded days, each with
 * (1 + 3a) / n added for its bias, 0.95 at most; a product below nought counts as nought. (Bartlett 1935; the bias as Marriott
 * and Pope 1954 have it; both from memory.) Undefined with fewer than 8 days on either side, where nothing varies, or
 * where n′ is 2 or less.
 */
export function pairing(days: readonly PairedDay[]): Pairing | undefined {
	const [on, off] = [true, false].map((side) => days.filter((one) => one.on === side));
	if (!on || !off || on.length < leastDays || off.length < leastDays) return undefined;
	const done = days.map((one) => ({ day: one.day, value: one.on ? 1 : 0 }));
	const values = days.map(({ value }) => value);
	const spread = sampleStandardDeviation(values);
	if (!(spread > 0)) return undefined;
	const n = days.length;
	const product = Math.max(0, likeness(done) * likeness(days));
	const effective = Math.min(n, (n * (1 - product)) / (1 + product));
	const freedom = effective - 2;
	if (!(freedom > 0)) return undefined;
	const marks = done.map(({ value }) => value);
	const r = Math.max(-1, Math.min(1, sampleCorrelation(marks, values)));
	const t = Math.abs(r) >= 1 ? Infinity : Math.abs(r) * Math.sqrt(freedom / (1 - r * r));
	const slope = spread / sampleStandardDeviation(marks);
	return {
		on: on.length,
		off: off.length,
		difference: mean(on.map(({ value }) => value)) - mean(off.map(({ value }) => value)),
		chance: t === Infinity ? 0 : 2 * cdf(-t, freedom),
		leastFor: (chance) => {
			const least = quantile(1 - chance / 2, freedom);
			return (slope * least) / Math.sqrt(freedom + least * least);
		}
	};
}

/** How much a day's value resembles that of the day before: the lag-one autocorrelation, its bias made up for. */
function likeness(days: readonly { readonly day: number; readonly value: number }[]): number {
	const n = days.length;
	const average = mean(days.map(({ value }) => value));
	const from = new Map(days.map(({ day, value }) => [day, value - average]));
	let [sum, pairs] = [0, 0];
	for (const [day, value] of from) {
		const next = from.get(day + 1);
		if (next === undefined) continue;
		sum += value * next;
		pairs++;
	}
	const variance = [...from.values()].reduce((all, value) => all + value * value, 0) / n;
	if (pairs === 0 || variance === 0) return 0;
	const plain = sum / pairs / variance;
	return Math.min(mostAlike, plain + (1 + 3 * plain) / n);
}

/**
 * Which of several chances are small enough to be told, so that of those told no more than a share are told wrongly: the
 * largest k with p(k) ≤ k · share ÷ m, and all below it. (Benjamini and Hochberg 1995.)
 */
export function discoveries(chances: readonly number[], share = 0.05): boolean[] {
	const limit = limitOf(chances, share);
	return chances.map((chance) => chance <= limit);
}

/** Chances up to this are told; where none is, the one that would be told alone. */
export function limitOf(chances: readonly number[], share = 0.05): number {
	const sorted = [...chances].sort((a, b) => a - b);
	const last = sorted.findLastIndex((chance, at) => chance <= ((at + 1) * share) / sorted.length);
	return sorted[last] ?? -1;
}

/** The chance that the rarest of so many pairs needs at most to be told. */
export function firstLimit(looked: number, share = 0.05): number {
	return share / Math.max(1, looked);
}
