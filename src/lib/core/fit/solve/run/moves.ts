import { Fillers } from '../problem/fillers';
import { Groups, mostKept, type Share } from '../pages/groups';
import {
	clearOf,
	isOpen,
	type Problem,
	type ProblemItem,
	type ProblemPage
} from '../problem/problem';
import type { PackingCache } from '../pages/packing-cache';
import { Shapes } from '../problem/shapes';
import { nothingOver, type Move, type Over, type State, type Worth } from './state';

const alone = { members: [], group: undefined, carried: undefined };

/** The moves of a problem, as a graph whose nodes are states. */
export class Moves {
	readonly order: readonly number[];
	readonly fillers: Fillers;
	readonly groups: Groups;
	readonly shapes: Shapes;
	private readonly pairsOf: readonly { readonly first: number; readonly second: number }[];
	/** Place of an item in the order. */
	private readonly places = new Map<number, number>();
	private readonly spreads: ReadonlySet<number>;
	private readonly anyPinned: boolean;

	/** `mayLose` says of which items inside a page's group leaving out is tried. */
	constructor(
		readonly problem: Problem,
		cache: PackingCache,
		mayLose: (item: number) => boolean
	) {
		const { items } = problem;
		const free = [...items.keys()].filter((index) => items[index]?.page === undefined);
		this.anyPinned = free.length < items.length;
		this.order = free.filter((index) => !items[index]?.filler);
		for (const [place, index] of this.order.entries()) this.places.set(index, place);
		this.fillers = new Fillers(
			items,
			free.filter((index) => items[index]?.filler),
			this.order
		);
		const pairs = items.flatMap((item, index) =>
			(item.facing ?? []).flatMap((other) => {
				const first = this.places.get(index);
				const second = this.places.get(other);
				return first === undefined || second === undefined
					? []
					: [{ first, second, items: [index, other] }];
			})
		);
		this.pairsOf = pairs;
		this.spreads = new Set(
			[...items.keys()].filter((index) => items[index]?.spreads.some(({ length }) => length > 0))
		);
		const paired = new Set(pairs.flatMap((pair) => pair.items));
		this.shapes = new Shapes(problem);
		const { order, fillers, shapes } = this;
		this.groups = new Groups(problem, cache, order, fillers, paired, shapes, mayLose);
	}

	get start(): State {
		return {
			page: 0,
			next: 0,
			fillers: this.fillers.all,
			pairs: this.pairsOf.map(() => 0),
			top: 0,
			host: 0,
			closed: 0,
			blank: false
		};
	}

	/** Tells states of one page and one place in the order apart. */
	key({ fillers, pairs, top, host, closed, blank }: State): number | string {
		// A page's host is one purpose, or a spread that keeps it: numbers stay small.
		const over = host > 0 ? 33 - Math.clz32(host) : -host;
		const key = (2048 * fillers + top) * 4096 + over * 256 + 2 * closed + (blank ? 1 : 0);
		return pairs.length === 0 ? key : `${key} ${pairs.join('')}`;
	}

	/**
	 * The moves from a state that are worth their price, the one known so far. Every one of them leads
	 * on: to a later page or a later item.
	 */
	from(state: State, worth: Worth): Move[] {
		const moves: Move[] = [];
		const page = this.problem.pages[state.page];
		if (page) {
			this.fill(state, moves, worth);
			this.carry(state, page, moves, worth);
		}
		// Last, so that of equally good runs the one is found that leaves out what comes later.
		const item = this.order[state.next];
		moves.push(item === undefined ? this.end(state) : this.skip(state, item));
		return moves;
	}

	/** To end here, whatever is left out. */
	giveUp(state: State): Move {
		const end = this.end(state);
		return { ...end, cost: end.cost + this.lossOf(this.order.slice(state.next)) };
	}

	private item(index: number): ProblemItem {
		const item = this.problem.items[index];
		if (!item) throw new RangeError(`no item ${index}`);
		return item;
	}

