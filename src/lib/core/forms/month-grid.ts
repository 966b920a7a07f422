import { flagRule, numberRule } from './rule';
import {
	titleStyle,
	cellSize,
	restDays,
	headerRows,
	datePlace,
	weekdayStyle
} from './common-rules';
import { grid, line, move, type Mark } from '../draw';
import type { Size } from '../paper';
import { eventMarks, eventSums, sideColumnMarks, unfitEvents } from './cell-events';
import {
	dateMarks,
	headerOf,
	restDayTints,
	weekdayMarks,
	type CalendarPart
} from './calendar-cells';
import { cellDiscomfort, ranked, type Form, type Layout, type Room, type Setting } from './form';
import { leastSection, sectionMarks, sectionNames } from './sections';
import { titleMarks, titleRows } from './title-band';

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
	label: 'what finds no room in its cell stands beside the grid'
});
const columns = 7;
/** Cells are at most so many times as high as wide: on one page 4 × 5 or 4 × 6 (common practice). */
const tallest = 1.5;
/** Narrowest side column that words fit into, the square beside the grid included. */
const leastSide = 5;
/** Lowest cell that is offered without being asked for: the date and a word. */
const leastCell = 3;

/** Heights to offer: up to the most, or as high as there is room, and lower ones that still bear a word. */
function cellHeights(setting: Setting, highest: number, height: number, top: number): number[] {
	const asked = cellSize.of(setting);
	if (asked) return [asked.h];
	const most = Math.min(
		Math.floor((height - top - headerOf(setting)) / setting.month.weeks),
		highest
	);
	const lower = [1, 2, 3].map((less) => most - less).filter((cell) => cell >= leastCell);
	return [most, ...lower];
}

/** Cells lower than this are too low to write events into. */
const writableCell = 4;

/** Cells are sized by the busiest day; an event without a row costs comfort, and so do cells that are low. */
function comfortOf(setting: Setting, cell: Size): number {
	const unfit = unfitEvents(setting, cell.h).length;
	const low = cell.h >= writableCell ? 0 : cell.h === leastCell ? 70 : 100;
	const small = cellDiscomfort(Math.min(cell.w, cell.h)) + 5 * Math.min(6, unfit);
	return Math.min(100, Math.max(low, small));
}

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
	return cellHeights(
		setting,
		Math.floor(tallest * width),
		room.h - sectionRows(setting),
		top
	).flatMap((height) => pageLayout(setting, room, top, { w: width, h: height }));
}

function pageLayout(
	setting: Setting,
	room: Room & { span: 'page' },
	top: number,
	cell: Size
): Layout[] {
	const { month } = setting;
	const header = headerOf(setting);
	const grid = top + header + month.weeks * cell.h;
	const below = sectionRows(setting);
	const size = { w: columns * cell.w, h: grid + below };
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
				...(below > 0 ? [`1 + ${below - 1} rows below for what is named`] : []),
				...eventSums(setting, cell.h)
			],
			marks: () => [
				[
					...titleMarks(setting, size.w, false),
					...partMarks(setting, part),
					...(below > 0
						? sectionMarks(setting, { x: 0, y: grid + 1, w: size.w, h: below - 1 }, 'across')
						: [])
				]
			]
		}
	];
}

/** Rows below a calendar on one page for its sections and a free one; none where it has no sections. */
function sectionRows(setting: Setting): number {
	return sectionNames(setting).length > 0 ? 1 + leastSection.h : 0;
}

function onSpread(setting: Setting, room: Room & { span: 'spread' }): Layout[] {
	const split = splitRule.of(setting);
	const cell = cellSize.of(setting);
	// Splits that leave the cells narrower than another one are taken only when they are asked for.
	const splits = split === undefined ? [4, 5, 3, 6, 2, 1] : [split];
	const aside = sectionNames(setting).length > 0 ? 1 + leastSection.w : 0;
	const widths = splits.map((left) => ({ left, width: cell?.w ?? widthOf(room, left, aside) }));
	const widest = Math.max(...widths.map(({ width }) => width));
	const top = titleRows(setting);
	const height = Math.min(room.left.h, room.right.h);
	return widths
		.filter(({ width }) => width === widest)
		.flatMap(({ left, width }) =>
			cellHeights(setting, width, height, top).flatMap(
				(h) => spreadLayout(setting, room, left, { w: width, h }) ?? []
			)
		);
}

/**
 * Widest cells with so many columns on the left; beyond 6 they gain no legibility (common practice), but on large pages
 * they grow with the page.
 */
function widthOf(room: Room & { span: 'spread' }, left: number, aside: number): number {
	const page = Math.min(room.left.w, room.right.w);
	const beside = Math.floor((room.right.w - aside) / (columns - left));
	return Math.min(widestFor(room, left), beside, Math.max(6, Math.floor(page / 5)));
}

function widestFor(room: Room & { span: 'spread' }, left: number): number {
	return Math.min(Math.floor(room.left.w / left), Math.floor(room.right.w / (columns - left)));
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
	const sections = sectionNames(setting);
	const high = down - top >= sections.length * leastSection.h;
	if (sections.length > 0 && (over[1] <= leastSection.w || !high)) return undefined;
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
			...(sections.length > 0
				? [`beside the grid: ${sections.join(', ')}, ${over[1] - 1} across`]
				: []),
			...eventSums(setting, cell.h)
		],
		marks: () => [
			[
				...titleMarks(setting, left * cell.w, false).map((mark) =>
					move(mark, { x: over[0], y: 0 })
				),
				...partMarks(setting, parts[0])
			],
			[
				...partMarks(setting, parts[1]),
				...(sections.length > 0
					? sectionMarks(
							setting,
							{ x: right * cell.w + 1, y: top, w: over[1] - 1, h: down - top },
							'down'
						)
					: sideMarks(setting, parts[1], over[1], down))
			]
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
		...grid({ x, y: y + header }, part.cell, part.columns, setting.month.weeks)
	];
}

/**
 * Month calendar: header 1 + weeks × cell height. On a page the cell is floor(width / 7) wide. Over a
 * spread k columns stand left and 7 − k right of the fold, against it; what is left over are outer
 * side columns, part of the block; one to three named sections (`parts`) stand in the right one, or below on one page.
 * (Common practice.)
 */
export const monthGrid: Form = {
	id: 'month-grid',
	name: 'Month grid',
	spans: ['spread', 'page'],
	content: ['title', 'parts', 'events'],
	partsAre: 'Sections beside it, three at most',
	rules: [titleStyle, cellSize, overflow, splitRule, restDays, datePlace, weekdayStyle, headerRows],
	layouts: (setting, room) => {
		const layouts = room.span === 'page' ? onPage(setting, room) : onSpread(setting, room);
		return ranked(layouts);
	}
};
