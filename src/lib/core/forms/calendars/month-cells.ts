import { headerOf } from './calendar-cells';
import { unfitEvents } from './cell-events';
import { cellSize } from '../form/common-rules';
import { cellDiscomfort, type Room, type Setting } from '../form/form';
import type { Size } from '../../paper';

/** Days of a week. */
export const columns = 7;
/** A large page's cells are so many times narrower than it: 7 squares on 33, 8 on 40. */
const columnsOfLarge = 4.6;
/** Lowest cell that is offered beside the highest one: the date and a word. */
const leastCell = 3;

/** Cells that nobody asked for have room for a date and a sign at least. */
export const dateCell = 2;

/** Heights to offer: up to the most, or as high as there is room, and lower ones that still bear a word. */
export function cellHeights(
	setting: Setting,
	highest: number,
	height: number,
	top: number
): number[] {
	const asked = cellSize.of(setting);
	if (asked) return [asked.h];
	const most = Math.min(
		Math.floor((height - top - headerOf(setting)) / setting.month.weeks),
		highest
	);
	const lower = [1, 2, 3].map((less) => most - less).filter((cell) => cell >= leastCell);
	return most >= dateCell ? [most, ...lower] : [];
}

/** Cells lower than this are too low to write events into. */
const writableCell = 4;

/** Cells are sized by the busiest day; an event without a row costs comfort, and so do cells that are low. */
export function comfortOf(setting: Setting, cell: Size): number {
	const unfit = unfitEvents(setting, cell.h).length;
	const low = cell.h >= writableCell ? 0 : cell.h === leastCell ? 70 : 100;
	const small = cellDiscomfort(low > 0 ? cell.w : Math.min(cell.w, cell.h));
	return Math.min(100, low + small + 5 * Math.min(6, unfit));
}

/** Cells are squares, but narrow ones, and those of large pages, may be a square higher than wide. */
export function highestFor(width: number): number {
	return width === 6 ? width : width + 1;
}

/** The widest cells, and narrower ones that leave wider rooms beside the grid and still hold events. */
export function widthsBelow(setting: Setting, widest: number): number[] {
	if (cellSize.of(setting)) return [widest];
	const narrower = [widest - 1, widest - 2].filter((width) => width >= writableCell);
	return [widest, ...narrower];
}

/**
 * Widest cells with so many columns on the left; beyond 6 they gain no legibility (common practice), but on large pages
 * they grow with the page.
 */
export function widthOf(room: Room & { span: 'spread' }, left: number): number {
	const page = Math.min(room.left.w, room.right.w);
	// A room that a grid fills exactly is drawn as that grid.
	const exact = room.left.w / left;
	if (Number.isInteger(exact) && room.right.w === exact * (columns - left)) return exact;
	return Math.min(widestFor(room, left), Math.max(6, Math.floor(page / columnsOfLarge)));
}

/** Squares to a day at most, with so many columns on the left. */
export function widestFor(room: Room & { span: 'spread' }, left: number): number {
	return Math.min(Math.floor(room.left.w / left), Math.floor(room.right.w / (columns - left)));
}
