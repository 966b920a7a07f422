import { flagRule, numberRule } from '../form/rule';
import {
	titleStyle,
	cellSize,
	restDays,
	headerRows,
	datePlace,
	weekdayStyle
} from '../form/common-rules';
import { grid, line, move, type Mark } from '../../draw';
import type { Size } from '../../paper';
import { eventMarks, eventSums, sideColumnMarks } from './cell-events';
import {
	dateMarks,
	dayFields,
	headerOf,
	restDayTints,
	weekdayMarks,
	type CalendarPart
} from './calendar-cells';
import { ranked, type Form, type Layout, type Room, type Setting } from '../form/form';
import {
	cellHeights,
	columns,
	comfortOf,
	dateCell,
	highestFor,
	widestFor,
	widthOf,
	widthsBelow
} from './month-cells';
import { titleMarks, titleRows } from '../parts/title-band';

const splitRule = numberRule({
	name: 'split',
	label: 'Columns left of the fold',
	least: 1,
	most: 6,
	more: true,
	chosen: ({ split }) => split?.[0]
});
const overflow = flagRule({
	name: 'overflow',
	label: 'list overflowing events beside the grid'
});
/** Cells are at most so many times as high as wide: on one page 4 × 5 or 4 × 6 (common practice). */
const tallest = 1.5;
/** Narrowest side column that words fit into, the square beside the grid included. */
const leastSide = 5;
/** Events that found no row stand in the outer side column of the right page, if that is asked for. */
function sideMarks(setting: Setting, part: CalendarPart, over: number, down: number): Mark[] {
	if (!overflow.of(setting) || over < leastSide) return [];
	const x = part.columns * part.cell.w + 1;
	const y = part.origin.y + headerOf(setting);
	return sideColumnMarks(setting, part.cell.h, { x, y, w: over - 1, h: down - y });
}

function sums(setting: Setting, cell: Size, top: number): string {
	const { month } = setting;
	const header = headerOf(setting);
	const title = top > 0 ? `title ${top} + ` : '';
	return `${title}header ${header} + ${month.weeks} weeks × ${cell.h} = ${top + header + month.weeks * cell.h} down`;
}

function onPage(setting: Setting, room: Room & { span: 'page' }): Layout[] {
	const top = titleRows(setting);
	const width = cellSize.of(setting)?.w ?? Math.floor(room.w / columns);
	if (width < dateCell && !cellSize.of(setting)) return [];
	const highest = Math.floor(tallest * width);
	const usual = cellHeights(setting, highest, room.h, top);
	const higher = cellSize.of(setting) ? [] : [2, 1].map((more) => highest + more);
	return [
		...usual.flatMap((h) => pageLayout(setting, room, top, { w: width, h })),
		...higher.flatMap((h) =>
			pageLayout(setting, room, top, { w: width, h }).map((layout) => ({
				...layout,
				generous: true
			}))
		)
	];
}

function pageLayout(
	setting: Setting,
	room: Room & { span: 'page' },
	top: number,
	cell: Size
): Layout[] {
	const { month } = setting;
	const header = headerOf(setting);
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
			marks: () => [[...titleMarks(setting, size.w, false), ...partMarks(setting, part)]],
			rooms: [{ name: 'below', on: 0, x: 0, y: size.h, w: room.w, h: room.h - size.h }]
		}
	];
}

function onSpread(setting: Setting, room: Room & { span: 'spread' }): Layout[] {
	const split = splitRule.of(setting);
	const cell = cellSize.of(setting);
	const splits = split === undefined ? [4, 5, 3, 6, 2, 1] : [split];
	const widest = cell?.w ?? Math.max(...splits.map((left) => widthOf(room, left)));
	const top = titleRows(setting);
	const height = Math.min(room.left.h, room.right.h);
	if (widest < dateCell && !cell) return [];
	const usual = widthsBelow(setting, widest).flatMap((width) =>
		splits.flatMap((left) =>
			cellHeights(setting, highestFor(width), height, top).flatMap(
				(h) => spreadLayout(setting, room, left, { w: width, h }) ?? []
			)
		)
	);
	return cell ? usual : [...usual, ...splits.flatMap((left) => fullSpread(setting, room, left))];
}

