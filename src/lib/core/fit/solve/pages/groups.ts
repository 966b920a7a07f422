import { freeOfCharge, joining, keptPage, type Company, type Host } from '../problem/company';
import type { Fillers } from '../problem/fillers';
import { mostOnPage, type Problem, type ProblemItem, type ProblemPage } from '../problem/problem';
import type { Group } from './group';
import type { OptionList } from '../problem/option-list';
import type { PackingCache } from './packing-cache';
import { apartFrom, regionOf, type Region } from '../problem/region';
import type { Shapes } from '../problem/shapes';
import type { Trade } from '../problem/trade';

/** An item, by its index; or any filler of the sort `-1 - member`. */
export type Member = number;

/** Items that share a page, as part of a move. */
export interface Share {
	/** How many of the ordered items are decided after it. */
	readonly next: number;
	/** Items of the order that are placed on the page or may be left out inside it. */
	readonly kept: readonly number[];
	/** Fillers on the page, as a code. */
	readonly taken: number;
	/** The members of the group, in its order. */
	readonly members: readonly Member[];
	readonly group: Group | undefined;
	/** Price of the items that are left out for want of any room, or because they belong to a facing pair. */
	readonly lost: number;
}

/** The next items of the order that may share a page. */
interface Range {
	readonly next: number;
	readonly kept: readonly number[];
	readonly lost: number;
}

/** Longest row of items that is tried on one page, those left out inside it included. */
export const mostKept = mostOnPage + 4;

/** What may share a page, worked out once for each kind of page and place in the order. */
export class Groups {
	private readonly shares = new Map<string, Map<number, readonly Share[]>>();
	private readonly regions = new Map<number, Region>();
	private readonly lists: (OptionList | undefined)[] = [];
	/** The same on any page. */
	private readonly anyLists: (OptionList | undefined)[] = [];
	/** For each page what tells it from others, where its groups are concerned. */
	private readonly kinds: readonly string[];
	private readonly pinned: readonly (readonly number[])[];
	private readonly company: Company;

	/**
	 * `mayLose` says of which items inside a page's group leaving out is tried; the first and last of a
	 * group need not be, because they can be left out before or after it.
	 */
	constructor(
		private readonly problem: Problem,
		private readonly cache: PackingCache,
		private readonly order: readonly number[],
		private readonly fillers: Fillers,
		private readonly paired: ReadonlySet<number>,
		private readonly shapes: Shapes,
		private readonly mayLose: (item: number) => boolean
	) {
		const { pages, items } = problem;
		this.company = problem.company ?? freeOfCharge;
		this.pinned = pages.map((_, page) =>
			[...items.keys()].filter((item) => items[item]?.page === page)
		);
		this.kinds = pages.map(
			({ w, h, options, exclusive, obstacles, held = 0, purposes = 0 }, page) =>
				JSON.stringify([
					...[w, h, options, exclusive ?? false],
					...[obstacles, held, purposes, this.boundTo(page)]
				])
		);
	}

	/** Tells pages apart on which groups are not the same. */
	kind(page: number): string {
		return this.kinds[page] ?? '';
	}

	/** Whether leaving an item out is tried inside some groups. */
	optional(item: number): boolean {
		return this.mayLose(item) || this.paired.has(item);
	}

	/** The trade of price against area of the ordered items from one place up to another, on any page. */
	tradeOf(from: number, to: number): Trade {
		const lists = this.order.slice(from, to).map((item) => this.anyList(item, this.optional(item)));
		return this.cache.trade(lists, 0);
	}

	/** The same of some fillers of each sort. */
	tradeOfFillers(counts: readonly number[]): Trade {
		const lists = counts.flatMap((count, sort) =>
			Array.from({ length: count }, () => this.anyList(this.itemOf(-1 - sort), false))
		);
		return this.cache.trade(lists, 0);
	}

	private anyList(item: number, mayLose: boolean): OptionList {
		const { options, loss, purpose } = this.item(item);
		return (this.anyLists[2 * item + (mayLose ? 1 : 0)] ??= this.cache.list(
			options.flat(),
			mayLose ? loss : undefined,
			purpose
		));
	}

	/** Items that are bound to a page. */
	boundTo(page: number): readonly number[] {
		return this.pinned[page] ?? [];
	}

