import TinyQueue from 'tinyqueue';
import type { Rect, Size } from '../../../paper';
import { joining, sureCompany } from '../problem/company';
import { leastCost, type OptionList } from '../problem/option-list';
import type { Region } from '../problem/region';
import { cheapestFor, type Trade } from '../problem/trade';

/** What one member took: the index of its option, or nothing. */
export type Taken = number | undefined;

/** A partial choice: what the member before `depth` took, and the choice before that. */
interface Node {
	readonly bound: number;
	readonly cost: number;
	readonly area: number;
	readonly depth: number;
	/** How many members are placed, and their purposes. */
	readonly count: number;
	readonly purposes: number;
	readonly option: OptionList['options'][number] | undefined;
	readonly before: Node | undefined;
}

/** Members of a choice that are placed: how many, and what they are for. */
type Placed = Pick<Node, 'count' | 'purposes'>;
const none: Placed = { count: 0, purposes: 0 };

/** What groups ask of whoever keeps prices. */
export interface Prices {
	group(region: Region, lists: readonly OptionList[]): Group;
	/** The trade of price against area for the members from one on. */
	trade(lists: readonly OptionList[], from: number): Trade;
	/** Whether sizes can be packed into a region, and the work of finding out. */
	fits(region: Region, sizes: readonly Size[]): { fits: 'yes' | 'no' | 'unknown'; work: number };
	/** Places for sizes that fit, in their order. */
	rects(region: Region, sizes: readonly Size[]): Rect[];
}

/**
 * The price of having some items share a region: their options chosen so that they can be packed and
 * cost least. Worked out bit by bit: `lower` only rises, until it is `settled`.
 */
export class Group {
	lower: number;
	settled = false;
	/** The best choice once it is settled, unless nothing fits. */
	best: { readonly cost: number; readonly picks: readonly Taken[] } | undefined;
	private readonly free: number;
	/** Whether company has a price here, and those from each member on that are placed for certain. */
	private readonly charged: boolean;
	private readonly sure: readonly Placed[] = [];
	private open = new TinyQueue<Node>([], byPromise);
	private trades: Trade[] | undefined;
	/** Least price among choices whose packing could not be decided. */
	private undecided = Infinity;

	constructor(
		private readonly prices: Prices,
		private readonly region: Region,
		private readonly lists: readonly OptionList[]
	) {
		const { w, h, obstacles } = region;
		this.free = obstacles.reduce((area, rect) => area - rect.w * rect.h, w * h);
		const { purpose, kept } = region.company;
		this.charged = purpose > 0 || kept > 0;
		if (this.charged) this.sure = sureOf(lists);
		this.lower = cheapestFor(prices.trade(lists, 0), this.free) + this.sureFrom(0, none);
		if (this.lower === Infinity) this.settled = true;
	}

	/**
	 * Groups with one member less, at either end, and what that member costs at least. What they cost
	 * bounds this group, provided that they may leave out no less than it.
	 */
	private *smaller(): Generator<{ readonly group: Group; readonly least: number }> {
		const { lists, prices, region } = this;
		if (lists.length < 3) return;
		for (const [member, rest] of [
			[lists[0], lists.slice(1)],
			[lists.at(-1), lists.slice(0, -1)]
		] as const)
			if (member) yield { group: prices.group(region, rest), least: leastCost(member) };
	}

	/** Works on the price for so many choices; hands over the work done after each small piece. */
	*settle(budget: number): Generator<number, void> {
		if (this.settled) return;
		if (!this.trades) {
			this.trades = this.lists.map((_, member) => this.prices.trade(this.lists, member));
			const { lower: bound } = this;
			this.open.push({
				...none,
				bound,
				cost: 0,
				area: 0,
				depth: 0,
				option: undefined,
				before: undefined
			});
		}
		let left = budget;
		for (const { group, least } of this.smaller()) {
			for (const spent of group.settle(left)) {
				left -= spent;
				yield spent;
			}
			this.lower = Math.max(this.lower, group.lower + least);
			if (this.lower === Infinity) {
				this.settled = true;
				this.forget();
			}
			if (left <= 0) return;
		}
		while (!this.settled && left > 0) {
			const spent = this.step();
			left -= spent;
			yield spent;
		}
	}

