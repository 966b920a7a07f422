import type { Fillers } from '../problem/fillers';
import { mostKept, type Groups } from '../pages/groups';
import type { Problem } from '../problem/problem';
import type { Step } from '../pages/steps';
import { both, cheapestFor, cheapestTogether, type Trade } from '../problem/trade';

/** Items up to a place in the order, and fillers, that lie on one page beside a spread. */
type Together = Pick<Step, 'to' | 'taken' | 'price'>;

/** What may lie on a page beside a spread, by area alone. */
export class Besides {
	/** What lies together on an area, by where it begins, the area, and the item that does not. */
	private readonly together = new Map<string, readonly Together[]>();
	private readonly areas = new Map<number, number>();
	/** Fillers that may share a page, as codes, and their price for each area. */
	private readonly counts: readonly { readonly code: number; readonly trade: Trade }[];

	constructor(
		private readonly problem: Problem,
		private readonly order: readonly number[],
		private readonly groups: Groups,
		private readonly fillers: Fillers
	) {
		this.counts = this.listCounts();
	}

	/**
	 * Items from a place in the order on, and fillers, that take no more than an area. The item at
	 * `carried` is not among them.
	 */
	within(next: number, free: number, carried: number): readonly Together[] {
		const name = `${next} ${free} ${carried}`;
		const known = this.together.get(name);
		if (known) return known;
		const found: Together[] = [];
		for (let to = next; to <= this.order.length && to - next <= mostKept; to++) {
			const items = this.tradeWithout(next, to, carried);
			const before = found.length;
			for (const { code, trade } of this.counts) {
				const price = cheapestTogether(trade, items, free);
				if (price < Infinity) found.push({ to, taken: code, price });
			}
			if (found.length === before) break;
		}
		this.together.set(name, found);
		return found;
	}

	/** The trade of items of the order, the one at `carried` aside. */
	private tradeWithout(from: number, to: number, carried: number): Trade {
		if (carried < from || carried >= to) return this.groups.tradeOf(from, to);
		const before = this.groups.tradeOf(from, carried);
		return both(before, this.groups.tradeOf(carried + 1, to), this.largest(0));
	}

	/** Area of the largest page below some rows. */
	largest(top: number): number {
		let area = this.areas.get(top);
		if (area === undefined) {
			area = Math.max(0, ...this.problem.pages.map(({ w, h }) => w * (h - top)));
			this.areas.set(top, area);
		}
		return area;
	}

	private listCounts() {
		const free = this.largest(0);
		let counts: number[][] = [[]];
		for (const { items } of this.fillers.sorts)
			counts = counts
				.flatMap((count) => Array.from({ length: items.length + 1 }, (_, more) => [...count, more]))
				.filter((count) => cheapestFor(this.groups.tradeOfFillers(count), free) < Infinity);
		return counts.map((count) => ({
			code: this.fillers.code(count),
			trade: this.groups.tradeOfFillers(count)
		}));
	}
}
