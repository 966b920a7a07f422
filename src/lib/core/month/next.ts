import { addMonths, type YearMonth } from './month';

/**
 * The month that is to be planned next: the one after the latest planned, or else after the present
 * one, since a month is set up in the last days of the one before (common practice).
 */
export function nextToPlan(planned: readonly YearMonth[], present: YearMonth): YearMonth {
	const next = addMonths(present, 1);
	const after = planned.map((month) => addMonths(month, 1));
	return [next, ...after].reduce((a, b) => (b.year * 12 + b.month > a.year * 12 + a.month ? b : a));
}
