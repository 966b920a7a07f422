import type { MonthShape } from './month';

/** Which weeks belong to a month: those that touch it, that begin in it, or whose fourth day lies in it. */
export type WeekBelonging = 'touching' | 'first-day' | 'middle-day';

/** What becomes of a week with three days or fewer inside the month. */
export type ShortWeek = 'own' | 'fold' | 'skip';

/** A week of a month's set. */
export interface SetWeek {
	/** Row of the month's grid, from 1. */
	readonly week: number;
	/** How many of its days lie in the month. */
	readonly days: number;
	/** It gets a single page of its own because few of its days lie in the month. */
	readonly short: boolean;
	/** Days of the month that a neighbouring short week was folded into it. */
	readonly folded: readonly number[];
}

/** A week with so few days inside the month is short (common practice). */
const shortMost = 3;

/**
 * The weeks that a month's weekly pages are for, in order. By `middle-day` no week is ever short; from
 * Monday that is the rule of ISO 8601. A short week with no neighbour to fold into keeps its own page.
 */
export function weeklySet(
	month: MonthShape,
	belonging: WeekBelonging,
	short: ShortWeek
): SetWeek[] {
	const inside = (day: number) => day >= 1 && day <= month.days;
	const all = Array.from({ length: month.weeks }, (_, row) => {
		const first = 7 * row - month.lead + 1;
		const days = Array.from({ length: 7 }, (_, day) => first + day);
		const key = { touching: days.find(inside), 'first-day': first, 'middle-day': first + 3 };
		return {
			week: row + 1,
			dates: days.filter(inside),
			belongs: inside(key[belonging] ?? 0)
		};
	}).filter(({ belongs }) => belongs);
	const isShort = ({ dates }: { dates: readonly number[] }) => dates.length <= shortMost;
	const full = all.filter((week) => !isShort(week));
	const kept = short === 'own' || full.length === 0 ? all : full;
	const folded = short === 'fold' ? all.filter((week) => !kept.includes(week)) : [];
	return kept.map((week) => ({
		week: week.week,
		days: week.dates.length,
		short: isShort(week),
		folded: folded
			.filter((other) => Math.abs(other.week - week.week) === 1)
			.flatMap(({ dates }) => dates)
	}));
}
