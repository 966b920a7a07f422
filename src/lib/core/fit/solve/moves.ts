import { mostOnPage, type Problem, type ProblemItem, type ProblemPage } from './problem';
import { regionOf, type Group, type OptionList, type PackingCache, type Region } from './pricing';

/** How far a run has got: what stands on the pages before `page` is decided. */
export interface State {
	readonly page: number;
	/** How many of the ordered items are decided. */
	readonly next: number;
	/** How many fillers of each sort are still to be placed. */
	readonly fillers: readonly number[];
	/** Of each facing pair: 0 free, 1 its second item belongs on `page`, 2 it must be left out. */
	readonly pairs: readonly number[];
	/** Rows at the top of `page` that a spread from the page before takes. */
	readonly top: number;
}

/** A spread over two pages, as part of a move. */
interface Carried {
	readonly item: number;
	readonly option: number;
}

/** One step of a run: to leave an item out, to fill or skip a page, or to end. */
export interface Move {
	readonly to: State | 'end';
	/** What it costs besides the price of its group. */
	readonly cost: number;
	/** The page whose group is priced, and its members. */
	readonly page: number;
	readonly members: readonly number[];
	readonly group: Group | undefined;
	readonly carried: Carried | undefined;
}

/** Whether a move of this price may lead to a run that is wanted, from what it leaves to be done. */
export type Worth = (
	price: number,
	page: number,
	next: number,
	fillers: readonly number[],
	top: number
) => boolean;

/** Items of one sort: any of them may stand for any other. */
interface Sort {
	readonly items: readonly number[];
}

/** The moves of a problem, as a graph whose nodes are states. */
export class Moves {
	readonly order: readonly number[];
	readonly sorts: readonly Sort[];
	private readonly pinned = new Map<number, number[]>();
	private readonly pairsOf: readonly { readonly first: number; readonly second: number }[];
	private readonly regions = new Map<string, Region>();
	private readonly found = new Map<string, readonly GroupMove[]>();
	private readonly lists: (OptionList | undefined)[] = [];
	/** Place of an item in the order. */
	private readonly places = new Map<number, number>();
	private readonly spreads: ReadonlySet<number>;

	/**
	 * `mayLose` says of which items inside a page's group leaving out is tried; the first and last of a
	 * group need not be, because they can be left out before or after it.
	 */
	constructor(
		readonly problem: Problem,
		private readonly cache: PackingCache,
		private readonly mayLose: (item: number) => boolean
	) {
		const { items } = problem;
		const indices = items.map((_, index) => index);
		const bound = (index: number) => items[index]?.page !== undefined;
		this.order = indices.filter((index) => !bound(index) && !items[index]?.filler);
		for (const [place, index] of this.order.entries()) this.places.set(index, place);
		this.sorts = sortsOf(
			items,
			indices.filter((index) => !bound(index) && items[index]?.filler)
		);
		for (const index of indices) {
			const page = items[index]?.page;
			if (page !== undefined) this.pinned.set(page, [...(this.pinned.get(page) ?? []), index]);
		}
		this.pairsOf = indices.flatMap((index) =>
			(items[index]?.facing ?? []).flatMap((other) => {
				const first = this.places.get(index);
				const second = this.places.get(other);
				return first === undefined || second === undefined ? [] : [{ first, second }];
			})
		);
		this.spreads = new Set(
			indices.filter((index) => items[index]?.spreads.some((options) => options.length > 0))
		);
	}

	get start(): State {
		return {
			page: 0,
			next: 0,
			fillers: this.sorts.map(({ items }) => items.length),
			pairs: this.pairsOf.map(() => 0),
			top: 0
		};
	}

	key({ page, next, fillers, pairs, top }: State): string {
		return `${page} ${next} ${fillers.join()} ${pairs.join('')} ${top}`;
	}

	/**
	 * The moves from a state that are worth their price, the one known so far. Every one of them leads
	 * on: to a later page or a later item.
	 */
	from(state: State, worth: Worth): Move[] {
		const moves: Move[] = [];
		const item = this.order[state.next];
		if (item === undefined) moves.push(this.end(state));
		else moves.push(this.skip(state, item));
		const page = this.problem.pages[state.page];
		if (page) {
			this.fill(state, page, moves, worth);
			this.carry(state, page, moves, worth);
		}
		return moves;
	}

