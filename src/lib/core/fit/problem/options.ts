import type { Room, RoomPlace } from '../../forms';
import type { Wish } from '../../wish';
import { overlaps, type Rect, type Side, type Size } from '../../paper';
import { formsOf, isFiller, kindOf, type Choice } from '../choices/choices';
import { coveredBy, footprintOf, type Taken } from '../members/footprint';
import { choicesIn, missedBy } from '../members/hosting';
import type { Plan, Sizes } from '../plan/plan';
import { emptyRects, withGap } from '../choices/space';
import { worst } from '../plan/aims';

/** Discomfort is told in steps of so much: finer ones would only make planning slower. */
const step = 5;
/** What it costs to be squeezed into half a page, or a quarter: there is less to write on. */
const halved = 10;
/** What it costs to stand on the page that the kind does not like: more than a page saved is worth. */
const disliked = 45;
/** What it costs a cover to stand later than it could, and a quote not to face it: it only breaks ties. */
const notOpening = 5;
/** Less room than this beside a spread holds nothing. */
const leastBeside = { w: 4, h: 4 };
/** What it costs that others stand beside a spread where they could stand below it: it only breaks ties. */
const notBelow = 1;
/** More sizes than these of one wish multiply the states of a page and hardly ever win. */
const mostOptions = 8;

/** A choice for planning: a size on one page, or rows on both pages of a spread, its members included, and its discomfort. */
export type PageChoice = Size & { readonly choice: Choice; readonly cost: number };
export interface SpreadChoice {
	readonly left: number;
	readonly right: number;
	/** What it covers on each page where others may stand beside it, held there or not; missing where they may not. */
	readonly covers?: Taken;
	readonly choice: Choice;
	readonly cost: number;
}

/** What matters of a page besides its rooms. */
export interface PageSort {
	readonly side: Side;
	/** Where it lies to the page on which the month opens; missing where it opens with no cover. */
	readonly toCover?: 'before' | 'at' | 'after';
	/** Nothing that is held stands on it. */
	readonly whole: boolean;
	/** What the weeks of a set may take of it, and what stays in view beside them, where a door covers it. */
	readonly under?: { readonly size: Size; readonly inView: readonly RoomPlace[] };
}

/** Before the cover stands only what faces it: a quote, a picture, or what a person put there. */
function mayFaceCover({ wishes }: Plan, wish: Wish): boolean {
	return (
		kindOf(wish).purpose === 'open' ||
		wish.pin !== undefined ||
		wish.facing !== undefined ||
		wishes.some(({ facing }) => facing === wish.id)
	);
}

/**
 * Sizes that a wish can take on a page of this side, in any of its rooms (one, unless its leaf is cut): what its forms offer on
 * the whole room, on half of it and on a quarter; `united` with the least height at each width; or `every` height at each width
 * at which it becomes more comfortable. None is both larger and less comfortable than another.
 */
export function pageChoices(
	plan: Plan,
	wish: Wish,
	rooms: readonly Size[],
	{ side, toCover, whole, under }: PageSort,
	sizes: Sizes = 'usual'
): PageChoice[] {
	if (wish.side && wish.side !== side) return [];
	if (toCover === 'before' && !mayFaceCover(plan, wish)) return [];
	const { likes, purpose } = kindOf(wish);
	const extra =
		(likes && likes !== side ? disliked : 0) +
		(toCover && purpose === 'open' && toCover !== (isFiller(plan, wish) ? 'before' : 'at')
			? notOpening
			: 0);
	// Where pages come first, or nothing else helps, every title may be written.
	const all = sizes !== 'usual' || plan.aim === 'fewest-pages';
	const wholePages = takesWholePages(wish);
	// A week keeps the size of its set: it stands on no page that is taken in part.
	if ((wholePages || (wish.part && !wish.size)) && !whole) return [];
	const found: PageChoice[] = [];
	const offer = (room: Size, more: number) => {
		const weeks = wish.part && under;
		const offered: Room = { span: 'page', ...(weeks ? under.size : room) };
		const beside = weeks ? under.inView : [];
		for (const choice of choicesIn(plan, wish, offered, all, undefined, beside))
			if (mayTake(wish, choice) && ((whole && more === 0) || !choice.form.wholePage)) {
				const taken = footprintOf(choice);
				if (taken.span !== 'page') continue;
				// A page of a week is the week's own: a page count means pages.
				const { w, h } = wish.part ? room : taken;
				found.push({ w, h, choice, cost: rated(choice.discomfort + more + extra, choice) });
			}
	};
	if (wish.size) {
		const { w, h } = wish.size;
		if (rooms.every((room) => w > room.w || h > room.h)) return [];
		// An exact size is ruled as well as it can be, on squares that stay free if need be.
		const [choice] = choicesIn(plan, wish, { span: 'page', w, h });
		return choice ? [{ w, h, choice, cost: rated(choice.discomfort + extra, choice) }] : [];
	}
	for (const room of rooms) {
		// Halves with the free square between them: 19 of 40 rows.
		const half = { w: Math.floor((room.w - 1) / 2), h: Math.floor((room.h - 1) / 2) };
		offer(room, 0);
		if (wish.part || wholePages) continue;
		if (half.h > 0) offer({ w: room.w, h: half.h }, halved);
		if (half.w > 0) offer({ w: half.w, h: room.h }, halved);
		if (half.w > 0 && half.h > 0) offer(half, 2 * halved);
	}
	const within = (a: Size, b: Size) => a.w <= b.w && a.h <= b.h;
	const area = ({ w, h }: Size) => w * h;
	if (sizes === 'usual' || wish.part || wholePages) return few(found, within, area);
	for (const room of rooms)
		for (const { choice, ...size } of sizesIn(plan, wish, room, sizes)) {
			if (choice.form.wholePage) continue;
			const squeezed = [size.w <= (room.w - 1) / 2, size.h <= (room.h - 1) / 2];
			const more = halved * squeezed.filter(Boolean).length;
			found.push({ ...size, choice, cost: rated(choice.discomfort + more + extra, choice) });
		}
	return few(found, within, area, Infinity);
}

