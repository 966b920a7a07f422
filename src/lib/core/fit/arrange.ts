import type { Rect, Size } from '../paper';
import { firstPlace, largestEmpty, withGap } from './space';

/** A block that was fitted onto a page: its place there, and how it grows when there is more room. */
export interface Fitted {
	readonly rect: Rect;
	/** Its place in the free squares among others, at least as large as before. */
	readonly grow: (rect: Rect, others: readonly Rect[]) => Rect;
}

/** Less than this beside a block is no place for art, so the block stands in the middle. */
const leastArt = { w: 6, h: 5 };
const mostArt = 2;
/** Free rows that are put above blocks and between them at most, besides the one that is there anyway. */
const mostMargin = 2;

/**
 * Puts a page's blocks in reading order where they still fit that way, with a square between them; else leaves them
 * where they were packed. Then they grow into what is left, share their left edges or stand in the middle, and spare rows
 * become even margins, larger below. Blocks come in the journaler's order; `taken` stays.
 */
export function arrange(page: Size, taken: readonly Rect[], blocks: readonly Fitted[]): Rect[] {
	const packed = blocks.map(({ rect }) => rect);
	const rects = [...(inOrder(page, taken, packed) ?? packed)];
	for (const [index, { grow }] of blocks.entries()) {
		const rect = rects[index];
		if (!rect) continue;
		const others = [...taken, ...rects.filter((_, other) => other !== index)];
		rects[index] = grow(rect, others);
	}
	return stacked(page, taken, rects) ?? centred(page, taken, rects);
}

/** What stands alone in its rows goes to the middle. */
function centred(page: Size, taken: readonly Rect[], rects: readonly Rect[]): Rect[] {
	return rects.map((rect, index) => {
		const others = [...taken, ...rects.filter((_, other) => other !== index)];
		const left = page.w - rect.w;
		const alone = others.every(({ y, h }) => y + h <= rect.y || rect.y + rect.h <= y);
		return alone && left < 2 * leastArt.w ? { ...rect, x: Math.floor(left / 2) } : rect;
	});
}

/**
 * Blocks one below the other: their left edges where the widest, in the middle, has its own; spare rows above them and
 * between them, most of them below. Undefined where some stand side by side or touch, or the page is not whole.
 */
function stacked(page: Size, taken: readonly Rect[], rects: readonly Rect[]): Rect[] | undefined {
	if (taken.some(({ x, y, w }) => x > 0 || y > 0 || w < page.w)) return undefined;
	const top = Math.max(0, ...taken.map(({ y, h }) => y + h + 1));
	const order = [...rects.keys()].sort((a, b) => (rects[a]?.y ?? 0) - (rects[b]?.y ?? 0));
	const inTurn = order.flatMap((index) => rects[index] ?? []);
	if (inTurn.some(({ y }, at) => at > 0 && y < foot(inTurn[at - 1]))) return undefined;
	const x = Math.floor((page.w - Math.max(0, ...inTurn.map(({ w }) => w))) / 2);
	const gaps = inTurn.length - 1;
	const used = inTurn.reduce((sum, { h }) => sum + h, 0) + gaps;
	const spare = page.h - top - used;
	if (spare < 0) return undefined;
	const margin = Math.max(0, Math.min(mostMargin, Math.floor(spare / (gaps + 3))));
	let y = top + (gaps > 0 ? margin : 0);
	const placed = new Map<number, Rect>();
	for (const index of order) {
		const rect = rects[index];
		if (!rect) continue;
		placed.set(index, { ...rect, x, y });
		y += rect.h + 1 + margin;
	}
	return rects.map((rect, index) => placed.get(index) ?? rect);
}

const foot = (rect: Rect | undefined) => (rect ? rect.y + rect.h : 0);

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
export function stretched(page: Size, others: readonly Rect[], rect: Rect): Rect {
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
