import { cellOf, type MonthShape } from '../../month';
import type { Direction, Minor } from '../values/money';
import { ownDirection, type Tally } from './tally';
import type { Tracker } from '../values/trackers';

/** What came in and went out in a month. */
export interface Cash {
	readonly income: Minor;
	readonly spending: Minor;
	/** What is carried over into the next month. */
	readonly left: Minor;
}

/** What tables with sums come to together; undefined where nothing is said of what came in. */
export function cashOf(
	kept: readonly { readonly tracker: Tracker; readonly tally: Tally }[]
): Cash | undefined {
	const sums = kept.flatMap(({ tracker, tally }) =>
		tally.of === 'rows' && tally.money
			? [
					{ direction: ownDirection(tracker), minor: tally.money.total },
					{ direction: otherWay(ownDirection(tracker)), minor: tally.money.against }
				].filter(({ minor }, at) => at === 0 || minor !== 0)
			: []
	);
	if (!sums.some(({ direction }) => direction === 'in')) return undefined;
	const of = (wanted: Direction) =>
		sums.reduce((sum, { direction, minor }) => sum + (direction === wanted ? minor : 0), 0);
	const [income, spending] = [of('in'), of('out')];
	return { income, spending, left: income - spending };
}

const otherWay = (direction: Direction): Direction => (direction === 'in' ? 'out' : 'in');

/** Money of a part of a week that lies in the month. */
export interface WeekSum {
	readonly first: number;
	readonly last: number;
	readonly minor: Minor;
}

/** Money by the weeks of a month, each from its first day in it to its last one. */
export function sumsByWeek(byDay: ReadonlyMap<number, Minor>, shape: MonthShape): WeekSum[] {
	const weeks: WeekSum[] = [];
	for (let day = 1; day <= shape.days; day++) {
		const minor = byDay.get(day) ?? 0;
		const { row } = cellOf(shape, day);
		const known = weeks[row];
		weeks[row] = known
			? { ...known, last: day, minor: known.minor + minor }
			: { first: day, last: day, minor };
	}
	return weeks;
}
