import { line, type LineMark } from '../../draw';
import type { Dot, Size } from '../../paper';

/** A dot hexagon: so many squares wide and high, its upper and lower corners `inset` from its sides. The height is even. */
export interface Hexagon extends Size {
	readonly inset: number;
}

/** Hexagons with all corners on dots, the largest first. (Common practice; three of them also upright and even.) */
export const hexagonShapes: readonly Hexagon[] = [
	{ w: 8, h: 8, inset: 2 },
	{ w: 7, h: 6, inset: 2 },
	{ w: 6, h: 4, inset: 1 },
	{ w: 4, h: 4, inset: 1 }
];

/** Places for dot hexagons in a rectangle. */
export interface HexagonField {
	readonly columns: number;
	/** Places in even and in odd columns. */
	readonly rows: readonly [number, number];
	readonly places: number;
}

/** How many columns of hexagons a rectangle has, each reaching into the next, and how many stand in each: every second is half a hexagon lower. */
export function hexagonField({ w, h }: Size, shape: Hexagon): HexagonField {
	const columns = w < shape.w ? 0 : Math.floor((w - shape.w) / columnStep(shape)) + 1;
	const even = Math.floor(h / shape.h);
	const odd = Math.max(0, Math.floor((h - shape.h / 2) / shape.h));
	const places = Math.ceil(columns / 2) * even + Math.floor(columns / 2) * odd;
	return { columns, rows: [even, odd], places };
}

/** From one column to the next. */
export function columnStep({ w, inset }: Hexagon): number {
	return w - inset;
}

/** Top left of the rectangle around the hexagon in a column and row. */
export function hexagonAt(column: number, row: number, shape: Hexagon): Dot {
	return {
		x: column * columnStep(shape),
		y: row * shape.h + (column % 2) * (shape.h / 2)
	};
}

/** A hexagon's six sides; 4 × 4 has its corners at (1,0) (3,0) (4,2) (3,4) (1,4) (0,2). */
export function hexagonLines({ x, y }: Dot, { w, h, inset }: Hexagon): LineMark[] {
	const corners = [
		[inset, 0],
		[w - inset, 0],
		[w, h / 2],
		[w - inset, h],
		[inset, h],
		[0, h / 2]
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
