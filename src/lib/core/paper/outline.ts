import type { Dot, Rect } from './squares';

/** Shapes that a hole may be cut in, or a frame be drawn in. */
export const outlineShapes = ['rectangle', 'hexagon', 'octagon', 'circle', 'arch'] as const;

export type OutlineShape = (typeof outlineShapes)[number];

/** Where a compass stands and how wide it is open, in squares. */
export interface Compass extends Dot {
	readonly radius: number;
}

/** Straight pieces that a quarter of a circle is drawn with: no corner is seen at any size on a page. */
export const arcPieces = 36;

/** Points on a circle, or on its upper half, from its left end over the top. */
export function arcPoints({ x, y, radius }: Compass, part: 'whole' | 'upper'): Dot[] {
	const pieces = part === 'whole' ? 4 * arcPieces : 2 * arcPieces + 1;
	return Array.from({ length: pieces }, (_, index) => {
		const angle = (index / (4 * arcPieces)) * 2 * Math.PI;
		return { x: x - radius * Math.cos(angle), y: y - radius * Math.sin(angle) };
	});
}

/** The compass of a circle, or of an arch's upper part, in the middle of a rectangle; none for shapes with corners. */
export function compassIn({ x, y, w, h }: Rect, shape: OutlineShape): Compass | undefined {
	if (shape !== 'circle' && shape !== 'arch') return undefined;
	const radius = shape === 'circle' ? Math.min(w, h) / 2 : Math.min(w / 2, h);
	return { x: x + w / 2, y: shape === 'circle' ? y + h / 2 : y + radius, radius };
}

/** Squares that an octagon's or a hexagon's corners are cut by. */
export function cornerCut({ w, h }: Pick<Rect, 'w' | 'h'>): number {
	return Math.max(1, Math.floor(Math.min(w, h) / 4));
}

/**
 * The corners of a shape that fills a rectangle, in squares; those of an octagon are cut at 45°, a hexagon's points lie
 * left and right.
 */
export function outlineIn(rect: Rect, shape: OutlineShape): Dot[] {
	const { x, y, w, h } = rect;
	const cut = cornerCut(rect);
	const [right, bottom] = [x + w, y + h];
	switch (shape) {
		case 'circle':
		case 'arch': {
			const compass = compassIn(rect, shape);
			if (!compass) return [];
			if (shape === 'circle') return arcPoints(compass, 'whole');
			return [
				...arcPoints(compass, 'upper'),
				{ x: compass.x + compass.radius, y: bottom },
				{ x: compass.x - compass.radius, y: bottom }
			];
		}
		case 'hexagon':
			return [
				{ x, y: y + h / 2 },
				{ x: x + cut, y },
				{ x: right - cut, y },
				{ x: right, y: y + h / 2 },
				{ x: right - cut, y: bottom },
				{ x: x + cut, y: bottom }
			];
		case 'octagon':
			return [
				{ x: x + cut, y },
				{ x: right - cut, y },
				{ x: right, y: y + cut },
				{ x: right, y: bottom - cut },
				{ x: right - cut, y: bottom },
				{ x: x + cut, y: bottom },
				{ x, y: bottom - cut },
				{ x, y: y + cut }
			];
		case 'rectangle':
			return [
				{ x, y },
				{ x: right, y },
				{ x: right, y: bottom },
				{ x, y: bottom }
			];
	}
}
