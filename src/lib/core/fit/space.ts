import { overlaps, type Dot, type Rect, type Size } from '../paper';

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
	const tops = starts(blocks.map((block) => block.y + block.h));
	const bottoms = starts([page.h, ...blocks.map((block) => block.y)]).filter((y) => y <= page.h);
	const lefts = starts(blocks.map((block) => block.x + block.w));
	const rights = starts([page.w, ...blocks.map((block) => block.x)]).filter((x) => x <= page.w);
	let best: Rect | undefined;
	for (const y of tops)
		for (const x of lefts)
			for (const bottom of bottoms)
				for (const right of rights) {
					const rect = { x, y, w: right - x, h: bottom - y };
					if (rect.w <= 0 || rect.h <= 0) continue;
					if (best && rect.w * rect.h <= best.w * best.h) continue;
					if (!blocks.some((block) => overlaps(block, rect))) best = rect;
				}
	return best;
}

function starts(values: readonly number[]): number[] {
	return [...new Set([0, ...values.map((value) => Math.max(0, value))])].sort((a, b) => a - b);
}
