import {
	text,
	type FieldMark,
	type Holds,
	type Mark,
	type Subject,
	type TintMark
} from '../../draw';
import { cellOf, weekdayNames, type NameWidth } from '../../month';
import type { Dot, Size } from '../../paper';
import { letters, lettersIn } from '../../hand';
import { headerRows, weekdayStyle } from '../form/common-rules';
import { dateIn } from '../parts/date-square';
import { daysFrom, restsOn } from '../parts/day-labels';
import { dayField } from '../parts/key';
import type { Setting } from '../form/form';

/** Columns of a month grid that stand on one page, from weekday column `first` on. */
export interface CalendarPart {
	readonly origin: Dot;
	readonly cell: Size;
	readonly first: number;
	readonly columns: number;
}

/** Rows above a calendar: 1 for the weekdays' names, none where they are not named, or as many as are asked for. */
export function headerOf(setting: Setting): number {
	return headerRows.of(setting) ?? (weekdayStyle.of(setting) === 'none' ? 0 : 1);
}

/** Weekday names over the columns: the longest width of name that fits into every column, or the one asked for. */
export function weekdayMarks(setting: Setting, part: CalendarPart, height: number): Mark[] {
	if (height < 1 || weekdayStyle.of(setting) === 'none') return [];
	const names = fittingWeekdayNames(setting, part.cell.w);
	return names.slice(part.first, part.first + part.columns).map((name, index) =>
		text(
			name,
			{
				x: part.origin.x + index * part.cell.w,
				y: part.origin.y + height - Math.min(height, part.cell.w),
				w: part.cell.w,
				h: Math.min(height, part.cell.w)
			},
			'hand'
		)
	);
}

/** Dates of the month in the cells of one part. */
export function dateMarks(setting: Setting, part: CalendarPart, top: number): Mark[] {
	const { month } = setting;
	const marks: Mark[] = [];
	for (let day = 1; day <= month.days; day++) {
		const { row, column } = cellOf(month, day);
		if (column < part.first || column >= part.first + part.columns) continue;
		const x = part.origin.x + (column - part.first) * part.cell.w;
		const y = part.origin.y + top + row * part.cell.h;
		marks.push(...dateIn(setting, day, { x, y, ...part.cell }));
	}
	return marks;
}

/** Fields of the days in the cells of one part; `about` says of what besides the day. */
export function dayFields(
	setting: Setting,
	part: CalendarPart,
	top: number,
	about: Subject,
	holds: Holds
): FieldMark[] {
	const { month } = setting;
	return daysFrom(1, month.days).flatMap((day) => {
		const { row, column } = cellOf(month, day);
		if (column < part.first || column >= part.first + part.columns) return [];
		const x = part.origin.x + (column - part.first) * part.cell.w;
		const y = part.origin.y + top + row * part.cell.h;
		return [dayField(setting, { x, y, ...part.cell }, { ...about, day }, holds)];
	});
}

/** Tints behind the rest days of one part, inside the month only. */
export function restDayTints(setting: Setting, part: CalendarPart, top: number): TintMark[] {
	const { month } = setting;
	const tints: TintMark[] = [];
	for (let day = 1; day <= month.days; day++) {
		const { row, column } = cellOf(month, day);
		if (column < part.first || column >= part.first + part.columns) continue;
		if (!restsOn(setting, day)) continue;
		tints.push({
			kind: 'tint',
			tone: 'rest',
			x: part.origin.x + (column - part.first) * part.cell.w,
			y: part.origin.y + top + row * part.cell.h,
			...part.cell
		});
	}
	return tints;
}

function fittingWeekdayNames(setting: Setting, width: number): readonly string[] {
	const { locale, month, hand } = setting;
	const asked = weekdayStyle.of(setting);
	const widths: readonly NameWidth[] = ['long', 'short'];
	for (const nameWidth of widths) {
		if (asked === 'narrow' || (asked === 'short' && nameWidth === 'long')) continue;
		const names = weekdayNames(locale, month.weekStart, nameWidth);
		// A long name may fill the column but for one square, so that neighbours stay apart.
		const room = lettersIn(nameWidth === 'long' ? width - 1 : width, hand);
		if (names.every((name) => letters(name).length <= room)) return names;
	}
	return weekdayNames(locale, month.weekStart, 'narrow');
}
