import { addMonths, type YearMonth } from '../month';

/** How long the free pages of a book last. */
export interface Forecast {
	/** Mean of pages a month, the planned months counted. */
	readonly pagesPerMonth: number;
	/** Whole months that still fit after the planned ones. */
	readonly monthsLeft: number;
	/** The first month that does not fit any more. */
	readonly fullIn: YearMonth;
}

/**
 * When a book will be full: `left` free pages after the last planned month, as many pages for each
 * further month as the planned ones took on average. Undefined before the first planned month.
 */
export function forecast(
	pagesByMonth: readonly number[],
	left: number,
	lastPlanned: YearMonth
): Forecast | undefined {
	const sum = pagesByMonth.reduce((a, b) => a + b, 0);
	if (sum === 0) return undefined;
	const pagesPerMonth = sum / pagesByMonth.length;
	const monthsLeft = Math.floor(left / pagesPerMonth);
	return { pagesPerMonth, monthsLeft, fullIn: addMonths(lastPlanned, monthsLeft + 1) };
}

/** The book's own index: lines it has, and how many are written on. */
export interface BookIndex {
	readonly lines: number;
	readonly used: number;
}

/** How an index stands after this month's titles, in words when it is nearly or quite full. */
export function indexAfter(index: BookIndex, titles: number): { left: number; warning?: string } {
	const left = index.lines - index.used - titles;
	if (left < 0)
		return {
			left,
			warning: `This month’s titles need ${titles} lines and ${index.lines - index.used} are left: ${-left} too few. Join titles in one line, or index the month as one range of pages.`
		};
	if (left < titles)
		return {
			left,
			warning: `After this month ${left} lines are left: not enough for another like it.`
		};
	return { left };
}