	/** Takes up the choice that promises most; gives the work done. */
	private step(): number {
		const node = this.open.pop();
		if (!node) {
			this.settled = true;
			this.lower = this.undecided;
			return 1;
		}
		this.lower = Math.max(this.lower, Math.min(node.bound, this.undecided));
		const sizes = sizesOf(node);
		// Members that are still open take at least their narrowest and lowest.
		let count = sizes.length;
		for (let at = node.depth; at < this.lists.length; at++) if (this.lists[at]?.smallest) count++;
		if (count > this.region.most) return 1;
		const { fits, work } = this.prices.fits(this.region, sizes);
		if (fits === 'no') return 1 + work;
		const list = this.lists[node.depth];
		if (list) this.extend(node, sizes, list);
		else this.complete(node, fits);
		return 1 + work;
	}

	/** Where the members of the best choice lie on the page; nothing for one that is left out. */
	places(): readonly (Rect | undefined)[] {
		if (!this.best) return [];
		const sizes = this.best.picks.map((pick, member) =>
			this.lists[member]?.options.find(({ index }) => index === pick)
		);
		const rects = this.prices.rects(
			this.region,
			sizes.filter((size) => size !== undefined)
		);
		let next = 0;
		return sizes.map((size) => {
			const rect = size && rects[next++];
			return rect && { ...rect, y: rect.y + this.region.top };
		});
	}

	private forget(): void {
		this.open = new TinyQueue<Node>([], byPromise);
	}

	private bound(member: number, cost: number, area: number, placed: Placed): number {
		const trade = this.trades?.[member];
		if (!trade) return cost;
		const least = cost + cheapestFor(trade, area);
		return this.charged ? least + this.sureFrom(member, placed) : least;
	}

	/** What those members from one on that cannot be left out cost at least in company. */
	private sureFrom(member: number, placed: Placed): number {
		const { host, company } = this.region;
		return sureCompany(company, host, placed, this.sure[member] ?? none);
	}

	private extend(node: Node, sizes: readonly Size[], list: OptionList): void {
		const depth = node.depth + 1;
		const left = this.free - node.area;
		const { w: pageW, h: pageH, most, host, company } = this.region;
		const joins = this.charged ? joining(company, host, node, list.purpose) : 0;
		const placed = { count: node.count + 1, purposes: node.purposes | list.purpose };
		if (sizes.length < most)
			for (const option of list.options) {
				const { w, h } = option;
				if (w > pageW || h > pageH || w * h > left) continue;
				// Each two must fit beside or below each other.
				if (sizes.some((other) => w + other.w > pageW && h + other.h > pageH)) continue;
				const cost = node.cost + option.cost + joins;
				const bound = this.bound(depth, cost, left - w * h, placed);
				if (bound === Infinity) continue;
				const area = node.area + w * h;
				const { count, purposes } = placed;
				this.open.push({ bound, cost, area, depth, count, purposes, option, before: node });
			}
		if (list.loss !== undefined) {
			const cost = node.cost + list.loss;
			const bound = this.bound(depth, cost, left, node);
			const { area, count, purposes } = node;
			if (bound < Infinity)
				this.open.push({
					bound,
					cost,
					area,
					depth,
					count,
					purposes,
					option: undefined,
					before: node
				});
		}
	}

	private complete(node: Node, fits: 'yes' | 'unknown'): void {
		if (fits === 'unknown') {
			this.undecided = Math.min(this.undecided, node.cost);
			return;
		}
		const picks: Taken[] = [];
		for (let at: Node = node; at.before; at = at.before) picks.unshift(at.option?.index);
		this.best = { cost: node.cost, picks };
		this.settled = true;
		this.lower = Math.min(node.cost, this.undecided);
		this.forget();
	}
}

/** For each place in a row of members those from it on that cannot be left out. */
function sureOf(lists: readonly OptionList[]): Placed[] {
	const sure: Placed[] = [];
	let { count, purposes } = none;
	for (let at = lists.length - 1; at >= 0; at--) {
		const list = lists[at];
		if (list?.smallest) {
			count++;
			purposes |= list.purpose;
		}
		sure[at] = { count, purposes };
	}
	return sure;
}

function sizesOf(node: Node): Size[] {
	const sizes: Size[] = [];
	for (let at: Node | undefined = node; at; at = at.before) if (at.option) sizes.push(at.option);
	return sizes;
}

/** The least bound first; among equals the choice with more members, so that depth wins. */
function byPromise(a: Node, b: Node): number {
	return a.bound - b.bound || b.depth - a.depth;
}
