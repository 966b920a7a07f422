import { grid, line, move, type Mark } from '../draw';
import type { Size } from '../paper';
import { eventMarks, eventSums, sideColumnMarks, unfitEvents } from './cell-events';
import { dateMarks, restDayTints, weekdayMarks, type CalendarPart } from './calendar-cells';
import {
	cellDiscomfort,
	ranked,
	tooSmall,
	type Form,
	type Layout,
	type Room,
	type Setting
} from './form';
import { titleMarks, titleRows } from './title-band';

const header = 1;
const columns = 7;
/** Narrowest side column that words fit into, the square beside the grid included. */
const leastSide = 5;

function cellHeight({ wish, month }: Setting, width: number, height: number, top: number): number {
	const most = Math.floor((height - top - header) / month.weeks);
	return wish.cell?.h ?? Math.min(most, width);
}

/** Cells are sized by the busiest day; an event without a row costs comfort. */
function comfortOf(setting: Setting, cell: Size): number {
	const unfit = unfitEvents(setting, cell.h).length;
	return Math.min(100, cellDiscomfort(Math.min(cell.w, cell.h)) + 5 * Math.min(6, unfit));
}

/** Events that found no row stand in the outer side column of the right page, if that is asked for. */
function sideMarks(setting: Setting, part: CalendarPart, over: number, down: number): Mark[] {
	if (!setting.wish.overflow || over < leastSide) return [];
	const x = part.columns * part.cell.w + 1;
	const y = part.origin.y + header;
	return sideColumnMarks(setting, part.cell.h, { x, y, w: over - 1, h: down - y });
}

function sums({ month }: Setting, cell: Size, top: number): string {
	const title = top > 0 ? `title ${top} + ` : '';
	return `${title}header ${header} + ${month.weeks} weeks × ${cell.h} = ${top + header + month.weeks * cell.h} down`;
}

function onPage(setting: Setting, room: Room & { span: 'page' }): Layout[] {
	const { month, wish } = setting;
	const top = titleRows(setting);
	const width = wish.cell?.w ?? Math.floor(room.w / columns);
	const cell = { w: width, h: cellHeight(setting, width, room.h, top) };
	const size = { w: columns * cell.w, h: top + header + month.weeks * cell.h };
	if (cell.w < 1 || cell.h < 1 || size.w > room.w || size.h > room.h) return [];
	const part: CalendarPart = { origin: { x: 0, y: top }, cell, first: 0, columns };
	return [
		{
			room: { span: 'page', ...size },
			discomfort: comfortOf(setting, cell),
			stretches: false,
			facts: {
				cell,
				rows: month.weeks,
				header,
				title: top,
				days: month.days,
				weeks: month.weeks,
				lead: month.lead,
				over: room.w - size.w
			},
			why: [
				`7 × ${cell.w} = ${size.w} of ${room.w} across, ${room.w - size.w} over`,
				sums(setting, cell, top),
				...eventSums(setting, cell.h)
			],
			marks: () => [[...titleMarks(setting, size.w, false), ...partMarks(setting, part)]]
		}
	];
}

function onSpread(setting: Setting, room: Room & { span: 'spread' }): Layout[] {
	const layouts: Layout[] = [];
	const splits = setting.wish.split !== undefined ? [setting.wish.split] : [4, 5, 3, 6, 2, 1];
	for (const left of splits) {
		const layout = spreadLayout(setting, room, left);
		if (layout) layouts.push(layout);
	}
	return layouts;
}

