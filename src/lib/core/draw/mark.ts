import type { FieldMark } from './field';
import type { Compass, Dot, Rect } from '../paper';

/** A ruled stroke from dot to dot. */
export interface LineMark {
	readonly kind: 'line';
	readonly x1: number;
	readonly y1: number;
	readonly x2: number;
	readonly y2: number;
}

/** What kind of writing a text is: `lettering` is drawn, `hand` written, `figure` a date or number. */
export type TextStyle = 'lettering' | 'hand' | 'figure';

/** A text inside a rectangle, on one line of the rectangle's height. */
export interface TextMark extends Rect {
	readonly kind: 'text';
	readonly text: string;
	readonly style: TextStyle;
	readonly align: 'start' | 'center';
	/** Written upwards, from the foot of the rectangle to its top. */
	readonly turned?: boolean;
}

/** What a tint means: a rest day, room for a picture, every second line, a goal, its slack, a level. */
export type Tone = 'rest' | 'art' | 'line' | 'bar' | 'slack' | Level;

/** The moods or states of a key, by their places there. */
export const levels = ['level-1', 'level-2', 'level-3', 'level-4', 'level-5', 'level-6'] as const;

export type Level = (typeof levels)[number];

/** A lightly coloured area. */
export interface TintMark extends Rect {
	readonly kind: 'tint';
	readonly tone: Tone;
}

/** A circle drawn with a compass that stands on a dot, or its upper half. */
export interface ArcMark extends Compass {
	readonly kind: 'arc';
	readonly part: 'whole' | 'upper';
}

/** One thing to draw, in squares from the first dot. */
export type Mark = LineMark | TextMark | TintMark | ArcMark | FieldMark;

/** A ruled stroke. */
export function line(x1: number, y1: number, x2: number, y2: number): LineMark {
	return { kind: 'line', x1, y1, x2, y2 };
}

/** A text in its rectangle. */
export function text(
	value: string,
	rect: Rect,
	style: TextStyle,
	align: TextMark['align'] = 'center'
): TextMark {
	return { kind: 'text', text: value, style, align, ...rect };
}

/** The four sides of a rectangle. */
export function frame({ x, y, w, h }: Rect): LineMark[] {
	return [
		line(x, y, x + w, y),
		line(x, y + h, x + w, y + h),
		line(x, y, x, y + h),
		line(x + w, y, x + w, y + h)
	];
}

/** Lines of a grid of equal cells, its outline included. */
export function grid(origin: Dot, cell: { w: number; h: number }, columns: number, rows: number) {
	const { x, y } = origin;
	const lines: LineMark[] = [];
	for (let row = 0; row <= rows; row++)
		lines.push(line(x, y + row * cell.h, x + columns * cell.w, y + row * cell.h));
	for (let column = 0; column <= columns; column++)
		lines.push(line(x + column * cell.w, y, x + column * cell.w, y + rows * cell.h));
	return lines;
}

/** A mark moved right by `by.x` and down by `by.y` squares. */
export function move(mark: Mark, by: Dot): Mark {
	switch (mark.kind) {
		case 'line':
			return line(mark.x1 + by.x, mark.y1 + by.y, mark.x2 + by.x, mark.y2 + by.y);
		default:
			return { ...mark, x: mark.x + by.x, y: mark.y + by.y };
	}
}
