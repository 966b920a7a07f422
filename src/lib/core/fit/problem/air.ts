import type { Rect } from '../../paper';
import type { Part } from '../choices/parts';
import type { Taken } from '../members/footprint';

/**
 * Squares between neighbours: one, unless a person has sized several blocks, which may be meant to touch. (Common
 * practice.)
 */
export function airBetween(free: readonly Part[]): number {
	return free.filter(({ wish }) => wish.size).length > 1 ? 0 : 1;
}

/**
 * An obstacle as blocks with air meet it: it takes none itself, so what stands left of it or above may touch it.
 * Where it is a single square wide it keeps that, or it would vanish.
 */
export function inAir({ x, y, w, h }: Rect, air: number): Rect {
	const [left, top] = [w > air ? air : 0, h > air ? air : 0];
	return { x: x + left, y: y + top, w: w - left, h: h - top };
}

/** What a spread covers, with the square that keeps others away. */
export function aired([left, right]: Taken, air: number): Taken {
	const more = (rects: readonly Rect[]) =>
		rects.map((rect) => ({ ...rect, w: rect.w + air, h: rect.h + air }));
	return [more(left), more(right)];
}
