import { text, type Mark, type TintMark } from '../draw';
import { cellOf, weekdayNames, type NameWidth } from '../month';
import type { Dot, Size } from '../paper';
import { letters, lettersIn } from '../hand';
import { restsOn } from './day-labels';
import type { Setting } from './form';

/** Columns of a month grid that stand on one page, from weekday column `first` on. */
export interface CalendarPart {
	readonly origin: Dot;
	readonly cell: Size;
	readonly first: number;
	readonly columns: number;
}

/** Weekday names over the columns: the longest width of name that fits into every column. */
export function weekdayMarks(setting: Setting, part: CalendarPart, height: number): Mark[] {
	const names = fittingWeekdayNames(setting, part.cell.w);
	return names.slice(part.first, part.first + part.columns).map((name, index) =>
		text(
			name,
			{
				x: part.origin.x + index * part.cell.w,
				y: part.origin.y,
				w: part.cell.w,
				h: height
			},
			'hand'
		)
	);
}

/** Dates of the month in the cells of one part, each in the cell's top left square. */
export function dateMarks({ month }: Setting, part: CalendarPart, top: number): Mark[] {
	const marks: Mark[] = [];
	for (let day = 1; day <= month.days; day++) {
		const { row, column } = cellOf(month, day);
		if (column < part.first || column >= part.first + part.columns) continue;
		marks.push(
			text(
				String(day),
				{
					x: part.origin.x + (column - part.first) * part.cell.w,
					y: part.origin.y + top + row * part.cell.h,
					w: 1,
					h: 1
				},
				'figure'
			)
		);
	}
	return marks;
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

function fittingWeekdayNames({ locale, month, hand }: Setting, width: number): readonly string[] {
	const widths: NameWidth[] = ['long', 'short'];
	for (const nameWidth of widths) {
		const names = weekdayNames(locale, month.weekStart, nameWidth);
		// A long name may fill the column but for one square, so that neighbours stay apart.
		const room = lettersIn(nameWidth === 'long' ? width - 1 : width, hand);
		if (names.every((name) => letters(name).length <= room)) return names;
	}
	return weekdayNames(locale, month.weekStart, 'narrow');
}