function takesWholePages(wish: Wish): boolean {
	return formsOf(wish).every((form) => form.wholePage);
}

/** Whether it is a matter of comfort how much of a page a wish takes. */
export function hasOpenSize(wish: Wish): boolean {
	return wish.weeks === undefined && wish.size === undefined && !takesWholePages(wish);
}

/** A size that a wish can take, and how it is ruled in it. */
type RuledSize = Size & { readonly choice: Choice };

/**
 * The least height that a wish can take at each width of a room, where it is less than at a smaller width; or at each width
 * `every` height at which it becomes more comfortable.
 */
function sizesIn(plan: Plan, wish: Wish, room: Size, sizes: Sizes): RuledSize[] {
	const least = leastSizes(plan, wish, room);
	if (sizes !== 'every') return least;
	const all: RuledSize[] = [];
	let from: RuledSize | undefined;
	for (let w = 1; w <= room.w; w++) {
		from = least.find((size) => size.w === w) ?? from;
		if (from) all.push(...falls(plan, wish, w, from.h, room.h));
	}
	return all;
}

/** Heights from one to another at which a wish of this width becomes more comfortable, found by halving. */
function falls(plan: Plan, wish: Wish, w: number, least: number, most: number): RuledSize[] {
	const at = (h: number): RuledSize | undefined => {
		const choice = ruledAt(plan, wish, w, h);
		return choice && { w, h, choice };
	};
	const price = (size: RuledSize | undefined) =>
		size ? rated(size.choice.discomfort, size.choice) : Infinity;
	const between = (
		low: RuledSize | undefined,
		h: number,
		high: RuledSize | undefined,
		to: number
	): RuledSize[] => {
		if (to - h <= 1 || price(high) >= price(low)) return [];
		const middle = Math.floor((h + to) / 2);
		const half = at(middle);
		return [
			...between(low, h, half, middle),
			...between(half, middle, high, to),
			...(half && price(half) < price(low) ? [half] : [])
		];
	};
	const [low, high] = [at(least), at(most)];
	return [...(low ? [low] : []), ...between(low, least, high, most), ...(high ? [high] : [])];
}

/** Whether a wish with pages of its own may be ruled so: some forms only where they are asked for. In another's room they may help. */
function mayTake(wish: Wish, { form }: Choice): boolean {
	return !form.byChoice || wish.form !== undefined || kindOf(wish).forms[0] === form.id;
}

/** How a wish is ruled in exactly so many squares with nothing of it left out. */
function ruledAt(plan: Plan, wish: Wish, w: number, h: number): Choice | undefined {
	return choicesIn(plan, wish, { span: 'page', w, h }, true).find(
		(choice) => choice.room.span === 'page' && !choice.inside?.left.length && mayTake(wish, choice)
	);
}

/** The least height that a wish can take at each width of a room, where it is less than at a smaller width. */
export function leastSizes(plan: Plan, wish: Wish, room: Size): RuledSize[] {
	const sizes: RuledSize[] = [];
	let lowest = room.h + 1;
	for (let w = 1; w <= room.w; w++) {
		// What fits into a room fits into a higher one, so halving finds the least height.
		let [none, enough] = [0, lowest - 1];
		if (enough < 1 || !ruledAt(plan, wish, w, enough)) continue;
		while (enough - none > 1) {
			const middle = Math.floor((none + enough) / 2);
			if (ruledAt(plan, wish, w, middle)) enough = middle;
			else none = middle;
		}
		const choice = ruledAt(plan, wish, w, enough);
		if (choice) sizes.push({ w, h: enough, choice });
		lowest = enough;
	}
	return sizes;
}

