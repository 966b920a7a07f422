import type { Rect, Size } from '../../paper';

/** Free squares between neighbours (common practice). */
const gap = 1;
/** Free squares that are put between and around them at most, besides those. */
const mostMargin = 2;
/** With more members than these only shelves of one or two are tried. */
const mostParted = 6;

/** What a member takes of a room it is offered. */
export interface Sized extends Size {
	readonly discomfort: number;
}

/** What each member takes of any room; undefined where it does not fit. */
export type SizeOf = (member: number, room: Size) => Sized | undefined;

/** Members side by side, or one below the other: their sizes, and those of all together. */
interface Line extends Sized {
	readonly sizes: readonly Sized[];
}

/** Lines one below the other, or side by side. */
export interface Shelves {
	readonly discomfort: number;
	/** Places inside the room, in the members' order. */
	readonly rects: readonly Rect[];
	/** How well they are shaped: the shorter sides together; strips are worse to write in than boxes. */
	readonly shape: number;
}

/** The two ways in which a room is shared out, as what is along a line and what is across it. */
interface Way {
	readonly along: (size: Size) => number;
	readonly across: (size: Size) => number;
	readonly size: (along: number, across: number) => Size;
	readonly rect: (along: number, across: number, size: Size) => Rect;
}

const rows: Way = {
	along: ({ w }) => w,
	across: ({ h }) => h,
	size: (w, h) => ({ w, h }),
	rect: (x, y, { w, h }) => ({ x, y, w, h })
};

const columns: Way = {
	along: ({ h }) => h,
	across: ({ w }) => w,
	size: (h, w) => ({ w, h }),
	rect: (y, x, { w, h }) => ({ x, y, w, h })
};

/**
 * Shares a room out among so many members in their order: in rows one below the other or in columns side by side, with
 * a square between neighbours. What wants less than its share leaves it to the others. The least discomfort wins, then
 * the best shapes; undefined where they do not fit this way. (Common practice: boxes of equal size stand in
 * rows, lists in columns.)
 */
export function shelve(room: Size, count: number, sizeOf: SizeOf): Shelves | undefined {
	const least = Array.from({ length: count }, (_, member): Size => ({
		w: leastShare(room.w, (w) => sizeOf(member, { w, h: room.h })),
		h: leastShare(room.h, (h) => sizeOf(member, { w: room.w, h }))
	}));
	let best: Shelves | undefined;
	for (const way of [rows, columns]) {
		const lines = new Map<string, Line | undefined>();
		for (const parts of partitions(count)) {
			if (!mayFit(way, room, parts, least)) continue;
			const found = inLines(way, room, parts, lines, least, sizeOf);
			if (found && (!best || better(found, best))) best = found;
		}
	}
	return best;
}

/** Whether the least that each member needs leaves these lines a chance. */
function mayFit(
	way: Way,
	room: Size,
	parts: readonly (readonly number[])[],
	least: readonly Size[]
): boolean {
	const needs = (members: readonly number[], of: (size: Size) => number) =>
		members.map((member) => of(least[member] ?? room));
	const gaps = (some: readonly unknown[]) => (some.length - 1) * gap;
	const sum = (lengths: readonly number[]) => lengths.reduce((all, length) => all + length, 0);
	const fits = (members: readonly number[]) =>
		sum(needs(members, way.along)) + gaps(members) <= way.along(room);
	const across = sum(parts.map((members) => Math.max(...needs(members, way.across))));
	return parts.every(fits) && across + gaps(parts) <= way.across(room);
}

function better(a: Shelves, b: Shelves): boolean {
	return a.discomfort < b.discomfort || (a.discomfort === b.discomfort && a.shape > b.shape);
}

/** Ways to cut a row of members into lines, the fewest lines first. */
function partitions(count: number): number[][][] {
	const all: number[][][] = [];
	const longest = count > mostParted ? 2 : count;
	const extend = (from: number, lines: number[][]) => {
		if (from === count) {
			all.push(lines);
			return;
		}
		for (let length = 1; length <= Math.min(longest, count - from); length++)
			extend(from + length, [...lines, Array.from({ length }, (_, index) => from + index)]);
	};
	extend(0, []);
	return all.sort((a, b) => a.length - b.length);
}

function inLines(
	way: Way,
	room: Size,
	parts: readonly (readonly number[])[],
	known: Map<string, Line | undefined>,
	least: readonly Size[],
	sizeOf: SizeOf
): Shelves | undefined {
	const lineOf = (members: readonly number[], across: number) => {
		const name = `${members.join()} ${across}`;
		if (!known.has(name))
			known.set(name, line(way, members, way.along(room), across, least, sizeOf));
		return known.get(name);
	};
	const lines = shareOut(
		way.across(room),
		parts.map((members) => ({
			take: (across) => lineOf(members, across),
			least: Math.max(...members.map((member) => way.across(least[member] ?? room)))
		})),
		way.across
	);
	if (!lines) return undefined;
	const placed = placedIn(way, room, lines);
	return {
		discomfort: lines.reduce((sum, { discomfort }) => sum + discomfort, 0),
		rects: placed,
		shape: shapeOf(placed)
	};
}

