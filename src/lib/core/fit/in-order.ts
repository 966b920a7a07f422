import type { Room, Wish } from '../forms';
import { overlaps, plannablePages, type Rect, type Size } from '../paper';
import { boundOf, pageWeight } from './bound';
import { choicesIn, isFiller, type Choice } from './choices';
import type { Block, Plan, Run, Unplaced } from './plan';
import { reasonFor } from './reasons';
import { facing, type Sheet } from './sheets';
import { firstPlace, largestEmpty, withGap } from './space';

/** More wishes than these make a page a patchwork (common practice). */
const mostOnPage = 8;

/** A choice with its place: the index of its (left) page and the rectangles there. */
interface Placing {
	readonly choice: Choice;
	readonly index: number;
	readonly room: Room;
	readonly rects: readonly [Rect] | readonly [Rect, Rect];
}

/**
 * Fits wishes into the free pages one after another: pins first, then the rest in the journaler's
 * order, each where it costs least in discomfort and new pages, then the fillers into the largest
 * rectangles left. Blocks never overlap, never leave the free pages and keep their order from page to
 * page. The result says how far it may be from the best run. The same plan gives the same run.
 */
export function fitInOrder(plan: Plan, wishes: readonly Wish[]): Run {
	const sheets = plannablePages(plan.notebook).map((page): Sheet => {
		return { page, size: { w: page.columns, h: page.rows }, rects: [] };
	});
	const blocks = new Map<string, Block>();
	const unplaced = new Map<string, Unplaced>();
	const put = (wish: Wish, placing: Placing | undefined) => {
		if (placing) blocks.set(wish.id, settle(sheets, wish, placing));
		else unplaced.set(wish.id, { wish: wish.id, reason: reasonFor(plan, wish, sheets) });
	};

	for (const wish of wishes) if (wish.pin) put(wish, pinned(plan, wish, sheets));
	let cursor = 0;
	for (const wish of wishes) {
		if (wish.pin || isFiller(wish)) continue;
		const placing = cheapest(plan, wish, sheets, cursor);
		put(wish, placing);
		if (placing) cursor = placing.index;
	}
	for (const wish of wishes)
		if (!wish.pin && isFiller(wish)) put(wish, filling(plan, wish, sheets));

	const used = lastUsed(sheets) + 1;
	const inOrder = wishes.flatMap((wish) => blocks.get(wish.id) ?? []);
	const bound = inOrder.length === 0 ? 0 : boundOf(plan, sheets, inOrder, unplaced.size, used);
	return {
		pages: sheets.slice(0, used).map((sheet) => sheet.page),
		blocks: inOrder,
		unplaced: wishes.flatMap((wish) => unplaced.get(wish.id) ?? []),
		pagesUsed: used,
		optimal: bound === 0,
		bound
	};
}

function lastUsed(sheets: readonly Sheet[]): number {
	return sheets.findLastIndex((sheet) => sheet.rects.length > 0);
}

function settle(sheets: readonly Sheet[], wish: Wish, placing: Placing): Block {
	const pieces = placing.rects.map((rect, offset) => {
		const sheet = sheets[placing.index + offset];
		if (!sheet) throw new RangeError('a block lies beyond the free pages');
		sheet.rects.push(rect);
		return { page: sheet.page.number, rect };
	});
	const [first, second] = pieces;
	if (!first) throw new RangeError('a block has no piece');
	const { form, discomfort, facts, why } = placing.choice;
	return {
		wish: wish.id,
		form: form.id,
		room: placing.room,
		pieces: second ? [first, second] : [first],
		discomfort,
		facts,
		why
	};
}

/** The best way to rule a wish on one page among what is there already. */
function onSheet(plan: Plan, wish: Wish, sheets: readonly Sheet[], index: number) {
	const sheet = sheets[index];
	if (!sheet || (wish.side && wish.side !== sheet.page.side)) return undefined;
	if (sheet.rects.length >= mostOnPage) return undefined;
	const rooms: Size[] = [wish.size ?? sheet.size];
	const empty = largestEmpty(sheet.size, sheet.rects);
	if (!wish.size && empty && sheet.rects.length > 0) rooms.push(empty);
	let best: Placing | undefined;
	for (const { w, h } of rooms) {
		const { choices } = choicesIn(plan, wish, { span: 'page', w, h });
		for (const choice of choices) {
			if (best && choice.discomfort >= best.choice.discomfort) break;
			if (choice.room.span !== 'page') continue;
			const size = wish.size ?? { w: choice.room.w, h: choice.room.h };
			const at = firstPlace(sheet.size, sheet.rects, size);
			if (at)
				best = { choice, index, room: { span: 'page', ...size }, rects: [{ ...at, ...size }] };
		}
	}
	return best;
}