/**
 * Rows that a wish can take over a spread of two pages, in all of their width but for what is taken there. What stays in
 * view beside the weeks of a set is a room for what they share.
 */
export function spreadChoices(
	plan: Plan,
	wish: Wish,
	left: Size,
	right: Size,
	taken: Taken = [[], []],
	inView: readonly RoomPlace[] = []
): SpreadChoice[] {
	if (wish.side || (wish.facing !== undefined && wish.span !== 'spread')) return [];
	const { size } = wish;
	// Over the fold a size means rows: the width is that of both pages.
	if (size && (wish.span !== 'spread' || size.h > left.h || size.h > right.h)) return [];
	if (size && size.w > left.w + right.w) return [];
	const { gutter } = plan.notebook;
	const rows = (page: Size) => (size ? { w: page.w, h: size.h } : page);
	const room: Room = { span: 'spread', left: rows(left), right: rows(right), gutter };
	const beside = taken.some(({ length }) => length > 0);
	const found = choicesIn(plan, wish, room, false, taken, inView).flatMap(
		(choice): SpreadChoice[] => {
			const own = footprintOf(choice);
			if (choice.room.span !== 'spread' || own.span !== 'spread') return [];
			const rows = { left: size?.h ?? own.left.h, right: size?.h ?? own.right.h };
			const cost = rated(choice.discomfort, choice);
			const ruled = size ? inRows(choice, size.h) : choice;
			if (!beside) return [{ ...rows, choice: ruled, cost }];
			const covers = coveredBy(ruled, left.w);
			const hit = covers.some((rects, on) =>
				rects.some((rect) => taken[on]?.some((other) => overlaps(rect, other)))
			);
			return hit ? [] : [{ ...rows, choice: ruled, cost, covers }];
		}
	);
	const kept = few(
		found,
		(a, b) =>
			a.left <= b.left &&
			a.right <= b.right &&
			JSON.stringify(a.covers) === JSON.stringify(b.covers),
		(option) => option.left + option.right
	);
	return [...kept, ...kept.flatMap((option) => openBeside(option, left.w, right.w))];
}

/** A choice over a spread that leaves the rooms beside it to others, where they are large enough. */
function openBeside(option: SpreadChoice, left: number, right: number): SpreadChoice[] {
	const { choice, covers, cost } = option;
	if (covers || choice.as.part) return [];
	const own = coveredBy(choice, left);
	const rooms = [
		...besideOn(own[0], { w: left, h: option.left }),
		...besideOn(own[1], { w: right, h: option.right })
	];
	if (rooms.length === 0) return [];
	return [{ ...option, covers: own, cost: cost + notBelow }];
}

/** Rooms that a spread leaves on its rows of a page, a square from what it covers there: the largest there are. */
export function besideOn(covers: readonly Rect[], rows: Size): Rect[] {
	return emptyRects(rows, covers.map(withGap)).filter(
		({ w, h }) => w >= leastBeside.w && h >= leastBeside.h
	);
}

/** A choice over a spread in exactly so many rows. */
export function inRows(choice: Choice, h: number): Choice {
	const { room } = choice;
	if (room.span === 'page') return choice;
	return { ...choice, room: { ...room, left: { ...room.left, h }, right: { ...room.right, h } } };
}

function rated(discomfort: number, { inside }: Choice): number {
	const most = worst * (1 + (inside?.guests.length ?? 0));
	return Math.min(most, Math.round(discomfort / step) * step);
}

/**
 * The choices that matter, the most comfortable first: none that is no smaller and no more comfortable
 * than another, and of too many the dearest are left out, but never the smallest.
 */
function few<T extends { readonly cost: number; readonly choice: Choice }>(
	found: readonly T[],
	within: (a: T, b: T) => boolean,
	area: (option: T) => number,
	most = mostOptions
): T[] {
	const sorted = found
		.map((option, index) => ({ option, index, missed: missedBy(option.choice) }))
		.sort(
			(a, b) =>
				a.missed - b.missed ||
				a.option.cost - b.option.cost ||
				area(a.option) - area(b.option) ||
				a.index - b.index
		)
		.map(({ option }) => option);
	const kept: T[] = [];
	for (const option of sorted) if (!kept.some((other) => within(other, option))) kept.push(option);
	if (kept.length <= most) return kept;
	const smallest = kept.reduce((a, b) => (area(b) < area(a) ? b : a));
	const first = kept.slice(0, most - 1);
	return first.includes(smallest) ? kept.slice(0, most) : [...first, smallest];
}
