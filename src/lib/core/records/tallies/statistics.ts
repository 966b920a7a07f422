import quantileOfT from '@stdlib/stats-base-dists-t-quantile';
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
	/** How far the true rise may be from it, 95 times of 100; undefined with fewer than three days. */
	readonly weeklyError: number | undefined;
	/** A fifth above the mean, to two figures: what to aim for next, of what is meant to grow. */
	readonly next: number | undefined;
}

/** Numbers by day in a few numbers, of something that is meant to grow or not; undefined where there are none. */
export function numberTally(values: readonly DayValue[], grows = false): NumberTally | undefined {
	const all = values.map(({ value }) => value);
	if (all.length === 0) return undefined;
	const average = mean(all);
	const line =
		values.length > 1 ? linearRegression(values.map(({ day, value }) => [day, value])) : undefined;
	return {
		count: all.length,
		mean: average,
		median: median(all),
		least: Math.min(...all),
		most: Math.max(...all),
		weekly: line && 7 * line.m,
		weeklyError: line && slopeError(values, line),
		next: grows ? twoFigures(1.2 * average) : undefined
	};
}

/** Half the width of the 95 % interval of a slope a week, by Student's t (any text on regression). */
function slopeError(
	values: readonly DayValue[],
	{ m, b }: { readonly m: number; readonly b: number }
): number | undefined {
	const freedom = values.length - 2;
	const middle = mean(values.map(({ day }) => day));
	const spread = values.reduce((sum, { day }) => sum + (day - middle) ** 2, 0);
	if (freedom < 1 || spread === 0) return undefined;
	const left = values.reduce((sum, { day, value }) => sum + (value - b - m * day) ** 2, 0);
	return 7 * quantileOfT(0.975, freedom) * Math.sqrt(left / freedom / spread);
}

/** A number rounded to two significant figures: 9,000 of 9,012. */
export function twoFigures(value: number): number {
	return Number(value.toPrecision(2));
}

/** The value below which a share of others lies; undefined where there are none. */
export function quantileOf(values: readonly number[], share: number): number | undefined {
	return values.length === 0 ? undefined : quantile([...values], share);
}
