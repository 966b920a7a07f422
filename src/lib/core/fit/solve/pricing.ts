import type { Rect, Size } from '../../paper';
import { pack } from './packing';
import { mostOnPage, type PageOption } from './problem';

/** A rectangle of a page that items share, and how many wishes it may hold. */
export interface Region extends Size {
	/** Rows above it that are taken. */
	readonly top: number;
	readonly obstacles: readonly Rect[];
	readonly most: number;
	readonly key: string;
}

/** The part of a page below `top`, with the obstacles that lie there. */
export function regionOf(page: Size, top: number, all: readonly Rect[], taken: number): Region {
	const obstacles = all
		.filter(({ y, h }) => y + h > top)
		.map(({ x, y, w, h }) => ({ x, y: Math.max(0, y - top), w, h: h - Math.max(0, top - y) }));
	const most = mostOnPage - taken;
	const places = obstacles.map(({ x, y, w, h }) => [x, y, w, h].join()).join(' ');
	const h = page.h - top;
	return { w: page.w, h, top, obstacles, most, key: `${page.w}×${h} ${most} ${places}` };
}

/** Options of one member of a group, the cheapest first; kept once for each content. */
export interface OptionList {
	readonly key: number;
	readonly options: readonly (PageOption & { readonly index: number })[];
	/** Price of leaving the member out, where that is allowed. */
	readonly loss: number | undefined;
	/** Least area that it takes. */
	readonly least: number;
	/** Area of its cheapest option. */
	readonly usual: number;
	/** Least width and least height of its options, unless it may be left out. */
	readonly smallest: Size | undefined;
}

/** What one member took: the index of its option, or nothing. */
export type Pick = number | undefined;

/** Cheapest total price for each area that suffices for it: areas grow, prices fall. */
interface Trade {
	readonly areas: readonly number[];
	readonly costs: readonly number[];
}

/** A partial choice: what the member before `depth` took, and the choice before that. */
interface Node {
	readonly bound: number;
	readonly cost: number;
	readonly area: number;
	readonly depth: number;
	readonly option: OptionList['options'][number] | undefined;
	readonly before: Node | undefined;
}

/**
 * The price of having some items share a region: their options chosen so that they can be packed and
 * cost least. Worked out bit by bit: `lower` only rises, until it is `settled`.
 */
export class Group {
	lower: number;
	settled = false;
	/** The best choice once it is settled, unless nothing fits. */
	best: { readonly cost: number; readonly picks: readonly Pick[] } | undefined;
	private readonly free: number;
	private readonly open: Node[] = [];
	private trades: Trade[] | undefined;
	/** Least price among choices whose packing could not be decided. */
	private undecided = Infinity;

	constructor(
		private readonly cache: PackingCache,
		private readonly region: Region,
		private readonly lists: readonly OptionList[]
	) {
		const { w, h, obstacles } = region;
		this.free = obstacles.reduce((area, rect) => area - rect.w * rect.h, w * h);
		this.lower = cheapestFor(cache.trade(lists), this.free);
		if (this.lower === Infinity) this.settled = true;
	}

	/**
	 * Groups with one member less, at either end, and what that member costs at least. What they cost
	 * bounds this group, provided that they may leave out no less than it.
	 */
	private *smaller(): Generator<{ readonly group: Group; readonly least: number }> {
		const { lists, cache, region } = this;
		if (lists.length < 3) return;
		for (const [member, rest] of [
			[lists[0], lists.slice(1)],
			[lists.at(-1), lists.slice(0, -1)]
		] as const)
			if (member) yield { group: cache.group(region, rest), least: leastCost(member) };
	}

	/** Works on the price for so many choices; gives the work done. */
	settle(budget: number): number {
		if (this.settled) return 0;
		if (!this.trades) {
			this.trades = this.lists.map((_, member) => this.cache.trade(this.lists.slice(member)));
			const { lower: bound } = this;
			push(this.open, { bound, cost: 0, area: 0, depth: 0, option: undefined, before: undefined });
		}
		let work = 0;
		for (const { group, least } of this.smaller()) {
			if (work >= budget) break;
			work += group.settle(budget);
			this.lower = Math.max(this.lower, group.lower + least);
			if (this.lower === Infinity) {
				this.settled = true;
				this.open.length = 0;
			}
		}
		while (!this.settled && work < budget) {
			const node = pop(this.open);
			work++;
			if (!node) {
				this.settled = true;
				this.lower = this.undecided;
				break;
			}
			this.lower = Math.max(this.lower, Math.min(node.bound, this.undecided));
			const sizes = sizesOf(node);
			// Members that are still open take at least their narrowest and lowest.
			const least = this.lists.slice(node.depth).flatMap((list) => list.smallest ?? []);
			if (sizes.length + least.length > this.region.most) continue;
			const { fits, work: packed } = this.cache.fits(this.region, sizes);
			work += packed;
			if (fits === 'no') continue;
			const list = this.lists[node.depth];
			if (list) this.extend(node, sizes, list);
			else this.complete(node, fits);
		}
		return work;
	}