	private item(index: number): ProblemItem {
		const item = this.problem.items[index];
		if (!item) throw new RangeError(`no item ${index}`);
		return item;
	}

	private end(state: State): Move {
		const { pageCost, usedAnyway } = this.problem;
		// A page whose top a spread takes is used, whatever else lies on it.
		const used = Math.max(usedAnyway + 1, state.page + (state.top > 0 ? 1 : 0));
		let cost = pageCost * Math.max(0, used - state.page);
		for (const [sort, count] of state.fillers.entries())
			cost += count * this.item(this.sorts[sort]?.items[0] ?? 0).loss;
		for (const [page, items] of this.pinned)
			if (page >= state.page) for (const index of items) cost += this.item(index).loss;
		return { to: 'end', cost, page: state.page, members: [], group: undefined, carried: undefined };
	}

	private skip(state: State, item: number): Move {
		const pairs = state.pairs.map((status, pair) =>
			this.pairsOf[pair]?.second === state.next ? 0 : status
		);
		return {
			to: { ...state, next: state.next + 1, pairs },
			cost: this.item(item).loss,
			page: state.page,
			members: [],
			group: undefined,
			carried: undefined
		};
	}

	/** A page with a group of items, or with none. */
	private fill(state: State, page: ProblemPage, moves: Move[], worth: Worth): void {
		const { pageCost } = this.problem;
		const bound = this.pinned.get(state.page) ?? [];
		const blank = this.mayBeBlank(state) && this.after(state, state.next, [], state.fillers, 0);
		if (blank)
			moves.push({
				to: blank,
				cost: pageCost + this.lossOf(bound),
				page: state.page,
				members: [],
				group: undefined,
				carried: undefined
			});
		const region = this.regionOf(page, state.top);
		for (const { next, kept, left, members, group, lost } of this.groups(
			state,
			page,
			region,
			undefined
		)) {
			const cost = lost + pageCost;
			if (!worth(cost + (group?.lower ?? 0), state.page + 1, next, left, 0)) continue;
			const to = this.after(state, next, kept, left, 0);
			if (to) moves.push({ to, cost, page: state.page, members, group, carried: undefined });
		}
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
		if (page.exclusive || next.exclusive || this.pinned.size > 0) return true;
		if (this.pairsOf.length > 0) return true;
		return page.pair === undefined && this.spreads.size > 0;
	}

	/** An item over this page and the facing one, with others on the rows that it leaves. */
	private carry(state: State, page: ProblemPage, moves: Move[], worth: Worth): void {
		const { pageCost, pages } = this.problem;
		const right = pages[state.page + 1];
		const { pair } = page;
		if (pair === undefined || !right || state.top > 0 || page.exclusive || right.exclusive) return;
		const carriers = [
			...this.order.slice(state.next, state.next + mostKept),
			...this.sorts.flatMap(({ items }, sort) => {
				const count = state.fillers[sort] ?? 0;
				return items.slice(items.length - count, items.length - count + 1);
			})
		].filter((index) => this.spreads.has(index));
		for (const item of carriers)
			for (const [option, spread] of (this.item(item).spreads[pair] ?? []).entries()) {
				if (spread.left > page.h || spread.right > right.h) continue;
				if (this.areaBefore(state, page, item) > page.w * (page.h - spread.left)) continue;
				if (page.obstacles.some(({ y }) => y < spread.left)) continue;
				if (right.obstacles.some(({ y }) => y < spread.right)) continue;
				const whole = spread.right === right.h;
				const missed = whole ? this.lossOf(this.pinned.get(state.page + 1) ?? []) : 0;
				const base = spread.cost + missed + pageCost * (whole ? 2 : 1);
				const region = this.regionOf(page, spread.left);
				for (const group of this.groups(state, page, region, item)) {
					const top = whole ? 0 : spread.right;
					const price = base + group.lost + (group.group?.lower ?? 0);
					if (!worth(price, state.page + 1, group.next, group.left, top)) continue;
					const next = this.after(state, group.next, group.kept, group.left, top);
					if (!next) continue;
					moves.push({
						to: whole ? this.beyond(next) : next,
						cost: base + group.lost,
						page: state.page,
						members: group.members,
						group: group.group,
						carried: { item, option }
					});
				}
			}
	}

	/** Least area of what stands before an item in the order and would share its left page. */
	private areaBefore(state: State, page: ProblemPage, item: number): number {
		const place = this.places.get(item) ?? state.next;
		let area = 0;
		for (const before of this.order.slice(state.next, place))
			area += this.listOf(
				page,
				before,
				before !== this.order[state.next] && this.mayLose(before)
			).least;
		return area;
	}

