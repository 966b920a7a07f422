import { discoveries, pairing, type Pairing } from './statistics';
import type { Tally } from './tally';

/** Something done on some days, and a number of other days than those. */
export interface Together {
	readonly habit: string;
	readonly measure: string;
	readonly pairing: Pairing;
}

/** What is measured by day: states (their place in the key), lengths of nights in hours, numbers. */
export interface Measured {
	readonly name: string;
	readonly days: ReadonlyMap<number, number>;
}

/** What of a tally is a number a day. */
export function measuredIn(name: string, tally: Tally): Measured[] {
	switch (tally.of) {
		case 'levels':
			return [{ name, days: tally.days }];
		case 'times':
			return [
				{
					name: `${name} (hours)`,
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

/**
 * What went together in these days: for each habit and each number the days with the habit against those without, told
 * only where so few of all the pairs that were looked at would differ so by chance.
 */
export function together(
	habits: readonly { readonly name: string; readonly days: ReadonlyMap<number, string> }[],
	measures: readonly Measured[]
): { readonly told: readonly Together[]; readonly looked: number } {
	const pairs = habits.flatMap(({ name: habit, days }) =>
		measures.flatMap((measure): Together[] => {
			const on: number[] = [];
			const off: number[] = [];
			for (const [day, value] of measure.days) {
				const mark = days.get(day);
				// What was not due is neither.
				if (mark === 'o') continue;
				(mark !== undefined && mark !== '-' ? on : off).push(value);
			}
			const found = pairing(on, off);
			return found ? [{ habit, measure: measure.name, pairing: found }] : [];
		})
	);
	const told = discoveries(pairs.map(({ pairing: { chance } }) => chance));
	return { told: pairs.filter((_, at) => told[at]), looked: pairs.length };
}