	/** Where the members of the best choice lie on the page; nothing for one that is left out. */
	places(): readonly (Rect | undefined)[] {
		if (!this.best) return [];
		const sizes = this.best.picks.map((pick, member) =>
			this.lists[member]?.options.find(({ index }) => index === pick)
		);
		const rects = this.cache.rects(
			this.region,
			sizes.filter((size) => size !== undefined)
		);
		let next = 0;
		return sizes.map((size) => {
			const rect = size && rects[next++];
			return rect && { ...rect, y: rect.y + this.region.top };
		});
	}

	private bound(member: number, cost: number, area: number): number {
		const trade = this.trades?.[member];
		return trade ? cost + cheapestFor(trade, area) : cost;
	}

	private extend(node: Node, sizes: readonly Size[], list: OptionList): void {
		const depth = node.depth + 1;
		const left = this.free - node.area;
		const { w: pageW, h: pageH, most } = this.region;
		if (sizes.length < most)
			for (const option of list.options) {
				const { w, h } = option;
				if (w > pageW || h > pageH || w * h > left) continue;
				// Each two must fit beside or below each other.
				if (sizes.some((other) => w + other.w > pageW && h + other.h > pageH)) continue;
				const cost = node.cost + option.cost;
				const bound = this.bound(depth, cost, left - w * h);
				if (bound === Infinity) continue;
				push(this.open, { bound, cost, area: node.area + w * h, depth, option, before: node });
			}
		if (list.loss !== undefined) {
			const cost = node.cost + list.loss;
			const bound = this.bound(depth, cost, left);
			if (bound < Infinity)
				push(this.open, { bound, cost, area: node.area, depth, option: undefined, before: node });
		}
	}

	private complete(node: Node, fits: 'yes' | 'unknown'): void {
		if (fits === 'unknown') {
			this.undecided = Math.min(this.undecided, node.cost);
			return;
		}
		const picks: Pick[] = [];
		for (let at: Node = node; at.before; at = at.before) picks.unshift(at.option?.index);
		this.best = { cost: node.cost, picks };
		this.settled = true;
		this.lower = Math.min(node.cost, this.undecided);
		this.open.length = 0;
	}
}

function leastCost({ options, loss }: OptionList): number {
	return Math.min(options[0]?.cost ?? Infinity, loss ?? Infinity);
}

function sizesOf(node: Node): Size[] {
	const sizes: Size[] = [];
	for (let at: Node | undefined = node; at; at = at.before) if (at.option) sizes.push(at.option);
	return sizes;
}

/** Prices and packings by content: what was worked out for one run serves the next. */
export class PackingCache {
	private readonly packings = new Map<string, readonly Rect[] | 'none' | 'unknown'>();
	private readonly lists = new Map<string, OptionList>();
	private readonly trades = new Map<string, Trade>();
	private readonly groups = new Map<string, Group>();

	/** Area of the largest page. */
	private largest = 0;

	constructor(private readonly mostKept = 60_000) {}

	/** Makes ready for pages of up to this area; forgets what is too much or was for smaller pages. */
	prepare(largest: number): void {
		const kept = this.packings.size + this.groups.size + this.trades.size;
		if (kept <= this.mostKept && largest <= this.largest) return;
		this.largest = Math.max(largest, this.largest);
		for (const kept of [this.packings, this.lists, this.trades, this.groups]) kept.clear();
	}

	list(options: readonly PageOption[], loss: number | undefined): OptionList {
		const name = `${loss} ${options.map(({ w, h, cost }) => [w, h, cost].join()).join(' ')}`;
		let list = this.lists.get(name);
		if (!list) {
			const indexed = options.map((option, index) => ({ ...option, index }));
			indexed.sort((a, b) => a.cost - b.cost || a.w * a.h - b.w * b.h);
			const least = loss === undefined ? Math.min(...options.map(({ w, h }) => w * h)) : 0;
			const usual = indexed[0] ? indexed[0].w * indexed[0].h : 0;
			const smallest = {
				w: Math.min(...options.map(({ w }) => w)),
				h: Math.min(...options.map(({ h }) => h))
			};
			list = {
				key: this.lists.size,
				options: indexed,
				loss,
				least,
				usual,
				smallest: loss === undefined ? smallest : undefined
			};
			this.lists.set(name, list);
		}
		return list;
	}

