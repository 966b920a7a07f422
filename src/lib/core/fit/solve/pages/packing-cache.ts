import type { Rect, Size } from '../../../paper';
import type { Packing } from '../packing/corner-search';
import { Group, type Prices } from './group';
import { charge, counted, used, type Remembered } from '../counted/meter';
import type { OptionList } from '../problem/option-list';
import { pack } from '../packing/packing';
import type { PageOption } from '../problem/problem';
import type { Region } from '../problem/region';
import { joined, nothing, type Trade } from '../problem/trade';

/** What a node of a packing counts for, in choices tried. */
const perNode = 2;

/** What became of packing some sizes, and what it took. */
interface Packed {
	readonly found: Packing['found'];
	readonly took: Remembered;
}

/** Members in a row, found from the last one on. */
interface Row {
	readonly trade: Trade;
	readonly groups: Map<string, Group>;
	/** By the key of one member more. */
	readonly longer: Map<number, Row>;
}

function emptyRow(trade: Trade): Row {
	return { trade, groups: new Map(), longer: new Map() };
}

/** Prices and packings by content: what was worked out for one run serves the next. */
export class PackingCache implements Prices {
	private readonly packings = new Map<string, Packed>();
	private readonly lists = new Map<string, OptionList>();
	/** Counts on when what is kept is forgotten: a search that began before still holds lists. */
	private nextKey = 0;
	private rows = emptyRow(nothing);
	private kept = 0;
	/** Area of the largest page. */
	private largest = 0;

	constructor(private readonly mostKept = 60_000) {}

	/** Makes ready for pages of up to this area; forgets what is too much or was for smaller pages. */
	prepare(largest: number): void {
		if (this.packings.size + this.kept <= this.mostKept && largest <= this.largest) return;
		this.largest = Math.max(largest, this.largest);
		this.packings.clear();
		this.lists.clear();
		this.rows = emptyRow(nothing);
		this.kept = 0;
	}

	list(options: readonly PageOption[], loss: number | undefined, purpose = 0): OptionList {
		const name = `${loss} ${purpose} ${options.map(({ w, h, cost }) => [w, h, cost].join()).join(' ')}`;
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
				key: this.nextKey++,
				options: indexed,
				loss,
				purpose,
				least,
				usual,
				smallest: loss === undefined ? smallest : undefined
			};
			this.lists.set(name, list);
		}
		return list;
	}

	group(region: Region, lists: readonly OptionList[]): Group {
		const { groups } = this.row(lists, 0);
		const { key: place, top, host, company } = region;
		const key = `${place} ${top} ${host} ${company.purpose} ${company.kept}`;
		let group = groups.get(key);
		if (!group) {
			group = new Group(this, region, lists);
			groups.set(key, group);
			this.kept++;
		}
		return group;
	}

	trade(lists: readonly OptionList[], from: number): Trade {
		return this.row(lists, from).trade;
	}

	private row(lists: readonly OptionList[], from: number): Row {
		let row = this.rows;
		for (let at = lists.length - 1; at >= from; at--) {
			const list = lists[at];
			if (!list) break;
			let longer: Row | undefined = row.longer.get(list.key);
			if (!longer) {
				longer = emptyRow(joined(list, row.trade, this.largest));
				row.longer.set(list.key, longer);
				this.kept++;
			}
			row = longer;
		}
		return row;
	}

	fits(region: Region, sizes: readonly Size[]): { fits: 'yes' | 'no' | 'unknown'; work: number } {
		if (sizes.length < 2 && region.obstacles.length === 0) return { fits: 'yes', work: 0 };
		const name = nameOf(region, sizes);
		let kept = this.packings.get(name);
		let work = 0;
		if (!kept) {
			const { value, took } = counted(`packing ${name}`, () => {
				const packing = pack(region, sizes, region.obstacles);
				charge(perNode * packing.nodes);
				return packing;
			});
			kept = { found: value.found, took };
			work = 5 + value.nodes / 8;
			this.packings.set(name, kept);
		}
		used(kept.took);
		if (kept.found === 'none') return { fits: 'no', work };
		return { fits: kept.found === 'unknown' ? 'unknown' : 'yes', work };
	}

	rects(region: Region, sizes: readonly Size[]): Rect[] {
		const name = nameOf(region, sizes);
		const kept = this.packings.get(name)?.found ?? pack(region, sizes, region.obstacles).found;
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
