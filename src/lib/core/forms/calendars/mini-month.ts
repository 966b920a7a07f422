import { field, grid, text, type Mark, type Subject } from '../../draw';
import { letters, lettersIn, textWidth } from '../../hand';
import type { Dot, Size } from '../../paper';
import { dateMarks, dayFields, weekdayMarks, type CalendarPart } from './calendar-cells';
import { weekdayStyle } from '../form/common-rules';
import type { Setting } from '../form/form';
import type { Item } from '../form/content';
import { datesOfWeek } from '../lists/week-boxes-list';

/** Rows of cells that the weekdays' letters take: 1, or 0 where they are not named. */
export function weekdayRow(setting: Setting): 0 | 1 {
	return weekdayStyle.of(setting) === 'none' ? 0 : 1;
}

/** A cell that is as high as wide. */
export const squareOf = (c: number): Size => ({ w: c, h: c });

/** Rows that the weekdays' names take above cells: as many as a cell is wide, or none where they are not named. */
const nameRows = (setting: Setting, { w }: Size) => weekdayRow(setting) * w;

/** Size of a mini calendar with cells of w × h squares, without a title: 7w × (w + weeks × h). */
export function miniMonthSize(setting: Setting, cell: Size): Size {
	return { w: 7 * cell.w, h: nameRows(setting, cell) + setting.month.weeks * cell.h };
}

/** Ruled days under weekday letters, with a title line on top where there is a title; days are fields where it says of what. */
export function miniMonthMarks(
	setting: Setting,
	cell: Size,
	at: Dot,
	title?: string,
	about?: Subject
): Mark[] {
	const top = title === undefined ? 0 : 1;
	const names = nameRows(setting, cell);
	const part: CalendarPart = {
		origin: { x: at.x, y: at.y + top },
		cell,
		first: 0,
		columns: 7
	};
	return [
		...(title ? [text(title, { x: at.x, y: at.y, w: 7 * cell.w, h: 1 }, 'hand', 'start')] : []),
		...weekdayMarks(setting, part, names),
		...dateMarks(setting, part, names),
		...grid({ x: at.x, y: at.y + top + names }, part.cell, 7, setting.month.weeks),
		...(about ? dayFields(setting, part, names, about, 'mark') : [])
	];
}

/** A box a week, with its dates, under its name: as large as a mini calendar with its weekdays. */
export function weekBoxMarks(
	setting: Setting,
	cell: Size,
	at: Dot,
	title?: string,
	about?: Subject
): Mark[] {
	const top = title === undefined ? 0 : 1;
	const { w, h } = { w: 7 * cell.w, h: cell.h };
	const y = at.y + top + nameRows(setting, cell);
	const dates = Math.min(w, 4);
	return [
		...(title ? [text(title, { x: at.x, y: at.y, w, h: 1 }, 'hand', 'start')] : []),
		...Array.from({ length: setting.month.weeks }, (_, row) =>
			text(
				datesOfWeek(setting, row),
				{ x: at.x, y: y + row * h, w: dates, h: 1 },
				'figure',
				'start'
			)
		),
		...grid({ x: at.x, y }, { w, h }, 1, setting.month.weeks),
		...Array.from({ length: setting.month.weeks }, (_, row) =>
			field({ x: at.x, y: y + row * h, w, h }, { ...about, week: row + 1 }, 'mark')
		)
	];
}

/** How a name stands in a width: as it is, shortened to its short form, or cut, and what that costs. */
export interface FittedLabel {
	readonly label: string;
	readonly lacking: number;
}

/** The name if it fits the width, else its short form if that fits, else the name cut to the width. */
export function fitLabel(item: Item, width: number, { hand }: Setting): FittedLabel {
	const lacking = Math.max(0, textWidth(item.name, hand) - width);
	if (lacking === 0) return { label: item.name, lacking };
	const { short } = item;
	if (short && textWidth(short, hand) <= width) return { label: short, lacking };
	const most = lettersIn(width, hand);
	return {
		label: `${letters(item.name)
			.slice(0, Math.max(1, most - 1))
			.join('')}.`,
		lacking
	};
}