/** The best way to rule a wish over a spread that is still empty. */
function onSpread(plan: Plan, wish: Wish, sheets: readonly Sheet[], index: number) {
	const pair = facing(sheets, index);
	if (!pair || wish.size || wish.side || pair.some((sheet) => sheet.rects.length > 0))
		return undefined;
	const [left, right] = pair;
	const { choices } = choicesIn(plan, wish, {
		span: 'spread',
		left: left.size,
		right: right.size,
		gutter: plan.notebook.gutter
	});
	const choice = choices[0];
	if (!choice || choice.room.span !== 'spread') return undefined;
	const placing: Placing = {
		choice,
		index,
		room: choice.room,
		rects: [
			{ x: 0, y: 0, ...choice.room.left },
			{ x: 0, y: 0, ...choice.room.right }
		]
	};
	return placing;
}

/** The place that costs least from the cursor's page on; of equal ones the earliest. */
function cheapest(plan: Plan, wish: Wish, sheets: readonly Sheet[], cursor: number) {
	const last = lastUsed(sheets);
	let best: { placing: Placing; cost: number } | undefined;
	for (let index = cursor; index < sheets.length; index++) {
		const least = pageWeight[plan.aim] * Math.max(0, index - last);
		// Pages further on only cost more, whatever their comfort.
		if (best && best.cost <= least) break;
		for (const placing of [
			onSheet(plan, wish, sheets, index),
			onSpread(plan, wish, sheets, index)
		]) {
			if (!placing) continue;
			const end = index + placing.rects.length - 1;
			const cost = placing.choice.discomfort + pageWeight[plan.aim] * Math.max(0, end - last);
			if (!best || cost < best.cost) best = { placing, cost };
		}
	}
	return best?.placing;
}

/** A pinned wish on its page, at its place where it has one. */
function pinned(plan: Plan, wish: Wish, sheets: readonly Sheet[]): Placing | undefined {
	const { pin } = wish;
	if (!pin) return undefined;
	const index = sheets.findIndex((sheet) => sheet.page.number === pin.page);
	const sheet = sheets[index];
	if (!sheet) return undefined;
	if (pin.x === undefined || pin.y === undefined) {
		return onSheet(plan, wish, sheets, index) ?? onSpread(plan, wish, sheets, index);
	}
	const most = { w: sheet.size.w - pin.x, h: sheet.size.h - pin.y };
	const wanted = { w: pin.w ?? wish.size?.w ?? most.w, h: pin.h ?? wish.size?.h ?? most.h };
	const choice = choicesIn(plan, wish, { span: 'page', ...wanted }).choices[0];
	if (!choice || choice.room.span !== 'page') return undefined;
	const size = {
		w: pin.w ?? wish.size?.w ?? choice.room.w,
		h: pin.h ?? wish.size?.h ?? choice.room.h
	};
	const rect = { x: pin.x, y: pin.y, ...size };
	if (size.w > most.w || size.h > most.h) return undefined;
	const others = sheet.rects;
	if (others.some((other) => overlaps(other, rect))) return undefined;
	return { choice, index, room: { span: 'page', ...size }, rects: [rect] };
}

/** A filler in the largest rectangle left on the used pages, or else on the next page. */
function filling(plan: Plan, wish: Wish, sheets: readonly Sheet[]): Placing | undefined {
	const used = lastUsed(sheets) + 1;
	let best: { placing: Placing; area: number } | undefined;
	for (let index = 0; index < Math.min(sheets.length, used + 1); index++) {
		// A fresh page is opened only for a filler that fits nowhere else.
		if (index === used && best) break;
		const sheet = sheets[index];
		if (!sheet || (wish.side && wish.side !== sheet.page.side)) continue;
		if (sheet.rects.length >= mostOnPage) continue;
		const rect = largestEmpty(sheet.size, sheet.rects.map(withGap));
		if (!rect || (wish.size && (rect.w < wish.size.w || rect.h < wish.size.h))) continue;
		const room: Room = { span: 'page', w: rect.w, h: rect.h };
		const choice = choicesIn(plan, wish, room).choices[0];
		if (!choice || choice.room.span !== 'page') continue;
		const size = choice.stretches ? rect : { ...rect, w: choice.room.w, h: choice.room.h };
		const area = size.w * size.h;
		if (!best || area > best.area)
			best = {
				placing: { choice, index, room: { span: 'page', w: size.w, h: size.h }, rects: [size] },
				area
			};
	}
	return best?.placing;
}
