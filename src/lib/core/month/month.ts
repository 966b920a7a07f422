/** The weekday that a calendar row begins with. */
export type WeekStart = 'monday' | 'sunday' | 'saturday';

/** A month of the Gregorian calendar; `month` from 1 to 12. */
export interface YearMonth {
	readonly year: number;
	readonly month: number;
}

/** How a month lies on a calendar grid. */
export interface MonthShape extends YearMonth {
	readonly weekStart: WeekStart;
	/** Empty cells before the 1st. */
	readonly lead: number;
	readonly days: number;
	/** Rows of the grid, 4 to 6. */
	readonly weeks: number;
}

export const firstYear = 1900;
export const lastYear = 2200;

/** JavaScript's numbers for weekdays: Sunday is 0. */
const startDay: Record<WeekStart, number> = { sunday: 0, monday: 1, saturday: 6 };

/** Weekday of a date, Sunday 0 to Saturday 6. */
export function weekdayOf({ year, month }: YearMonth, day: number): number {
	return new Date(Date.UTC(year, month - 1, day)).getUTCDay();
}

/** Days in a month, 28 to 31. */
export function daysIn({ year, month }: YearMonth): number {
	return new Date(Date.UTC(year, month, 0)).getUTCDate();
}

/** lead = (weekday of the 1st − week start) mod 7; weeks = ceil((lead + days) / 7). */
export function monthShape(month: YearMonth, weekStart: WeekStart): MonthShape {
	const lead = (weekdayOf(month, 1) - startDay[weekStart] + 7) % 7;
	const days = daysIn(month);
	return {
		year: month.year,
		month: month.month,
		weekStart,
		lead,
		days,
		weeks: Math.ceil((lead + days) / 7)
	};
}

/** Grid cell of a day: row from 0, column 0 to 6. */
export function cellOf(shape: MonthShape, day: number): { row: number; column: number } {
	const index = shape.lead + day - 1;
	return { row: Math.floor(index / 7), column: index % 7 };
}

/** Weekdays (Sunday 0) in the order of the grid's columns. */
export function weekdayOrder(weekStart: WeekStart): number[] {
	return Array.from({ length: 7 }, (_, column) => (startDay[weekStart] + column) % 7);
}

/** Rest days are Saturday and Sunday. */
export function isRestDay(weekday: number): boolean {
	return weekday === 0 || weekday === 6;
}

/** "2027-05" → { year: 2027, month: 5 }; undefined when it is no month from 1900 to 2200. */
export function parseMonth(text: string): YearMonth | undefined {
	const match = /^(\d{4})-(0[1-9]|1[0-2])$/.exec(text);
	if (!match) return undefined;
	const year = Number(match[1]);
	return year < firstYear || year > lastYear ? undefined : { year, month: Number(match[2]) };
}

/** { year: 2027, month: 5 } → "2027-05". */
export function formatMonth({ year, month }: YearMonth): string {
	return `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}`;
}

/** The month `count` months later (or earlier, when negative). */
export function addMonths({ year, month }: YearMonth, count: number): YearMonth {
	const index = year * 12 + (month - 1) + count;
	return { year: Math.floor(index / 12), month: (((index % 12) + 12) % 12) + 1 };
}
