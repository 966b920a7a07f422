import type { MonthShape, WeekStart } from './month';

const dayMs = 86_400_000;

/**
 * Number of the week that begins on the given date (any month overflow is allowed, as with
 * `Date.UTC`). Monday weeks follow ISO 8601: week 1 holds the year's first Thursday. Sunday and
 * Saturday weeks are counted plainly: 1 January lies in week 1 (common practice).
 */
export function weekNumber(year: number, month: number, day: number, weekStart: WeekStart): number {
	const start = Date.UTC(year, month - 1, day);
	// The day of the week that decides which year it belongs to: Thursday in ISO 8601, else its last.
	const deciding = new Date(start + (weekStart === 'monday' ? 3 : 6) * dayMs);
	const firstOfYear = Date.UTC(deciding.getUTCFullYear(), 0, 1);
	return Math.floor((deciding.getTime() - firstOfYear) / (7 * dayMs)) + 1;
}

/** Week numbers of a month's grid rows, top down. */
export function weekNumbers(shape: MonthShape): number[] {
	return Array.from({ length: shape.weeks }, (_, row) =>
		weekNumber(shape.year, shape.month, 1 - shape.lead + 7 * row, shape.weekStart)
	);
}