/** The shorter sides of rectangles together. */
export function shapeOf(rects: readonly Rect[]): number {
	return rects.reduce((sum, { w, h }) => sum + Math.min(w, h), 0);
}

/** Members in a line of at most so many squares along and across. */
function line(
	way: Way,
	members: readonly number[],
	along: number,
	across: number,
	least: readonly Size[],
	sizeOf: SizeOf
): Line | undefined {
	const sizes = shareOut(
		along,
		members.map((member) => ({
			take: (share) => sizeOf(member, way.size(share, across)),
			least: way.along(least[member] ?? { w: 1, h: 1 })
		})),
		way.along
	);
	if (!sizes) return undefined;
	const used = sizes.reduce((sum, size) => sum + way.along(size), (sizes.length - 1) * gap);
	return {
		...way.size(used, Math.max(...sizes.map(way.across))),
		discomfort: sizes.reduce((sum, { discomfort }) => sum + discomfort, 0),
		sizes
	};
}

/**
 * Shares a length out: all are offered the same; what some do not take is offered to those that took all of theirs, then
 * to each of the others. Where one needs more than an equal share, all begin with the least that they need. Undefined
 * where there is too little.
 */
export function shareOut<T extends Size>(
	length: number,
	takers: readonly Taker<T>[],
	lengthOf: (taken: T) => number
): T[] | undefined {
	const whole = length - (takers.length - 1) * gap;
	const equal = Math.floor(whole / takers.length);
	if (equal < 1) return undefined;
	const start = takers.flatMap(({ take, least }) => (least > equal ? [] : (take(equal) ?? [])));
	const taken = start.length === takers.length ? start : atLeast(whole, takers);
	if (!taken) return undefined;
	const left = () => whole - taken.reduce((sum, one) => sum + lengthOf(one), 0);
	if (left() < 0) return undefined;
	const offer = (index: number, share: number) => {
		const known = taken[index];
		const more = takers[index]?.take(share);
		if (known && more && lengthOf(more) > lengthOf(known)) taken[index] = more;
	};
	for (let round = 0; round < mostRounds && left() > 0; round++) {
		const most = Math.max(...taken.map(lengthOf));
		const wanting = [...taken.keys()].filter((index) => {
			const one = taken[index];
			return one && (lengthOf(one) >= equal || lengthOf(one) === most);
		});
		const each = Math.floor(left() / wanting.length);
		if (each < 1) break;
		for (const index of wanting) {
			const one = taken[index];
			if (one) offer(index, lengthOf(one) + each);
		}
	}
	// What took all of its share keeps it, so that equal things stay equal.
	const most = Math.max(...taken.map(lengthOf));
	for (const [index, one] of taken.entries())
		if (left() > 0 && lengthOf(one) < most) offer(index, lengthOf(one) + left());
	return taken;
}

/** How often spare squares are offered round. */
const mostRounds = 2;

/** The least that each needs; undefined where one finds no room at all. */
function atLeast<T>(whole: number, takers: readonly Taker<T>[]): T[] | undefined {
	const found: T[] = [];
	let left = whole - takers.reduce((sum, { least }) => sum + least, 0);
	for (const { take, least } of takers) {
		if (left < 0) return undefined;
		const share = leastShare(least + left, take, least);
		const taken = take(share);
		if (!taken) return undefined;
		found.push(taken);
		left -= share - least;
	}
	return found;
}

/** Something that takes a share of a length, and what it needs of it at least, as far as that is known. */
interface Taker<T> {
	readonly take: (share: number) => T | undefined;
	readonly least: number;
}

/** The least share in which something fits that fits in all larger ones; the whole where it fits in none. */
export function leastShare(whole: number, take: (share: number) => unknown, from = 1): number {
	if (from >= whole || take(from)) return Math.min(from, whole);
	let [none, enough] = [from, whole];
	while (enough - none > 1) {
		const middle = Math.floor((none + enough) / 2);
		if (take(middle)) enough = middle;
		else none = middle;
	}
	return enough;
}

/** Spare squares become even margins between lines and inside them, so that their ends are in line. */
function placedIn(way: Way, room: Size, lines: readonly Line[]): Rect[] {
	const widest = Math.max(...lines.map(way.along));
	const start = Math.floor((way.along(room) - widest) / 2);
	const used = lines.reduce((sum, one) => sum + way.across(one), (lines.length - 1) * gap);
	const spare = Math.floor((way.across(room) - used) / (lines.length + 1));
	const margin = Math.min(mostMargin, spare);
	// Columns stand in the middle; rows begin at the top, and what is left is below.
	const rest = way === columns ? way.across(room) - used - (lines.length - 1) * margin : 0;
	let across = Math.floor(rest / 2);
	return lines.flatMap((one) => {
		const gaps = one.sizes.length - 1;
		const more = gaps > 0 ? Math.floor((widest - way.along(one)) / gaps) : 0;
		// A row of one stands in the middle.
		let along =
			gaps === 0 && way === rows ? Math.floor((way.along(room) - way.along(one)) / 2) : start;
		const rects = one.sizes.map((size) => {
			const rect = way.rect(along, across, size);
			along += way.along(size) + gap + (way === rows ? more : Math.min(mostMargin, more));
			return rect;
		});
		across += way.across(one) + gap + margin;
		return rects;
	});
}