	/**
	 * All groups that may share a page with what a spread takes at its `top`, rows or a shape: the items of the order from
	 * `next` on, any fillers, and those bound to the page. `carried` is placed by the move itself; `host` is on the page
	 * besides.
	 */
	on(
		page: number,
		top: number,
		host: Host,
		next: number,
		carried: Member | undefined
	): readonly Share[] {
		const sheet = this.problem.pages[page];
		if (!sheet) return [];
		const kind = this.kind(page);
		let known = this.shares.get(kind);
		if (!known) {
			known = new Map();
			this.shares.set(kind, known);
		}
		const { length } = this.problem.items;
		const place = (top * 512 + host + 1) * (length + 1) + next;
		const name = place * (2 * length + 3) + (carried ?? length) + length + 1;
		let found = known.get(name);
		if (!found) {
			found = [...this.list(sheet, page, this.regionOf(sheet, page, top, host), next, carried)];
			known.set(name, found);
		}
		return found;
	}

	/** What is on a page besides its group: what is held there, and a spread from the page before. */
	hostOn(page: number, over: Host): Host {
		const { purposes = 0 } = this.problem.pages[page] ?? {};
		return over === keptPage ? keptPage : purposes | over;
	}

	/** What a spread is for both of its pages, and what it costs beside what is held there. */
	hosting(page: number, member: Member): { readonly host: Host; readonly cost: number } {
		const { purpose = 0, keeps } = this.item(this.itemOf(member));
		if (keeps) return { host: keptPage, cost: 0 };
		const beside = (held: Host) => joining(this.company, held, { count: 0, purposes: 0 }, purpose);
		const cost = beside(this.hostOn(page, 0)) + beside(this.hostOn(page + 1, 0));
		return { host: purpose, cost };
	}

	/** Least area of what stands from `next` on before an item in the order, on a page that they share. */
	areaBefore(page: ProblemPage, next: number, place: number): number {
		let area = 0;
		for (let at = next; at < place; at++) {
			const item = this.order[at] ?? 0;
			area += this.listOf(page, item, at > next && this.mayLose(item)).least;
		}
		return area;
	}

	private item(index: number): ProblemItem {
		const item = this.problem.items[index];
		if (!item) throw new RangeError(`no item ${index}`);
		return item;
	}

	private isAlone(member: Member | undefined): boolean {
		return member !== undefined && member >= 0 && this.item(member).alone === true;
	}

	private lossOf(items: readonly number[]): number {
		return items.reduce((sum, item) => sum + this.item(item).loss, 0);
	}

	/** The item that a member stands for where only its options matter. */
	private itemOf(member: Member): number {
		return member >= 0 ? member : (this.fillers.sorts[-1 - member]?.items[0] ?? 0);
	}

	private regionOf(sheet: ProblemPage, page: number, top: number, host: Host): Region {
		const key = (page * 2048 + top) * 512 + host + 1;
		let region = this.regions.get(key);
		if (!region) {
			const { obstacles, held = 0 } = sheet;
			const covered = this.shapes.squaresOf(top);
			const taken = covered ? [...obstacles, ...apartFrom(covered, obstacles)] : obstacles;
			const rows = covered ? 0 : top;
			region = regionOf(sheet, rows, taken, held + (top > 0 ? 1 : 0), host, this.company);
			this.regions.set(key, region);
		}
		return region;
	}

