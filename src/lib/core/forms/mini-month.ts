import { grid, text, type Mark } from '../draw';
import { letters, lettersIn, textWidth } from '../hand';
import type { Dot, Size } from '../paper';
import { dateMarks, weekdayMarks, type CalendarPart } from './calendar-cells';
import { withoutNumbers } from './common-rules';
import type { Setting } from './form';
import type { Item } from './content';

/** Size of a mini calendar with cells of c squares: 7c × (weeks + 1)c, + 1 for a title line. */
export function miniMonthSize({ month }: Setting, c: number, titled: boolean): Size {
	return { w: 7 * c, h: (month.weeks + 1) * c + (titled ? 1 : 0) };
}

/** Ruled days under weekday letters, with a title line on top where there is a title. */
export function miniMonthMarks(setting: Setting, c: number, at: Dot, title?: string): Mark[] {
	const top = title === undefined ? 0 : 1;
	const part: CalendarPart = {
		origin: { x: at.x, y: at.y + top },
		cell: { w: c, h: c },
		first: 0,
		columns: 7
	};
	return [
		...(title ? [text(title, { x: at.x, y: at.y, w: 7 * c, h: 1 }, 'hand', 'start')] : []),
		...weekdayMarks(setting, part, c),
		...(withoutNumbers.of(setting) ? [] : dateMarks(setting, part, c)),
		...grid({ x: at.x, y: at.y + top + c }, part.cell, 7, setting.month.weeks)
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
