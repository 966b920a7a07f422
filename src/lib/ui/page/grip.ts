import type { Dot, Rect } from '$lib/core/paper';

/** Which edges of a block a person has hold of: -1 for the left or upper, 1 for the right or lower one. */
export interface Grip {
	readonly x: -1 | 0 | 1;
	readonly y: -1 | 0 | 1;
}

/** The whole block in the hand, to be moved. */
export const wholeBlock: Grip = { x: 0, y: 0 };

/** The eight places where a block is taken to be resized. */
export const grips: readonly Grip[] = [
	{ x: -1, y: -1 },
	{ x: 0, y: -1 },
	{ x: 1, y: -1 },
	{ x: -1, y: 0 },
	{ x: 1, y: 0 },
	{ x: -1, y: 1 },
	{ x: 0, y: 1 },
	{ x: 1, y: 1 }
];

/** A rectangle with what is held moved by whole squares; it keeps at least one square. */
export function pulled(rect: Rect, { x, y }: Grip, by: Dot): Rect {
	if (x === 0 && y === 0) return { ...rect, x: rect.x + by.x, y: rect.y + by.y };
	const [left, w] = along(rect.x, rect.w, x, by.x);
	const [top, h] = along(rect.y, rect.h, y, by.y);
	return { x: left, y: top, w, h };
}

function along(start: number, length: number, edge: -1 | 0 | 1, by: number): [number, number] {
	if (edge === 0) return [start, length];
	const grown = Math.max(1, length + edge * by);
	return edge === 1 ? [start, grown] : [start + length - grown, grown];
}
