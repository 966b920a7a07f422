import {
	discoveries,
	firstLimit,
	limitOf,
	pairing,
	type PairedDay,
	type Pairing
} from '../read/pairing';
import type { Tally } from './tally';

/** Something done on some days, and a number of other days than those. */
export interface Together {
	readonly habit: string;
	readonly measure: Measured;
	readonly pairing: Pairing;
}

/** What is measured by day: states (their place in the key), lengths of nights in hours, numbers. */
export interface Measured {
	readonly name: string;
	readonly days: ReadonlyMap<number, number>;
	/** Names of the states that its numbers stand for: none is higher or lower than another. */
	readonly levels?: readonly string[];
	/** What it is counted in, such as hours. */
	readonly unit?: string;
}

/** What of a tally is a number a day. */
export function measuredIn(name: string, tally: Tally): Measured[] {
	switch (tally.of) {
		case 'levels':
			return [{ name, days: tally.days, levels: tally.levels }];
		case 'times':
			return [
				{
					name,
					unit: 'hours',
					days: new Map(
						[...tally.nights].map(([day, spans]) => [
							day,
							spans.reduce((sum, { from, to }) => sum + to - from, 0) / 60
						])
					)
				}
			];
		case 'numbers':
			return tally.rows.map(({ item, values }) => ({
				name: item ?? name,
				days: new Map(values.map(({ day, value }) => [day, value]))
			}));
		default:
			return [];
	}
}

/** A habit as it was marked, and the days from which and until which it was kept up. */
export interface MarkedHabit {
	readonly name: string;
	readonly days: ReadonlyMap<number, string>;
	readonly begins?: number | undefined;
	readonly ends?: number | undefined;
}

/** The smallest difference of a measure that would have been told, over the habits that were looked at. */
export interface LeastTold {
	readonly measure: string;
	readonly difference: number;
}

/**
 * What went together in these days: for each habit and each number the days with the habit against those without, told
 * only where so few of all the pairs that were looked at would differ so by chance. Days before a habit begins and after it
 * ends count for neither side.
 */
export function together(
	habits: readonly MarkedHabit[],
	measures: readonly Measured[]
): {
	readonly told: readonly Together[];
	readonly looked: number;
	readonly least: readonly LeastTold[];
} {
	const pairs = habits.flatMap(({ name: habit, days, begins = 1, ends = Infinity }) =>
		measures.flatMap((measure): Together[] => {
			const paired = [...measure.days].flatMap(([day, value]): PairedDay[] => {
				const mark = days.get(day);
				// What was not due is neither.
				if (mark === 'o' || day < begins || day > ends) return [];
				return [{ day, value, on: mark !== undefined && mark !== '-' }];
			});
			const found = pairing(paired);
			return found ? [{ habit, measure, pairing: found }] : [];
		})
	);
	const chances = pairs.map(({ pairing: { chance } }) => chance);
	const told = discoveries(chances);
	const limit = Math.max(limitOf(chances), firstLimit(pairs.length));
	const least = measures.flatMap((measure): LeastTold[] => {
		const own = pairs.filter((pair) => pair.measure === measure);
		if (own.length === 0) return [];
		const difference = Math.min(...own.map(({ pairing }) => pairing.leastFor(limit)));
		return [{ measure: measure.name, difference }];
	});
	return { told: pairs.filter((_, at) => told[at]), looked: pairs.length, least };
}
