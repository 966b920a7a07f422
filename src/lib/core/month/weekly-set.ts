import type { MonthShape } from './month';

/** Which weeks belong to a month: those that touch it, that begin in it, or whose fourth day lies in it. */
export type WeekBelonging = 'touching' | 'first-day' | 'middle-day';

/** What becomes of a week that only touches the month, with three days or fewer in it. */
export type ShortWeek = 'own' | 'fold' | 'skip';

/** A week of a month's set. */
export interface SetWeek {
	/** Row of the month's grid, from 1. */
	readonly week: number;
	/** Its first day ("2027-04-26"), in this month or the one before. */
	readonly first: string;
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
 * The weeks that a month's weekly pages are for, in order; only weeks that touch it are ever short, by the other rules
 * each is drawn whole (from Monday, `middle-day` is the rule of ISO 8601). Weeks that are `drawn` elsewhere, by their
 * first days, are none of them. A short week with no neighbour to fold into keeps its own page.
 */
export function weeklySet(
	month: MonthShape,
	belonging: WeekBelonging,
	short: ShortWeek,
	drawn: readonly string[] = []
): SetWeek[] {
	const inside = (day: number) => day >= 1 && day <= month.days;
	const all = Array.from({ length: month.weeks }, (_, row) => {
		const first = 7 * row - month.lead + 1;
		const days = Array.from({ length: 7 }, (_, day) => first + day);
		const key = { touching: days.find(inside), 'first-day': first, 'middle-day': first + 3 };
		return {
			week: row + 1,
			first: firstDayOfWeek(month, row + 1),
			dates: days.filter(inside),
			belongs: inside(key[belonging] ?? 0)
		};
	}).filter(({ belongs, first }) => belongs && !drawn.includes(first));
	const isShort = ({ dates }: { dates: readonly number[] }) =>
		belonging === 'touching' && dates.length <= shortMost;
	const full = all.filter((week) => !isShort(week));
	const kept = short === 'own' || full.length === 0 ? all : full;
	const folded = short === 'fold' ? all.filter((week) => !kept.includes(week)) : [];
	return kept.map((week) => ({
		week: week.week,
		first: week.first,
		days: week.dates.length,
		short: isShort(week),
		folded: folded
			.filter((other) => Math.abs(other.week - week.week) === 1)
			.flatMap(({ dates }) => dates)
	}));
}

/** First day of a week of a month ("2027-04-26", ISO 8601), by the week's row of the grid, from 1. */
export function firstDayOfWeek({ year, month, lead }: MonthShape, row: number): string {
	return new Date(Date.UTC(year, month - 1, 7 * (row - 1) - lead + 1)).toISOString().slice(0, 10);
}