	private *list(
		page: ProblemPage,
		index: number,
		region: Region,
		from: number,
		carried: Member | undefined
	): Generator<Share> {
		const bound = this.boundTo(index);
		const missed = this.lossOf(bound);
		const counts = page.exclusive ? [this.fillers.sorts.map(() => 0)] : [...this.counts(page)];
		const free = region.w * region.h;
		for (const { next: reached, kept, lost: left } of this.ranges(page, from, carried)) {
			const ordered = kept
				.filter((item) => item !== carried)
				.map((member) => ({ member, list: this.listOf(page, member, this.inside(member, kept)) }));
			const least = ordered.reduce((sum, { list }) => sum + list.least, 0);
			for (const count of counts) {
				const fillers = count.flatMap((some, sort) => {
					const member = -1 - sort;
					const free = some - (member === carried ? 1 : 0);
					const list = this.listOf(page, this.itemOf(member), false);
					return Array.from({ length: Math.max(0, free) }, () => ({ member, list }));
				});
				if (carried !== undefined && carried < 0 && (count[-1 - carried] ?? 0) === 0) continue;
				const taken = this.fillers.code(count);
				// What should stand before a filler and does not stand on its page yet can stand nowhere any more.
				const next = Math.max(reached, this.fillers.from(count));
				const lost = next === reached ? left : left + this.lossOf(this.order.slice(reached, next));
				if (region.h <= 0 || region.most <= 0) {
					// Nothing else finds room beside what takes the whole page.
					if (ordered.length + fillers.length > 0) continue;
					yield { next, kept, taken, members: [], group: undefined, lost: lost + missed };
					continue;
				}
				const some = ordered.length + fillers.length + (carried === undefined ? 0 : 1);
				const isAlone = this.isAlone(ordered[0]?.member ?? carried);
				if (isAlone && (some > 1 || region.most < mostOnPage)) continue;
				// Most groups are too large at their smallest; that is seen before anything is built.
				if (fillers.reduce((sum, { list }) => sum + list.least, least) > free) continue;
				const sharing = [
					...ordered,
					...fillers,
					// What is bound to the page of one that stands alone is left out.
					...(isAlone ? [] : bound).map((member) => ({
						member,
						list: this.listOf(page, member, true)
					}))
				];
				if (carried === undefined && sharing.length === 0) continue;
				// The largest come first: what cannot be packed shows itself early.
				sharing.sort((a, b) => b.list.usual - a.list.usual || a.list.key - b.list.key);
				const members = sharing.map(({ member }) => member);
				const lists = sharing.map(({ list }) => list);
				const group = lists.length > 0 ? this.cache.group(region, lists) : undefined;
				if (group?.lower === Infinity) continue;
				yield { next, kept, taken, members, group, lost: isAlone ? lost + missed : lost };
			}
		}
	}

	/** Whether leaving an item out is tried inside a group: not at its ends, not of a facing pair. */
	private inside(item: number, kept: readonly number[]): boolean {
		if (!this.mayLose(item) || this.paired.has(item)) return false;
		return item !== kept[0] && item !== kept.at(-1);
	}

	/** The next items of the order that may share a page, with or without those of facing pairs. */
	private *ranges(page: ProblemPage, from: number, carried: Member | undefined): Generator<Range> {
		const none: Range = { next: from, kept: [], lost: 0 };
		const ordered = carried !== undefined && carried >= 0;
		if (!ordered) yield none;
		if (page.exclusive) return;
		let open: Range[] = [none];
		for (let next = from; next < this.order.length && open.length > 0; next++) {
			const item = this.order[next];
			if (item === undefined) break;
			const { loss } = this.item(item);
			const longer: Range[] = [];
			for (const { kept, lost } of open) {
				// What comes after one that stands alone is left out after its page.
				if (this.isAlone(kept[0])) continue;
				const apart = kept.length > 0 && this.isAlone(item);
				if (!apart) longer.push({ next: next + 1, kept: [...kept, item], lost });
				if ((apart || this.paired.has(item)) && kept.length > 0)
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
		carried: Member | undefined
	): boolean {
		if (kept.length > mostKept) return false;
		let sure = 0;
		let area = page.w * page.h;
		for (const [at, item] of kept.entries()) {
			if (item === carried || (at > 0 && this.mayLose(item))) continue;
			area -= this.listOf(page, item, false).least;
			sure++;
		}
		return area >= 0 && sure <= mostOnPage;
	}

	/** How many fillers of each sort may share a page, as far as their least areas say. */
	private *counts(
		page: ProblemPage,
		sort = 0,
		area = page.w * page.h,
		places = mostOnPage
	): Generator<number[]> {
		const items = this.fillers.sorts[sort]?.items;
		const [item] = items ?? [];
		if (!items || item === undefined) {
			yield [];
			return;
		}
		// One that may lie over a spread may take nothing of this page's group.
		const spread = this.item(item).spreads.some((options) => options.length > 0);
		const least = spread ? 0 : this.listOf(page, item, false).least;
		for (let count = 0; count <= Math.min(items.length, places); count++) {
			const left = count > 0 ? area - count * least : area;
			if (left < 0) break;
			for (const rest of this.counts(page, sort + 1, left, places - count)) yield [count, ...rest];
		}
	}

	private listOf(page: ProblemPage, item: number, mayLose: boolean): OptionList {
		const at = 2 * (page.options * this.problem.items.length + item) + (mayLose ? 1 : 0);
		const { options, loss, purpose } = this.item(item);
		return (this.lists[at] ??= this.cache.list(
			options[page.options] ?? [],
			mayLose ? loss : undefined,
			purpose
		));
	}
}
