import { rateOf } from '../values/rhythm';
import type { Tally } from './tally';

/** Something that went otherwise than in the month before. */
export interface Surprise {
	readonly of: 'rate' | 'mean' | 'length';
	/** Name of the habit or of what is measured. */
	readonly name: string;
	readonly before: number;
	readonly after: number;
}

/** Two months of one thing. */
export interface TwoMonths {
	readonly name: string;
	readonly now: Tally;
	readonly before: Tally | undefined;
}

/** Less than this is no surprise: a tenth of all days, of the mean, or a quarter of an hour of sleep. */
const leastSize = 0.1;
/** So many minutes a night count as much as the whole of a habit. */
const wholeNight = 150;

/** What differs most from the month before, the largest first; nothing of what was not kept then. */
export function surprisesOf(things: readonly TwoMonths[]): Surprise[] {
	return things
		.flatMap(({ name, now, before }) => (before ? differences(name, now, before) : []))
		.filter(({ size }) => size >= leastSize)
		.sort((a, b) => b.size - a.size)
		.map(({ size: _, ...surprise }) => surprise);
}

function differences(
	name: string,
	now: Tally,
	before: Tally
): (Surprise & { readonly size: number })[] {
	if (now.of === 'marks' && before.of === 'marks')
		return now.rows.flatMap(({ item, tally }) => {
			const earlier = before.rows.find((row) => row.item.name === item.name);
			const rates = [earlier && rateOf(earlier.tally), rateOf(tally)] as const;
			return told('rate', item.name, rates[0], rates[1], 1);
		});
	if (now.of === 'numbers' && before.of === 'numbers')
		return now.rows.flatMap(({ item, tally }) => {
			const earlier = before.rows.find((row) => row.item === item)?.tally?.mean;
			return told('mean', item ?? name, earlier, tally?.mean, Math.abs(earlier ?? 0) || 1);
		});
	if (now.of === 'times' && before.of === 'times')
		return told('length', name, before.length, now.length, wholeNight);
	return [];
}

function told(
	of: Surprise['of'],
	name: string,
	before: number | undefined,
	after: number | undefined,
	whole: number
) {
	if (before === undefined || after === undefined) return [];
	return [{ of, name, before, after, size: Math.abs(after - before) / whole }];
}
