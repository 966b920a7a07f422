import type { Dot, Rect, Size } from '$lib/core/paper';

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

/** A block that stands over an edge of its page by no more than `reach` squares is held inside it. */
export function heldInside(rect: Rect, page: Size, reach: number): Rect {
	const inside = (start: number, length: number, whole: number) => {
		if (start < 0 && start >= -reach) return 0;
		const over = start + length - whole;
		return over > 0 && over <= reach ? start - over : start;
	};
	return { ...rect, x: inside(rect.x, rect.w, page.w), y: inside(rect.y, rect.h, page.h) };
}

function along(start: number, length: number, edge: -1 | 0 | 1, by: number): [number, number] {
	if (edge === 0) return [start, length];
	const grown = Math.max(1, length + edge * by);
	return edge === 1 ? [start, grown] : [start + length - grown, grown];
}
