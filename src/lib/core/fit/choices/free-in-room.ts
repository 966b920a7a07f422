import type { RoomPlace } from '../../forms';
import type { Rect, Size } from '../../paper';
import { largestEmpty, withGap } from './space';

/** The squares of a room that members take by themselves: all but those next to the block. */
export function withoutAir({ x, y, w, h }: RoomPlace, own: Size): Rect {
	if (y >= own.h) return { x, y: y + 1, w, h: h - 1 };
	if (x >= own.w) return { x: x + 1, y, w: w - 1, h };
	return x + w <= 0 ? { x, y, w: w - 1, h } : { x, y, w, h };
}

/** The largest part of a rectangle that keeps a square away from what is taken. */
export function clearOf(rect: Rect, taken: readonly Rect[]): Rect {
	if (taken.length === 0) return rect;
	const around = taken.map(({ x, y, w, h }) => withGap({ x: x - rect.x, y: y - rect.y, w, h }));
	const free = largestEmpty(rect, around) ?? { x: 0, y: 0, w: 0, h: 0 };
	return { ...free, x: rect.x + free.x, y: rect.y + free.y };
}
