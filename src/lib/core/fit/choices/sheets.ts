import { frontOf, frontsOf, usableOf, type Cut, type CutKind, type Usable } from '../../cuts';
import type { RoomPlace } from '../../forms';
import {
	contains,
	plannablePages,
	type Dot,
	type Page,
	type Rect,
	type Side,
	type Size
} from '../../paper';
import type { Plan } from '../plan/plan';
import { emptyRects, withGap } from './space';

/** A page that may still be filled: the smallest rectangle around what its leaf has left, tabs apart. */
export interface Sheet {
	readonly page: Page;
	/** Where that rectangle begins on the page. */
	readonly origin: Dot;
	readonly size: Size;
	/** The largest rectangles of usable squares, on the page. */
	readonly rooms: readonly Rect[];
	/** What is cut away or glued inside the rectangle, counted from its origin. */
	readonly lost: readonly Rect[];
	/** What the cut leaf that comes to lie over it covers, on the page: beside it the page stays in view all through the set. */
	readonly under?: Rect;
}

/** All cuts that a plan has to do with. */
export function cutsOf({ cuts = [], earlierCuts = [] }: Plan): readonly Cut[] {
	return [...earlierCuts, ...cuts];
}

/** The usable squares of a page of a plan. */
export function usableSquares(plan: Plan, page: number): Usable {
	return usableOf(plan.notebook, cutsOf(plan), page);
}

/** Whether what is cut away is a hole: paper is left on all four sides of it. Nothing stands nearer to it than a square. */
export function isHole({ x, y, w, h }: Rect, page: Size): boolean {
	return x > 0 && y > 0 && x + w < page.w && y + h < page.h;
}

/** What is cut out of a rectangle of a page, counted from its first dot. */
export function holesIn(plan: Plan, page: number, rect: Rect): Rect[] {
	return usableSquares(plan, page).lost.flatMap((lost) => within(lost, rect, rect));
}

/** Pages that a month may still fill, in order: free in the book, not drawn, and with squares left. */
export function sheetsOf(plan: Plan): Sheet[] {
	const drawn = new Set(plan.drawn?.pages);
	return plannablePages(plan.notebook)
		.filter(({ number }) => !drawn.has(number))
		.flatMap((page) => sheetOf(plan, page))
		.map((sheet) => {
			const under = coveredOf(plan, sheet);
			return under ? { ...sheet, under } : sheet;
		});
}

/** Cuts that leave a smaller leaf, beside which the whole pages around the set stay in view. */
const doors: ReadonlySet<CutKind> = new Set(['strip', 'top', 'bottom', 'tab']);

/**
 * What a door covers of the whole page under it: of a left page the back of the leaf that follows, of a right page the
 * front of the one before. Undefined where no door lies there, it is no smaller, or the page has cuts of its own inside.
 */
function coveredOf(plan: Plan, { page, origin, size, lost }: Sheet): Rect | undefined {
	const over = page.side === 'left' ? page.number + 2 : page.number - 2;
	const cuts = cutsOf(plan);
	const isDoor = cuts.some((cut) => doors.has(cut.kind) && frontsOf(cut).includes(frontOf(over)));
	if (!isDoor) return undefined;
	const [main] = usableSquares(plan, over).rects;
	if (!main || (main.w >= size.w && main.h >= size.h)) return undefined;
	return lost.length === 0 && contains({ ...origin, ...size }, main) ? main : undefined;
}

/** A page as the weeks of a set take it: what a door covers of it, where one does. */
export function forWeeks(sheet: Sheet): Sheet {
	const { under } = sheet;
	if (!under) return sheet;
	const { x, y, w, h } = under;
	return { ...sheet, origin: { x, y }, size: { w, h }, rooms: [under], lost: [] };
}

/** What stays in view of a page beside the weeks on it, counted from their first dot there. */
export function inView({ page, origin, size, under }: Sheet, on: 0 | 1): RoomPlace[] {
	if (!under) return [];
	const left = under.x - origin.x;
	const above = under.y - origin.y;
	const right = size.w - left - under.w;
	const below = size.h - above - under.h;
	const strips: Rect[] = [
		{ x: -left, y: -above, w: left, h: size.h },
		{ x: under.w, y: -above, w: right, h: size.h },
		// A square from the weeks.
		{ x: 0, y: -above, w: under.w, h: above - 1 },
		{ x: 0, y: under.h + 1, w: under.w, h: below - 1 }
	];
	return strips
		.filter(({ w, h }) => w > 1 && h > 1)
		.map((rect) => ({ name: sharedRooms[page.side], on, ...rect }));
}

/** Rooms that are seen all through a set, by the side of the page that has them. */
export const sharedRooms: Readonly<Record<Side, string>> = {
	left: 'shared-left',
	right: 'shared-right'
};

/** So much of the usable squares makes a rectangle the page; the rest is tabs, for what names them. */
const mainPart = 0.85;

function sheetOf(plan: Plan, page: Page): Sheet[] {
	const { lost: cutAway, ...usableRects } = usableSquares(plan, page.number);
	const whole = { w: page.columns, h: page.rows };
	const lost = cutAway.flatMap((rect) =>
		isHole(rect, whole) ? within(withGap(rect), { x: 0, y: 0 }, whole) : [rect]
	);
	const all = cutAway.some((rect) => isHole(rect, whole))
		? emptyRects(whole, lost)
		: usableRects.rects;
	const [main] = all;
	if (!main) return [];
	const usable = page.columns * page.rows - lost.reduce((sum, { w, h }) => sum + w * h, 0);
	const rects = main.w * main.h >= mainPart * usable ? [main] : all;
	const left = Math.min(...rects.map(({ x }) => x));
	const top = Math.min(...rects.map(({ y }) => y));
	const size = {
		w: Math.max(...rects.map(({ x, w }) => x + w)) - left,
		h: Math.max(...rects.map(({ y, h }) => y + h)) - top
	};
	return [
		{
			page,
			origin: { x: left, y: top },
			size,
			rooms: rects,
			lost: lost.flatMap((rect) => within(rect, { x: left, y: top }, size))
		}
	];
}

/** The part of a rectangle that lies inside a sheet, counted from its origin. */
export function within({ x, y, w, h }: Rect, origin: Dot, size: Size): Rect[] {
	const [left, top] = [Math.max(0, x - origin.x), Math.max(0, y - origin.y)];
	const right = Math.min(size.w, x + w - origin.x);
	const bottom = Math.min(size.h, y + h - origin.y);
	return right > left && bottom > top
		? [{ x: left, y: top, w: right - left, h: bottom - top }]
		: [];
}

/** A rectangle of a sheet, on its page. */
export function onPageOf({ origin }: Sheet, rect: Rect): Rect {
	return { ...rect, x: rect.x + origin.x, y: rect.y + origin.y };
}

/**
 * The facing right page of a left page, when both may be filled over the fold: neither has anything cut out of
 * it, both reach the fold and begin in one row.
 */
export function facing(sheets: readonly Sheet[], index: number): [Sheet, Sheet] | undefined {
	const left = sheets[index];
	const right = sheets[index + 1];
	if (!left || !right || left.page.side !== 'left') return undefined;
	if (right.page.number !== left.page.number + 1) return undefined;
	if (left.lost.length > 0 || right.lost.length > 0 || left.origin.y !== right.origin.y)
		return undefined;
	const toFold = left.origin.x + left.size.w === left.page.columns && right.origin.x === 0;
	return toFold ? [left, right] : undefined;
}
