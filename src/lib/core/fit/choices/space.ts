import { overlaps, type Dot, type Rect, type Size } from '../../paper';

/** First place for a size among blocks on a page, nearest the top, then the left; pages are small. */
export function firstPlace(page: Size, blocks: readonly Rect[], size: Size): Dot | undefined {
	const xs = starts(blocks.map((block) => block.x + block.w));
	const ys = starts(blocks.map((block) => block.y + block.h));
	for (const y of ys)
		for (const x of xs) {
			const rect = { x, y, ...size };
			if (x + size.w > page.w || y + size.h > page.h) continue;
			if (!blocks.some((block) => overlaps(block, rect))) return { x, y };
		}
	return undefined;
}

/** A block with the square around it that keeps a filler from touching it. */
export function withGap({ x, y, w, h }: Rect): Rect {
	return { x: x - 1, y: y - 1, w: w + 2, h: h + 2 };
}

/** Largest empty rectangle of a page; of equal ones the topmost, then the leftmost. */
export function largestEmpty(page: Size, blocks: readonly Rect[]): Rect | undefined {
	return emptyRects(page, blocks)[0];
}

/**
 * Empty rectangles of a page that cannot be made larger, the largest first; of equal ones the topmost, then the
 * leftmost.
 */
export function emptyRects(page: Size, blocks: readonly Rect[]): Rect[] {
	const tops = starts(blocks.map((block) => block.y + block.h)).filter((y) => y < page.h);
	const lefts = starts(blocks.map((block) => block.x + block.w)).filter((x) => x < page.w);
	const rights = ends(
		page.w,
		blocks.map(({ x }) => x)
	);
	const found: Rect[] = [];
	for (const y of tops)
		for (const x of lefts)
			for (const right of rights) {
				const w = right - x;
				if (w <= 0) continue;
				const below = blocks.filter((block) => block.x < right && block.x + block.w > x);
				if (below.some((block) => block.y <= y && block.y + block.h > y)) continue;
				const bottom = Math.min(page.h, ...below.flatMap((block) => (block.y > y ? block.y : [])));
				found.push({ x, y, w, h: bottom - y });
			}
	return found
		.filter(
			(rect, at) => !found.some((other, index) => index !== at && hides(other, rect, index < at))
		)
		.sort((a, b) => b.w * b.h - a.w * a.h || a.y - b.y || a.x - b.x);
}

/** Whether a rectangle lies inside another; of two equal ones the first hides the second. */
function hides(other: Rect, rect: Rect, earlier: boolean): boolean {
	const inside =
		other.x <= rect.x &&
		other.y <= rect.y &&
		other.x + other.w >= rect.x + rect.w &&
		other.y + other.h >= rect.y + rect.h;
	return inside && (earlier || other.w * other.h > rect.w * rect.h);
}

function starts(values: readonly number[]): number[] {
	return [...new Set([0, ...values.map((value) => Math.max(0, value))])].sort((a, b) => a - b);
}

function ends(last: number, values: readonly number[]): number[] {
	return [...new Set([last, ...values.filter((value) => value > 0 && value < last)])];
}