	private end(state: State): Move {
		const { pageCost, usedAnyway, pages } = this.problem;
		// A page whose top a spread takes is used, whatever else lies on it.
		const used = Math.max(usedAnyway + 1, state.page + (state.top > 0 ? 1 : 0));
		let cost = pageCost * Math.max(0, used - state.page);
		for (const [sort, { items }] of this.fillers.sorts.entries())
			cost += this.fillers.count(state.fillers, sort) * this.item(items[0] ?? 0).loss;
		for (let page = state.page; this.anyPinned && page < pages.length; page++)
			cost += this.lossOf(this.groups.boundTo(page));
		return { to: 'end', cost, page: state.page, ...alone };
	}

	private skip(state: State, item: number): Move {
		const pairs = state.pairs.map((status, pair) =>
			this.pairsOf[pair]?.second === state.next ? 0 : status
		);
		const to = { ...state, next: state.next + 1, pairs };
		return { to, cost: this.item(item).loss, page: state.page, ...alone };
	}

	/** A page with a group of items, or with none. */
	private fill(state: State, moves: Move[], worth: Worth): void {
		const { pageCost } = this.problem;
		const host = this.groups.hostOn(state.page, state.host);
		for (const share of this.groups.on(state.page, state.top, host, state.next, undefined)) {
			const left = this.fillers.without(state.fillers, share.taken);
			if (left < 0 || this.fillers.anyOf(share.taken, state.closed)) continue;
			const cost = share.lost + pageCost;
			const price = cost + (share.group?.lower ?? 0);
			if (!worth(price, state.page + 1, share.next, left, 0, 0)) continue;
			const to = this.after(state, share.next, share.kept, left, nothingOver);
			if (to) moves.push(moveOf(share, to, cost, state.page));
		}
		// After what fills it: of equally good runs one has its blank pages as late as can be.
		const blank =
			this.mayBeBlank(state) && this.after(state, state.next, [], state.fillers, nothingOver);
		if (blank) {
			const bound = this.groups.boundTo(state.page);
			const open = bound.length === 0 && this.isOpen(state);
			const cost = pageCost + this.lossOf(bound) + (open ? this.priceOfBlank(state) : 0);
			moves.push({ to: { ...blank, blank: open }, cost, page: state.page, ...alone });
		}
	}

	private isOpen({ page, top }: State): boolean {
		const sheet = this.problem.pages[page];
		return sheet !== undefined && top === 0 && isOpen(sheet);
	}

	/** What it costs that a page which could hold something stays blank, besides being a page. */
	private priceOfBlank({ page, blank }: State): number {
		const { each, again } = this.problem.blank ?? { each: 0, again: 0 };
		const free = this.problem.pages[page]?.mayStayBlank;
		return (free ? 0 : each) + (blank ? again : 0);
	}

	/**
	 * Whether a page may stay blank: where the next one offers something else, such as a spread that
	 * begins there. What could stand on the next page could otherwise stand on this one.
	 */
	private mayBeBlank({ page: index, top, pairs }: State): boolean {
		const { pages } = this.problem;
		const page = pages[index];
		const next = pages[index + 1];
		if (!page || !next || top > 0 || pairs.some((status) => status > 0)) return true;
		if (page.w !== next.w || page.h !== next.h || page.options !== next.options) return true;
		if (page.obstacles.length + next.obstacles.length > 0) return true;
		if (page.exclusive || next.exclusive || this.anyPinned) return true;
		if (this.pairsOf.length > 0) return true;
		return page.pair === undefined && this.spreads.size > 0;
	}

