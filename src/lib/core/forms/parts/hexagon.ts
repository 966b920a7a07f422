import { line, type LineMark } from '../../draw';
import type { Dot, Size } from '../../paper';

/** Places for dot hexagons in a rectangle. */
export interface HexagonField {
	readonly columns: number;
	/** Places in even and in odd columns. */
	readonly rows: readonly [number, number];
	readonly places: number;
}

/**
 * Dot hexagons of s squares, s a multiple of 4, all corners on dots: columns 3s/4 apart, every second
 * one s/2 lower. (Common practice.)
 */
export function hexagonField({ w, h }: Size, s: number): HexagonField {
	const columns = w < s ? 0 : Math.floor((w - s) / ((3 * s) / 4)) + 1;
	const even = Math.floor(h / s);
	const odd = Math.max(0, Math.floor((h - s / 2) / s));
	const places = Math.ceil(columns / 2) * even + Math.floor(columns / 2) * odd;
	return { columns, rows: [even, odd], places };
}

/** Top left of the square around the hexagon in a column and row. */
export function hexagonAt(column: number, row: number, s: number): Dot {
	return { x: (column * 3 * s) / 4, y: row * s + (column % 2) * (s / 2) };
}

/** A hexagon's six sides; for s = 4 its corners are (1,0) (3,0) (4,2) (3,4) (1,4) (0,2). */
export function hexagonLines({ x, y }: Dot, s: number): LineMark[] {
	const q = s / 4;
	const corners = [
		[q, 0],
		[3 * q, 0],
		[s, 2 * q],
		[3 * q, s],
		[q, s],
		[0, 2 * q]
	] as const;
	return corners.map(([cx, cy], index) => {
		const [nx, ny] = corners[(index + 1) % 6] ?? [cx, cy];
		return line(x + cx, y + cy, x + nx, y + ny);
	});
}

/** One of three colours for a hexagon, so that neighbours differ (common practice). */
export function hexagonColour(column: number, row: number): number {
	return (((column + Math.floor(column / 2) - row) % 3) + 3) % 3;
}
