import type { ProblemItem } from './problem';

/** Fillers that can stand for each other. */
interface Sort {
	readonly items: readonly number[];
	/** The stretch of the order that they belong to, by places in it. */
	readonly from: number;
	readonly to: number;
}

/** What fillers have in common that can stand for each other. */
export function sortOf({ options, spreads, loss, purpose, keeps, stretch }: ProblemItem): string {
	return JSON.stringify([options, spreads, loss, purpose, keeps, stretch]);
}

/**
 * Fillers by sorts, and how many of each sort are still to be placed, as one whole number: each count has bits of its
 * own, and above them one that stays clear, so that counts are taken from each other all at once.
 */
export class Fillers {
	readonly sorts: readonly Sort[];
	/** All of them. */
	readonly all: number;
	/** Where the bits of a sort begin, and those that stay clear. */
	private readonly shifts: readonly number[];
	private readonly clear: number;
	/** Whether any belongs to a stretch. */
	private readonly bounded: boolean;

	/** `order` are the other items, by their indices. */
	constructor(items: readonly ProblemItem[], fillers: readonly number[], order: readonly number[]) {
		const placeOf = (index: number) => order.filter((item) => item < index).length;
		const sorts = new Map<string, number[]>();
		for (const index of fillers) {
			const item = items[index];
			if (!item) continue;
			const name = sortOf(item);
			sorts.set(name, [...(sorts.get(name) ?? []), index]);
		}
		this.sorts = [...sorts.values()].map((found) => {
			const { stretch } = items[found[0] ?? -1] ?? {};
			if (!stretch) return { items: found, from: 0, to: Infinity };
			return { items: found, from: placeOf(stretch.from), to: placeOf(stretch.to) };
		});
		this.bounded = this.sorts.some(({ from, to }) => from > 0 || to < Infinity);
		let shift = 0;
		let clear = 0;
		this.shifts = this.sorts.map(({ items: { length } }) => {
			const own = shift;
			shift += bitsOf(length) + 1;
			clear += 2 ** (shift - 1);
			return own;
		});
		if (shift > 30) throw new RangeError(`fillers of too many sorts: ${this.sorts.length}`);
		this.clear = clear;
		this.all = this.code(this.sorts.map((sort) => sort.items.length));
	}

	code(counts: readonly number[]): number {
		return counts.reduce((sum, count, sort) => sum + count * this.one(sort), 0);
	}

	/** One filler of a sort. */
	one(sort: number): number {
		return 1 << (this.shifts[sort] ?? 0);
	}

	count(code: number, sort: number): number {
		const bits = bitsOf(this.sorts[sort]?.items.length ?? 0);
		return (code >> (this.shifts[sort] ?? 0)) & ((1 << bits) - 1);
	}

	/** How many items of the order must be decided by the end of the page that some fillers stand on. */
	from(counts: readonly number[]): number {
		if (!this.bounded) return 0;
		return Math.max(
			0,
			...counts.map((count, sort) => (count > 0 ? (this.sorts[sort]?.from ?? 0) : 0))
		);
	}

	/** Sorts that may stand on no page after one where an item at a place in the order stands, as bits. */
	closedBy(place: number): number {
		if (!this.bounded) return 0;
		return this.sorts.reduce((mask, { to }, sort) => (place >= to ? mask | (1 << sort) : mask), 0);
	}

	/** Whether some of those taken are of a sort among these bits. */
	anyOf(taken: number, sorts: number): boolean {
		if (sorts === 0) return false;
		return this.sorts.some((_, sort) => sorts & (1 << sort) && this.count(taken, sort) > 0);
	}

	/** What is left when some are taken; -1 where there are not so many. */
	without(code: number, taken: number): number {
		const left = (code | this.clear) - taken;
		return (left & this.clear) === this.clear ? left ^ this.clear : -1;
	}
}

/** Bits that a count up to this takes. */
function bitsOf(most: number): number {
	return 32 - Math.clz32(most);
}
