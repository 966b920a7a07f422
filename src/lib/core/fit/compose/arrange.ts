import type { Rect, Size } from '../../paper';
import { firstPlace, largestEmpty, withGap } from '../choices/space';

/** A block that was fitted onto a page: its place there, and how it grows when there is more room. */
export interface Fitted {
	readonly rect: Rect;
	/** How it is ruled: equal forms keep equal sizes. */
	readonly form: string;
	/** Its place in the free squares among others, at least as large as before, and no higher than `tallest`. */
	readonly grow: (rect: Rect, others: readonly Rect[], tallest: number) => Rect;
}

/** Less than this beside a block is no place for art, so the block stands in the middle. */
const leastArt = { w: 6, h: 5 };
const mostArt = 2;
/** Free rows that are put above blocks and between them at most, besides the one that is there anyway. */
const mostMargin = 2;
/** Free columns that are put between neighbours at most, besides the one that is there anyway. */
const mostBetween = 2;

/**
 * Puts a page's blocks in reading order where they still fit that way, with a square between them; else leaves them
 * where they were packed. Then they grow into what is left, share their left edges or stand in the middle, and spare rows
 * become even margins, larger below. Blocks come in the journaler's order; `taken` stays.
 */
export function arrange(page: Size, taken: readonly Rect[], blocks: readonly Fitted[]): Rect[] {
	const packed = blocks.map(({ rect }) => rect);
	const rects = [...spread(page, taken, inOrder(page, taken, packed) ?? packed)];
	// First each by its share of the rows that are left, so that equal blocks stay equal; then by what others left.
	const lowest = Math.max(0, ...[...taken, ...packed].map(foot));
	const each = Math.floor((page.h - lowest) / blocks.length);
	const alike = ({ form, rect }: Fitted) =>
		blocks.filter((other) => other.form === form && other.rect.h === rect.h).length > 1;
	for (const share of blocks.length > 1 ? [each, page.h] : [page.h])
		for (const [index, block] of blocks.entries()) {
			const rect = rects[index];
			if (!rect || (share > each && alike(block))) continue;
			const others = [...taken, ...rects.filter((_, other) => other !== index)];
			const tallest = block.rect.h + share;
			const larger = block.grow(rect, others, tallest);
			if (larger.h <= tallest) rects[index] = larger;
		}
	return stacked(page, taken, rects) ?? centred(page, taken, rects);
}

/**
 * What stands in the same rows goes to the middle together, where nothing is held there; first neighbours move apart, so
 * that their titles are not read as one.
 */
function centred(page: Size, taken: readonly Rect[], rects: readonly Rect[]): Rect[] {
	const moved = new Map<Rect, number>();
	for (const band of bandsOf(rects)) {
		const [top, bottom] = [Math.min(...band.map(({ y }) => y)), Math.max(...band.map(foot))];
		const from = Math.min(...band.map(({ x }) => x));
		const left = page.w - (Math.max(...band.map(({ x, w }) => x + w)) - from);
		const free = taken.every(({ y, h }) => y + h <= top || bottom <= y);
		if (!free || left >= 2 * leastArt.w) continue;
		const columns = columnsOf(band);
		const gaps = columns.length - 1;
		const more = gaps > 0 ? Math.min(mostBetween, Math.floor(left / gaps)) : 0;
		const first = Math.floor((left - gaps * more) / 2) - from;
		for (const [index, column] of columns.entries())
			for (const rect of column) moved.set(rect, first + index * more);
	}
	return rects.map((rect) => ({ ...rect, x: rect.x + (moved.get(rect) ?? 0) }));
}

/** Blocks that share columns, directly or by others between them, from left to right. */
const columnsOf = (rects: readonly Rect[]) => joined(rects, ({ x, w }) => [x, x + w]);

/** Blocks that share rows, directly or by others between them, from top to bottom. */
const bandsOf = (rects: readonly Rect[]) => joined(rects, (rect) => [rect.y, foot(rect)]);

/** Blocks whose stretches overlap, directly or by others between them. */
function joined(
	rects: readonly Rect[],
	stretch: (rect: Rect) => readonly [number, number]
): readonly (readonly Rect[])[] {
	const groups: { rects: Rect[]; end: number }[] = [];
	for (const rect of rects.toSorted((a, b) => stretch(a)[0] - stretch(b)[0])) {
		const [start, end] = stretch(rect);
		const last = groups.at(-1);
		if (last && start < last.end) {
			last.rects.push(rect);
			last.end = Math.max(last.end, end);
		} else groups.push({ rects: [rect], end });
	}
	return groups.map(({ rects }) => rects);
}

/**
 * Blocks one below the other: their left edges where the widest, in the middle, has its own; spare rows above them and
 * between them, most of them below. Undefined where they do not stand so.
 */
function stacked(page: Size, taken: readonly Rect[], rects: readonly Rect[]): Rect[] | undefined {
	const stack = stackOf(page, taken, rects);
	if (!stack) return undefined;
	const x = Math.floor((page.w - Math.max(0, ...rects.map(({ w }) => w))) / 2);
	const gaps = rects.length - 1;
	const margin = Math.max(0, Math.min(mostMargin, Math.floor(stack.spare / (gaps + 3))));
	let y = stack.top + (gaps > 0 ? margin : 0);
	const placed = new Map<Rect, Rect>();
	for (const rect of stack.order) {
		placed.set(rect, { ...rect, x, y });
		y += rect.h + 1 + margin;
	}
	return rects.map((rect) => placed.get(rect) ?? rect);
}

/**
 * Blocks from top to bottom, the row where they may begin and how many rows are spare; undefined where some stand side by
 * side or touch, or the page is not whole.
 */
function stackOf(page: Size, taken: readonly Rect[], rects: readonly Rect[]) {
	if (taken.some(({ x, y, w }) => x > 0 || y > 0 || w < page.w)) return undefined;
	const top = Math.max(0, ...taken.map(({ y, h }) => y + h + 1));
	const order = rects.toSorted((a, b) => a.y - b.y);
	if (order.some(({ y }, at) => at > 0 && y < foot(order[at - 1]))) return undefined;
	const used = order.reduce((sum, { h }) => sum + h, 0) + order.length - 1;
	const spare = page.h - top - used;
	return spare < 0 ? undefined : { order, top, spare };
}

/** A stack's blocks with an equal share of the spare rows below each, to grow into. */
function spread(page: Size, taken: readonly Rect[], rects: readonly Rect[]): readonly Rect[] {
	const stack = stackOf(page, taken, rects);
	if (!stack) return rects;
	const each = Math.floor(stack.spare / rects.length);
	let { top } = stack;
	const placed = new Map<Rect, Rect>();
	for (const rect of stack.order) {
		placed.set(rect, { ...rect, y: top });
		top += rect.h + 1 + each;
	}
	return rects.map((rect) => placed.get(rect) ?? rect);
}

const foot = (rect: Rect | undefined) => (rect ? rect.y + rect.h : 0);

/** Each block at the first place that is free and a square from its neighbours, top left first; undefined when one finds none. */
export function inOrder(
	page: Size,
	taken: readonly Rect[],
	sizes: readonly Size[]
): Rect[] | undefined {
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