function spreadLayout(
	setting: Setting,
	room: Room & { span: 'spread' },
	left: number
): Layout | undefined {
	const { month, wish } = setting;
	const top = titleRows(setting);
	const right = columns - left;
	const widest = Math.min(Math.floor(room.left.w / left), Math.floor(room.right.w / right));
	// Cells wider than 6 leave no side column for notes and gain no legibility (common practice).
	const width = wish.cell?.w ?? Math.min(widest, 6);
	const height = Math.min(room.left.h, room.right.h);
	const cell = { w: width, h: cellHeight(setting, width, height, top) };
	const down = top + header + month.weeks * cell.h;
	if (cell.w < 1 || cell.h < 1 || cell.w > widest || down > height) return undefined;
	const over: [number, number] = [room.left.w - left * cell.w, room.right.w - right * cell.w];
	const parts: [CalendarPart, CalendarPart] = [
		{ origin: { x: over[0], y: top }, cell, first: 0, columns: left },
		{ origin: { x: 0, y: top }, cell, first: left, columns: right }
	];
	return {
		room: {
			span: 'spread',
			left: { w: room.left.w, h: down },
			right: { w: room.right.w, h: down },
			gutter: room.gutter
		},
		discomfort: comfortOf(setting, cell),
		stretches: false,
		facts: {
			cell,
			rows: month.weeks,
			header,
			title: top,
			days: month.days,
			weeks: month.weeks,
			lead: month.lead,
			split: [left, right],
			over
		},
		why: [
			`left ${left} × ${cell.w} = ${left * cell.w} of ${room.left.w}, ${over[0]} over at the side`,
			`right ${right} × ${cell.w} = ${right * cell.w} of ${room.right.w}, ${over[1]} over at the side`,
			sums(setting, cell, top),
			...eventSums(setting, cell.h)
		],
		marks: () => [
			[
				...titleMarks(setting, left * cell.w, false).map((mark) =>
					move(mark, { x: over[0], y: 0 })
				),
				...partMarks(setting, parts[0])
			],
			[...partMarks(setting, parts[1]), ...sideMarks(setting, parts[1], over[1], down)]
		]
	};
}

function partMarks(setting: Setting, part: CalendarPart): Mark[] {
	const { x, y } = part.origin;
	const width = part.columns * part.cell.w;
	return [
		...restDayTints(setting, part, header),
		...weekdayMarks(setting, part, header),
		...dateMarks(setting, part, header),
		...eventMarks(setting, part, header),
		line(x, y, x + width, y),
		line(x, y, x, y + header),
		line(x + width, y, x + width, y + header),
		...grid({ x, y: y + header }, part.cell, part.columns, setting.month.weeks)
	];
}

/**
 * Month calendar: header 1 + weeks × cell height. On a page the cell is floor(width / 7) wide. Over a
 * spread k columns stand left and 7 − k right of the fold, against it; what is left over are outer
 * side columns, part of the block. (Common practice.)
 */
export const monthGrid: Form = {
	id: 'month-grid',
	name: 'Month grid',
	spans: ['spread', 'page'],
	fields: ['title', 'cell', 'split', 'events', 'overflow'],
	layouts: (setting, room) => {
		const layouts = room.span === 'page' ? onPage(setting, room) : onSpread(setting, room);
		return ranked(layouts, () => misfit(setting, room));
	}
};

function misfit(setting: Setting, room: Room) {
	const cell = setting.wish.cell ?? { w: 1, h: 1 };
	const down = titleRows(setting) + header + setting.month.weeks * cell.h;
	if (room.span === 'page')
		return tooSmall(
			`A month grid of ${cell.w} × ${cell.h} cells`,
			{ w: 7 * cell.w, h: down },
			room
		);
	const left = setting.wish.split ?? 4;
	const there = { w: room.left.w + room.right.w, h: Math.min(room.left.h, room.right.h) };
	// The fuller side decides: its columns must all stand on its own page.
	const lackLeft = Math.max(0, left * cell.w - room.left.w);
	const lackRight = Math.max(0, (7 - left) * cell.w - room.right.w);
	const needed = { w: there.w + lackLeft + lackRight, h: down };
	return tooSmall(
		`A month grid of ${cell.w} × ${cell.h} cells, ${left} + ${7 - left} columns,`,
		needed,
		there
	);
}
