import { line, type LineMark } from '../../draw';
import type { Rect } from '../../paper';

/** Lines between and around rows of equal height. */
export function rowLines({ x, y, w }: Rect, height: number, count: number): LineMark[] {
	return Array.from({ length: count + 1 }, (_, row) =>
		line(x, y + row * height, x + w, y + row * height)
	);
}

/** Vertical lines at the starts of columns of given widths, and at the end of the last. */
export function columnLines(
	x: number,
	y: number,
	h: number,
	widths: readonly number[]
): LineMark[] {
	const lines = [line(x, y, x, y + h)];
	let at = x;
	for (const width of widths) {
		at += width;
		lines.push(line(at, y, at, y + h));
	}
	return lines;
}

/** "title 4 + " where there is a title. */
export function titleSum(top: number): string {
	return top > 0 ? `title ${top} + ` : '';
}
