import type { Rect, Size } from '../paper';
import { firstPlace, largestEmpty, withGap } from './space';

/** A block that was fitted onto a page: its place there, and whether it fills more when there is more. */
export interface Fitted {
	readonly rect: Rect;
	readonly stretches: boolean;
}

/** Less than this beside a block is no place for art, so the block stands in the middle. */
const leastArt = { w: 6, h: 5 };
const mostArt = 2;

/**
 * Puts a page's blocks in reading order where they still fit that way, with a square between them; else leaves
 * them where they were packed. Then those that stretch take what is left, and what
 * stands alone in its rows goes to the middle. Blocks come in the journaler's order; `taken` stays.
 */
export function arrange(page: Size, taken: readonly Rect[], blocks: readonly Fitted[]): Rect[] {
	const packed = blocks.map(({ rect }) => rect);
	const placed = inOrder(page, taken, packed) ?? packed;
	const rects = [...placed];
	for (const [index, { stretches }] of blocks.entries()) {
		const rect = rects[index];
		if (!rect || !stretches) continue;
		const others = [...taken, ...rects.filter((_, other) => other !== index)];
		rects[index] = stretched(page, others, rect);
	}
	return rects.map((rect, index) => {
		const others = [...taken, ...rects.filter((_, other) => other !== index)];
		const left = page.w - rect.w;
		const alone = others.every(({ y, h }) => y + h <= rect.y || rect.y + rect.h <= y);
		return alone && left < 2 * leastArt.w ? { ...rect, x: Math.floor(left / 2) } : rect;
	});
}

/** Each block at the first place that is free, top left first; undefined when one finds none. */
function inOrder(page: Size, taken: readonly Rect[], sizes: readonly Size[]): Rect[] | undefined {
	const placed: Rect[] = [];
	for (const { w, h } of sizes) {
		const others = [...taken, ...placed];
		const at = firstPlace(page, others.map(withGap), { w, h });
		if (!at) return undefined;
		placed.push({ ...at, w, h });
	}
	return placed;
}

/** The largest empty rectangle, a square from its neighbours, in which a block loses nothing. */
function stretched(page: Size, others: readonly Rect[], rect: Rect): Rect {
	const empty = largestEmpty(page, others.map(withGap));
	return empty && empty.w >= rect.w && empty.h >= rect.h ? empty : rect;
}

/** The one or two largest places on a page that are left for art: no crumbs. */
export function artOn(page: Size, taken: readonly Rect[]): Rect[] {
	const art: Rect[] = [];
	while (art.length < mostArt) {
		const rect = largestEmpty(page, [...taken.map(withGap), ...art]);
		if (!rect || rect.w < leastArt.w || rect.h < leastArt.h) break;
		art.push(rect);
	}
	return art;
}