	/** The state after the page that a whole spread takes besides its first. */
	private beyond(state: State): State {
		return { ...state, page: state.page + 1, pairs: state.pairs.map((status) => status && 2) };
	}

	private regionOf(page: ProblemPage, top: number): Region {
		const key = `${page.w} ${page.h} ${top} ${JSON.stringify(page.obstacles)}`;
		let region = this.regions.get(key);
		if (!region) {
			region = regionOf(page, top, page.obstacles, page.obstacles.length + (top > 0 ? 1 : 0));
			this.regions.set(key, region);
		}
		return region;
	}

	private lossOf(items: readonly number[]): number {
		return items.reduce((sum, index) => sum + this.item(index).loss, 0);
	}

	/**
	 * All groups that may share a region: the next items of the order, any fillers, and those bound to
	 * the page. `carried` is placed by the move itself.
	 */
	private groups(
		state: State,
		page: ProblemPage,
		region: Region,
		carried: number | undefined
	): readonly GroupMove[] {
		const bound = this.pinned.get(state.page) ?? [];
		const name = [page.options, page.exclusive ? 1 : 0, state.next, carried ?? '']
			.concat(state.fillers, '|', bound, region.top, region.key)
			.join(' ');
		let found = this.found.get(name);
		if (!found) {
			found = [...this.listGroups(state, page, region, bound, carried)];
			this.found.set(name, found);
		}
		return found;
	}

	private *listGroups(
		state: State,
		page: ProblemPage,
		region: Region,
		bound: readonly number[],
		carried: number | undefined
	): Generator<GroupMove> {
		const counts = page.exclusive
			? [state.fillers.map(() => 0)]
			: [...this.fillerCounts(page, state.fillers)];
		for (const { next, kept, lost } of this.ranges(state, page, carried))
			for (const taken of counts) {
				const placed = this.fillersOf(state.fillers, taken);
				const filler = carried !== undefined && this.item(carried).filler;
				if (filler && !placed.includes(carried)) continue;
				const left = state.fillers.map((count, sort) => count - (taken[sort] ?? 0));
				const ordered = kept.filter((item) => item !== carried);
				const fillers = placed.filter((item) => item !== carried);
				if (region.h <= 0 || region.most <= 0) {
					// Nothing else finds room beside what takes the whole page.
					if (ordered.length + fillers.length > 0) continue;
					const missed = lost + this.lossOf(bound);
					yield { next, kept, left, members: [], group: undefined, lost: missed };
					continue;
				}
				const sharing = [
					...ordered.map((item) => ({ item, mayLose: this.inside(item, kept) })),
					...fillers.map((item) => ({ item, mayLose: false })),
					...bound.map((item) => ({ item, mayLose: true }))
				].map(({ item, mayLose }) => ({ item, list: this.listOf(page, item, mayLose) }));
				if (carried === undefined && sharing.length === 0) continue;
				// The largest come first: what cannot be packed shows itself early.
				sharing.sort((a, b) => b.list.usual - a.list.usual || a.item - b.item);
				const members = sharing.map(({ item }) => item);
				const lists = sharing.map(({ list }) => list);
				// Most groups are too large at their smallest; that is seen before anything is built.
				if (lists.reduce((sum, { least }) => sum + least, 0) > region.w * region.h) continue;
				const group = lists.length > 0 ? this.cache.group(region, lists) : undefined;
				if (group?.lower === Infinity) continue;
				yield { next, kept, left, members, group, lost };
			}
	}

	/** Whether leaving an item out is tried inside a group: not at its ends, not of a facing pair. */
	private inside(item: number, kept: readonly number[]): boolean {
		if (!this.mayLose(item) || this.paired(item)) return false;
		return item !== kept[0] && item !== kept.at(-1);
	}

	private paired(item: number): boolean {
		const place = this.places.get(item);
		return this.pairsOf.some(({ first, second }) => first === place || second === place);
	}