/** Cells as wide as the pages, and as high as they can be: what nobody needs beside a calendar it fills itself. */
function fullSpread(setting: Setting, room: Room & { span: 'spread' }, left: number): Layout[] {
	const w = widestFor(room, left);
	const height = Math.min(room.left.h, room.right.h);
	const [h = 0] = cellHeights(setting, Math.floor(tallest * w), height, titleRows(setting));
	const layout = spreadLayout(setting, room, left, { w, h });
	return layout ? [{ ...layout, generous: true }] : [];
}

function spreadLayout(
	setting: Setting,
	room: Room & { span: 'spread' },
	left: number,
	cell: Size
): Layout | undefined {
	const { month } = setting;
	const top = titleRows(setting);
	const header = headerOf(setting);
	const right = columns - left;
	const height = Math.min(room.left.h, room.right.h);
	const down = top + header + month.weeks * cell.h;
	if (cell.w < 1 || cell.h < 1 || cell.w > widestFor(room, left) || down > height) return undefined;
	const over: [number, number] = [room.left.w - left * cell.w, room.right.w - right * cell.w];
	// What overflows into the side column needs it: then the block takes both pages in their whole width.
	const whole = overflow.of(setting);
	const outer = whole ? over[0] : 0;
	const wide = [left * cell.w, right * cell.w] as const;
	const parts: [CalendarPart, CalendarPart] = [
		{ origin: { x: outer, y: top }, cell, first: 0, columns: left },
		{ origin: { x: 0, y: top }, cell, first: left, columns: right }
	];
	return {
		room: {
			span: 'spread',
			left: { w: whole ? room.left.w : wide[0], h: down },
			right: { w: whole ? room.right.w : wide[1], h: down },
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
				...titleMarks(setting, wide[0], false).map((mark) => move(mark, { x: outer, y: 0 })),
				...partMarks(setting, parts[0])
			],
			[...partMarks(setting, parts[1]), ...sideMarks(setting, parts[1], over[1], down)]
		],
		rooms: [
			...(whole
				? []
				: ([
						{ name: 'left', on: 0, x: -over[0], y: top, w: over[0], h: down - top },
						{ name: 'right', on: 1, x: wide[1], y: top, w: over[1], h: down - top }
					] as const)),
			{
				name: 'below-left',
				on: 0,
				x: whole ? 0 : -over[0],
				y: down,
				w: room.left.w,
				h: room.left.h - down
			},
			{ name: 'below-right', on: 1, x: 0, y: down, w: room.right.w, h: room.right.h - down }
		]
	};
}

function partMarks(setting: Setting, part: CalendarPart): Mark[] {
	const { x, y } = part.origin;
	const width = part.columns * part.cell.w;
	const header = headerOf(setting);
	return [
		...restDayTints(setting, part, header),
		...weekdayMarks(setting, part, header),
		...dateMarks(setting, part, header),
		...eventMarks(setting, part, header),
		...(header > 0
			? [
					line(x, y, x + width, y),
					line(x, y, x, y + header),
					line(x + width, y, x + width, y + header)
				]
			: []),
		...grid({ x, y: y + header }, part.cell, part.columns, setting.month.weeks),
		...dayFields(setting, part, header, {}, 'text')
	];
}

/**
 * Month calendar: header 1 + weeks × cell height. On a page the cell is floor(width / 7) wide. Over a
 * spread k columns stand left and 7 − k right of the fold, against it; what is left over at the sides and below are
 * rooms. (Common practice.)
 */
export const monthGrid: Form = {
	id: 'month-grid',
	name: 'Month grid',
	spans: ['spread', 'page'],
	content: ['title', 'events'],
	rules: [titleStyle, cellSize, overflow, splitRule, restDays, datePlace, weekdayStyle, headerRows],
	rooms: [
		{ name: 'left', label: 'left of the grid' },
		{ name: 'right', label: 'right of the grid' },
		{ name: 'below', label: 'below the grid' },
		{ name: 'below-left', label: 'below, on the left page' },
		{ name: 'below-right', label: 'below, on the right page' }
	],
	layouts: (setting, room) => {
		const layouts = room.span === 'page' ? onPage(setting, room) : onSpread(setting, room);
		return ranked(layouts);
	}
};
