import { overlaps, type Rect, type Size } from '../../../paper';
import type { Company, Host } from './company';
import { mostOnPage } from './problem';

/** A rectangle of a page that items share, and how many wishes it may hold. */
export interface Region extends Size {
	/** Rows above it that are taken. */
	readonly top: number;
	readonly obstacles: readonly Rect[];
	readonly most: number;
	/** What is on the page besides, and what company there costs. */
	readonly host: Host;
	readonly company: Company;
	readonly key: string;
}

/** The part of a page below `top`, with the obstacles that lie there. */
export function regionOf(
	page: Size,
	top: number,
	all: readonly Rect[],
	taken: number,
	host: Host,
	company: Company
): Region {
	const obstacles = all
		.filter(({ y, h }) => y + h > top)
		.map(({ x, y, w, h }) => ({ x, y: Math.max(0, y - top), w, h: h - Math.max(0, top - y) }));
	const most = mostOnPage - taken;
	const places = obstacles.map(({ x, y, w, h }) => [x, y, w, h].join()).join(' ');
	const h = page.h - top;
	return {
		w: page.w,
		h,
		top,
		obstacles,
		most,
		host,
		company,
		key: `${page.w}×${h} ${most} ${places}`
	};
}

/** The parts of rectangles that lie on none of some others, as rectangles that do not overlap. */
export function apartFrom(rects: readonly Rect[], others: readonly Rect[]): readonly Rect[] {
	return others.reduce<readonly Rect[]>(
		(left, other) => left.flatMap((rect) => (overlaps(rect, other) ? around(rect, other) : [rect])),
		rects
	);
}

/** What a rectangle leaves of one that it overlaps: above, below, left and right of it. */
function around({ x, y, w, h }: Rect, other: Rect): Rect[] {
	const [right, bottom] = [other.x + other.w, other.y + other.h];
	const top = Math.max(y, other.y);
	const rows = Math.min(y + h, bottom) - top;
	return [
		{ x, y, w, h: other.y - y },
		{ x, y: bottom, w, h: y + h - bottom },
		{ x, y: top, w: other.x - x, h: rows },
		{ x: right, y: top, w: x + w - right, h: rows }
	].filter((part) => part.w > 0 && part.h > 0);
}
