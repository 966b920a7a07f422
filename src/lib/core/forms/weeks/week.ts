import { undated, weekOfMonth } from '../form/common-rules';
import { text, type TextMark } from '../../draw';
import { dayRange, daysIn, addMonths, weekdayNames, weekNumbers } from '../../month';
import { letters, lettersIn } from '../../hand';
import type { Rect } from '../../paper';
import type { Setting } from '../form/form';

/** A day of a week: its date, in this month or a neighbouring one, and its weekday's names. */
export interface WeekDay {
	/** Missing where it stands apart from the name. */
	readonly date?: number;
	readonly inMonth: boolean;
	/** Days of a neighbouring short week that are written with it. */
	readonly with?: readonly number[];
	readonly names: Readonly<Record<'long' | 'short' | 'narrow', string>>;
}

/** A rectangle on one of a week's pages. */
export interface WeekPiece extends Rect {
	readonly on: 0 | 1;
}

/** Where a day stands: one rectangle, or two where it lies over the fold. */
export type WeekPlace = readonly [WeekPiece] | readonly [WeekPiece, WeekPiece];

/** The week of the month that a wish is for, from 1, within the month's weeks. */
export function weekOf(setting: Setting): number {
	const wanted = setting.part?.week ?? weekOfMonth.of(setting) ?? 1;
	return Math.min(setting.month.weeks, Math.max(1, wanted));
}

/** Number of that week in the year. */
export function weekNumberOf(setting: Setting): number {
	return weekNumbers(setting.month)[weekOf(setting) - 1] ?? 0;
}

/** First day of that week, counted from the month's own first. */
function firstDayOf(setting: Setting): number {
	return 7 * (weekOf(setting) - 1) - setting.month.lead + 1;
}

/** The words of a week's head where it has no title: with its number, unless that stands below them. */
export function weekTitle(setting: Setting, head: 'top' | 'place'): string {
	return head === 'place' || undated.of(setting) ? 'Week' : `Week ${weekNumberOf(setting)}`;
}

/** A week's number and its days from first to last, as the locale writes them; nothing of a week without dates. */
export function datesOfWeek(setting: Setting): string {
	if (undated.of(setting)) return '';
	const first = firstDayOf(setting);
	const days = dayRange(setting.locale, setting.month, first, first + 6);
	return `${weekNumberOf(setting)} · ${days}${withFolded(setting.part?.folded)}`;
}

/** The first and last date of that week, without the month: "31–6". */
export function shortDatesOfWeek(setting: Setting): string {
	const days = daysOfWeek(setting);
	return [days[0], days.at(-1)].flatMap((day) => day?.date ?? []).join('–');
}

/** Days that are folded into a week, to be written after its own. */
function withFolded(days: readonly number[] = []): string {
	return days.length > 0 ? ` + ${days.join(', ')}` : '';
}

/** The seven days of that week. */
export function daysOfWeek(setting: Setting): WeekDay[] {
	const { month, locale } = setting;
	const first = firstDayOf(setting);
	const before = daysIn(addMonths(month, -1));
	return Array.from({ length: 7 }, (_, index) => {
		const day = first + index;
		const name = (width: 'long' | 'short' | 'narrow') =>
			weekdayNames(locale, month.weekStart, width)[index] ?? '';
		return {
			date: day < 1 ? before + day : day > month.days ? day - month.days : day,
			inMonth: day >= 1 && day <= month.days,
			names: { long: name('long'), short: name('short'), narrow: name('narrow') }
		};
	});
}

/** A day's name and date on the first row of its box, the longest name that fits. */
export function dayHeading(setting: Setting, day: WeekDay, box: Rect): TextMark {
	const most = lettersIn(box.w, setting.hand);
	const date =
		undated.of(setting) || day.date === undefined ? '' : ` ${day.date}${withFolded(day.with)}`;
	const fitting = (['long', 'short', 'narrow'] as const)
		.map((width) => `${day.names[width]}${date}`)
		.find((heading) => letters(heading).length <= most);
	const words = fitting ?? (date.trim() || day.names.narrow);
	return text(words, { x: box.x, y: box.y, w: box.w, h: 1 }, 'hand', 'start');
}

/** What stands in the box that is left over: the week's number, and days folded in from a short week. */
export function spareHeading(setting: Setting, box: Rect): TextMark[] {
	if (undated.of(setting)) return [];
	const number = String(weekNumberOf(setting));
	const folded = withFolded(setting.part?.folded);
	const most = lettersIn(box.w, setting.hand);
	const words =
		[`Week ${number}${folded}`, `${number}${folded}`, `Week ${number}`].find(
			(heading) => letters(heading).length <= most
		) ?? number;
	return [text(words, { x: box.x, y: box.y, w: box.w, h: 1 }, 'hand', 'start')];
}