	/** The next items of the order that may share a page, with or without those of facing pairs. */
	private *ranges(state: State, page: ProblemPage, carried: number | undefined): Generator<Range> {
		const none: Range = { next: state.next, kept: [], lost: 0 };
		const ordered = carried !== undefined && !this.item(carried).filler;
		if (!ordered) yield none;
		if (page.exclusive) return;
		let open: Range[] = [none];
		for (let next = state.next; next < this.order.length && open.length > 0; next++) {
			const item = this.order[next];
			if (item === undefined) break;
			const { loss } = this.item(item);
			const longer: Range[] = [];
			for (const { kept, lost } of open) {
				longer.push({ next: next + 1, kept: [...kept, item], lost });
				if (this.paired(item) && kept.length > 0)
					longer.push({ next: next + 1, kept, lost: lost + loss });
			}
			open = longer.filter((range) => this.mayHold(page, range.kept, carried));
			for (const range of open) {
				if (range.kept.at(-1) !== item) continue;
				if (!ordered || range.kept.includes(carried)) yield range;
			}
		}
	}

	/** Whether so many items could share a page; those that may be left out do not count. */
	private mayHold(
		page: ProblemPage,
		kept: readonly number[],
		carried: number | undefined
	): boolean {
		const sure = kept.filter((item, at) => item !== carried && (at === 0 || !this.mayLose(item)));
		if (sure.length > mostOnPage || kept.length > mostKept) return false;
		let area = page.w * page.h;
		for (const item of sure) {
			const sizes = this.item(item).options[page.options] ?? [];
			area -= Math.min(...sizes.map(({ w, h }) => w * h));
		}
		return area >= 0;
	}

	/** How many fillers of each sort may share a page, as far as their least areas say. */
	private *fillerCounts(
		page: ProblemPage,
		most: readonly number[],
		sort = 0,
		area = page.w * page.h,
		places = mostOnPage
	): Generator<number[]> {
		const item = this.sorts[sort]?.items[0];
		if (item === undefined) {
			yield [];
			return;
		}
		// One that may lie over a spread may take nothing of this page's group.
		const least = this.spreads.has(item) ? 0 : this.listOf(page, item, false).least;
		for (let count = 0; count <= Math.min(most[sort] ?? 0, places); count++) {
			const left = count > 0 ? area - count * least : area;
			if (left < 0) break;
			for (const rest of this.fillerCounts(page, most, sort + 1, left, places - count))
				yield [count, ...rest];
		}
	}

	/** The fillers that are placed: of each sort the first that are left. */
	private fillersOf(left: readonly number[], taken: readonly number[]): number[] {
		return this.sorts.flatMap(({ items }, sort) => {
			const from = items.length - (left[sort] ?? 0);
			return items.slice(from, from + (taken[sort] ?? 0));
		});
	}

	private listOf(page: ProblemPage, item: number, mayLose: boolean): OptionList {
		const at = 2 * (page.options * this.problem.items.length + item) + (mayLose ? 1 : 0);
		const { options, loss } = this.item(item);
		return (this.lists[at] ??= this.cache.list(
			options[page.options] ?? [],
			mayLose ? loss : undefined
		));
	}

	/** The state after a page, or nothing where a facing pair forbids what was placed on it. */
	private after(
		state: State,
		next: number,
		kept: readonly number[],
		fillers: readonly number[],
		top: number
	): State | undefined {
		const faces = this.problem.pages[state.page]?.pair !== undefined;
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
		return { page: state.page + 1, next, fillers, pairs, top };
	}
}

/** Longest row of items that is tried on one page, those left out inside it included. */
const mostKept = mostOnPage + 4;

interface Range {
	readonly next: number;
	readonly kept: readonly number[];
	/** Price of the items of facing pairs that are left out inside it. */
	readonly lost: number;
}

/** A group as part of a move. */
interface GroupMove {
	readonly next: number;
	/** Items of the order that are placed on the page or may be left out inside it. */
	readonly kept: readonly number[];
	/** How many fillers of each sort are left. */
	readonly left: readonly number[];
	readonly members: readonly number[];
	readonly group: Group | undefined;
	/** Price of the items of facing pairs that are left out among them. */
	readonly lost: number;
}

/** Fillers that can stand for each other, put together. */
function sortsOf(items: readonly ProblemItem[], fillers: readonly number[]): Sort[] {
	const sorts = new Map<string, number[]>();
	for (const index of fillers) {
		const item = items[index];
		if (!item) continue;
		const name = JSON.stringify([item.options, item.spreads, item.loss]);
		sorts.set(name, [...(sorts.get(name) ?? []), index]);
	}
	return [...sorts.values()].map((found) => ({ items: found }));
}