	/** An item over this page and the facing one, with others on the rows that it leaves. */
	private carry(state: State, page: ProblemPage, moves: Move[], worth: Worth): void {
		const { pageCost, pages } = this.problem;
		const right = pages[state.page + 1];
		const { pair } = page;
		if (this.spreads.size === 0 || pair === undefined || !right || state.top > 0) return;
		if (page.exclusive || right.exclusive) return;
		for (const { item, options } of this.carriers(state, pair))
			for (const [option, spread] of options.entries()) {
				if (spread.left > page.h || spread.right > right.h) continue;
				const place = this.places.get(item) ?? state.next;
				const before = this.groups.areaBefore(page, state.next, place);
				const top = this.shapes.codeOf(spread, 0);
				if (before > page.w * (page.h - this.shapes.rowsOf(top))) continue;
				if (!clearOf(spread, page.obstacles, right.obstacles)) continue;
				const whole = !spread.covers && spread.right === right.h;
				const after = state.page + (whole ? 2 : 1);
				const missed = whole ? this.lossOf(this.groups.boundTo(state.page + 1)) : 0;
				const { host, cost: joins } = this.groups.hosting(state.page, item);
				const base = spread.cost + joins + missed + pageCost * (whole ? 2 : 1);
				const over: Over = whole ? nothingOver : { top: this.shapes.codeOf(spread, 1), host };
				const hostOfLeft = this.groups.hostOn(state.page, host);
				for (const share of this.groups.on(state.page, top, hostOfLeft, state.next, item)) {
					const left = this.fillers.without(state.fillers, share.taken);
					if (left < 0 || this.fillers.anyOf(share.taken, state.closed)) continue;
					const cost = base + share.lost;
					const price = cost + (share.group?.lower ?? 0);
					if (!worth(price, after, share.next, left, over.top, over.host)) continue;
					const next = this.after(state, share.next, share.kept, left, over);
					if (!next) continue;
					const to = whole ? this.beyond(next) : next;
					moves.push({ ...moveOf(share, to, cost, state.page), carried: { item, option } });
				}
			}
	}

	/** Items that may lie over a spread that begins on this page. */
	private *carriers(state: State, pair: number) {
		for (const item of this.order.slice(state.next, state.next + mostKept))
			if (this.spreads.has(item)) yield { item, options: this.item(item).spreads[pair] ?? [] };
		for (const [sort, { items }] of this.fillers.sorts.entries()) {
			const [first] = items;
			if (first === undefined || !this.spreads.has(first)) continue;
			if (this.fillers.count(state.fillers, sort) > 0)
				yield { item: -1 - sort, options: this.item(first).spreads[pair] ?? [] };
		}
	}

	/** The state after the page that a whole spread takes besides its first. */
	private beyond(state: State): State {
		return { ...state, page: state.page + 1, pairs: state.pairs.map((status) => status && 2) };
	}

	private lossOf(items: readonly number[]): number {
		return items.reduce((sum, index) => sum + this.item(index).loss, 0);
	}

	/** The state after a page, or nothing where a facing pair forbids what was placed on it. */
	private after(
		state: State,
		next: number,
		kept: readonly number[],
		fillers: number,
		over: Over
	): State | undefined {
		const { page } = state;
		// The last one of a group is never left out.
		const last = this.places.get(kept.at(-1) ?? -1) ?? -1;
		const closed = state.closed | this.fillers.closedBy(last);
		const { top, host } = over;
		if (this.pairsOf.length === 0)
			return { page: page + 1, next, fillers, pairs: state.pairs, top, host, closed, blank: false };
		const faces = this.problem.pages[page]?.pair !== undefined;
		const pairs: number[] = [];
		for (const [pair, { first, second }] of this.pairsOf.entries()) {
			const status = state.pairs[pair] ?? 0;
			const has = (place: number) => kept.some((item) => this.places.get(item) === place);
			const hasFirst = has(first);
			const hasSecond = has(second);
			if (hasSecond && (hasFirst || status === 2)) return undefined;
			if (next > second) pairs.push(0);
			else if (hasFirst) pairs.push(faces ? 1 : 2);
			else pairs.push(status === 0 ? 0 : 2);
		}
		return { page: page + 1, next, fillers, pairs, top, host, closed, blank: false };
	}
}

function moveOf({ members, group }: Share, to: State, cost: number, page: number): Move {
	return { to, cost, page, members, group, carried: undefined };
}
