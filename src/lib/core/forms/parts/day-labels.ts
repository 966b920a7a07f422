import { text, type Mark, type TextMark } from '../../draw';
import { isRestDay, weekdayNames, weekdayOf, weekdayOrder } from '../../month';
import type { Dot } from '../../paper';
import { restDays } from '../form/common-rules';
import type { Setting } from '../form/form';

/** Days of the week as numbers go, from 0 on. */
const weekdays: readonly string[] = [
	'sunday',
	'monday',
	'tuesday',
	'wednesday',
	'thursday',
	'friday',
	'saturday'
];

/** Squares that a day's number and the first letter of its weekday take. */
export const dayLabelWidth = 2;

/** First letter of a day's weekday. */
export function weekdayInitial({ locale, month }: Setting, day: number): string {
	const column = weekdayOrder(month.weekStart).indexOf(weekdayOf(month, day));
	return weekdayNames(locale, month.weekStart, 'narrow')[column] ?? '';
}

/** Whether a day of the month is one of rest, as the rules have it. */
export function restsOn(setting: Setting, day: number): boolean {
	const weekday = weekdayOf(setting.month, day);
	const rest = restDays.of(setting);
	if (rest === 'none') return false;
	return rest === 'weekend' ? isRestDay(weekday) : weekday === weekdays.indexOf(rest);
}

/** Number and initial of a day, one square each. */
export function dayLabel(setting: Setting, day: number, at: Dot): TextMark[] {
	return [
		text(String(day), { ...at, w: 1, h: 1 }, 'figure'),
		text(weekdayInitial(setting, day), { x: at.x + 1, y: at.y, w: 1, h: 1 }, 'hand')
	];
}

/** Labels of days one below the other, `rowHeight` squares apart. */
export function dayColumn(
	setting: Setting,
	days: readonly number[],
	at: Dot,
	rowHeight = 1
): Mark[] {
	return days.flatMap((day, index) =>
		dayLabel(setting, day, { x: at.x, y: at.y + index * rowHeight })
	);
}

/** Numbers of days side by side, a square each. */
export function dayRow(days: readonly number[], at: Dot): Mark[] {
	return days.map((day, index) =>
		text(String(day), { x: at.x + index, y: at.y, w: 1, h: 1 }, 'figure')
	);
}

/** The days that a setting shows: of the whole month, or of a stretch of it. */
export function daysShown({ month, stretch }: Setting): number[] {
	return stretch ? daysFrom(stretch.first, stretch.last) : daysFrom(1, month.days);
}

/** Days from one to another, both included. */
export function daysFrom(first: number, last: number): number[] {
	return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => first + index);
}
