import { text, type Mark } from '../../draw';
import type { Rect } from '../../paper';
import { datePlace } from '../form/common-rules';
import type { Setting } from '../form/form';

/** The square of a cell that bears its date; undefined where dates stand nowhere. */
export function dateSquare(setting: Setting, cell: Rect): Rect | undefined {
	const right = cell.x + cell.w - 1;
	const foot = cell.y + cell.h - 1;
	const centre = cell.x + Math.floor((cell.w - 1) / 2);
	const square = (x: number, y: number): Rect => ({ x, y, w: 1, h: 1 });
	switch (datePlace.of(setting)) {
		case 'top-left':
		case 'painted':
			return square(cell.x, cell.y);
		case 'top-right':
			return square(right, cell.y);
		case 'bottom-left':
			return square(cell.x, foot);
		case 'bottom-right':
			return square(right, foot);
		case 'bottom-middle':
			return square(centre, foot);
		case 'middle':
			return square(centre, cell.y + Math.floor((cell.h - 1) / 2));
		case 'none':
			return undefined;
	}
}

/** A day's date in its cell, where dates stand. */
export function dateIn(setting: Setting, day: number, cell: Rect): Mark[] {
	const square = dateSquare(setting, cell);
	if (!square) return [];
	const paint: Mark[] =
		datePlace.of(setting) === 'painted' ? [{ kind: 'tint', tone: 'bar', ...square }] : [];
	return [...paint, text(String(day), square, 'figure')];
}

/** The cell's rows that are free for words: all but the date's. */
export function rowsBeside(setting: Setting, cell: Rect): readonly number[] {
	const taken = dateSquare(setting, cell)?.y;
	return Array.from({ length: cell.h }, (_, row) => cell.y + row).filter((y) => y !== taken);
}