	group(region: Region, lists: readonly OptionList[]): Group {
		const name = `${region.key} ${region.top}:${lists.map(({ key }) => key).join()}`;
		let group = this.groups.get(name);
		if (!group) {
			group = new Group(this, region, lists);
			this.groups.set(name, group);
		}
		return group;
	}

	/** The trade of price against area for some members together. */
	trade(lists: readonly OptionList[]): Trade {
		const [first, ...rest] = lists;
		if (!first) return { areas: [0], costs: [0] };
		const name = lists.map(({ key }) => key).join();
		let trade = this.trades.get(name);
		if (!trade) {
			trade = joined(first, this.trade(rest), this.largest);
			this.trades.set(name, trade);
		}
		return trade;
	}

	fits(region: Region, sizes: readonly Size[]): { fits: 'yes' | 'no' | 'unknown'; work: number } {
		if (sizes.length < 2 && region.obstacles.length === 0) return { fits: 'yes', work: 0 };
		const name = nameOf(region, sizes);
		let kept = this.packings.get(name);
		let work = 0;
		if (kept === undefined) {
			kept = pack(region, sizes, region.obstacles).found;
			work = 5;
			this.packings.set(name, kept);
		}
		if (kept === 'none') return { fits: 'no', work };
		return { fits: kept === 'unknown' ? 'unknown' : 'yes', work };
	}

	/** Places for sizes that fit, in their order. */
	rects(region: Region, sizes: readonly Size[]): Rect[] {
		const name = nameOf(region, sizes);
		const kept = this.packings.get(name) ?? pack(region, sizes, region.obstacles).found;
		if (typeof kept === 'string') throw new RangeError('these sizes were not packed');
		const left = [...kept];
		return sizes.map(({ w, h }) => {
			const at = left.findIndex((rect) => rect.w === w && rect.h === h);
			const [rect] = left.splice(at, 1);
			if (!rect) throw new RangeError('a packed size is missing');
			return rect;
		});
	}
}

function nameOf(region: Region, sizes: readonly Size[]): string {
	const codes = sizes.map(({ w, h }) => w * 1024 + h).sort((a, b) => a - b);
	return `${region.key}:${codes.join()}`;
}

/** The trade of one member more; areas beyond the largest page are of no use. */
function joined(list: OptionList, trade: Trade, largest: number): Trade {
	const least = new Float64Array(largest + 1).fill(Infinity);
	const add = (step: number, price: number) => {
		for (let index = 0; index < trade.areas.length; index++) {
			const area = step + (trade.areas[index] ?? 0);
			if (area > largest) break;
			const cost = price + (trade.costs[index] ?? 0);
			if (cost < (least[area] ?? 0)) least[area] = cost;
		}
	};
	for (const { w, h, cost } of list.options) add(w * h, cost);
	if (list.loss !== undefined) add(0, list.loss);
	const areas: number[] = [];
	const costs: number[] = [];
	let cheapest = Infinity;
	for (let area = 0; area <= largest; area++) {
		const cost = least[area] ?? Infinity;
		if (cost >= cheapest) continue;
		cheapest = cost;
		areas.push(area);
		costs.push(cost);
	}
	return { areas, costs };
}

/** Least price at which the members take at most this area. */
function cheapestFor({ areas, costs }: Trade, area: number): number {
	let low = 0;
	let high = areas.length;
	while (low < high) {
		const middle = (low + high) >> 1;
		if ((areas[middle] ?? 0) <= area) low = middle + 1;
		else high = middle;
	}
	return low === 0 ? Infinity : (costs[low - 1] ?? Infinity);
}

/** A heap by bound; among equals the choice with more members comes first, so that depth wins. */
function before(a: Node, b: Node): boolean {
	return a.bound < b.bound || (a.bound === b.bound && a.depth > b.depth);
}

function push(heap: Node[], node: Node): void {
	let at = heap.length;
	heap.push(node);
	while (at > 0) {
		const up = (at - 1) >> 1;
		const parent = heap[up];
		if (!parent || !before(node, parent)) break;
		heap[at] = parent;
		at = up;
	}
	heap[at] = node;
}

function pop(heap: Node[]): Node | undefined {
	const top = heap[0];
	const last = heap.pop();
	if (!top || !last || heap.length === 0) return top;
	let at = 0;
	for (;;) {
		let child = 2 * at + 1;
		const right = heap[child + 1];
		const left = heap[child];
		if (!left) break;
		if (right && before(right, left)) child++;
		const next = heap[child];
		if (!next || !before(next, last)) break;
		heap[at] = next;
		at = child;
	}
	heap[at] = last;
	return top;
}
