import type { ProblemItem } from './problem';

/** Fillers that can stand for each other. */
interface Sort {
	readonly items: readonly number[];
}

/**
 * Fillers by sorts, and how many of each sort are still to be placed, as one whole number: the count of
 * the first sort, plus that of the second times its radix, and so on.
 */
export class Fillers {
	readonly sorts: readonly Sort[];
	/** All of them. */
	readonly all: number;
	private readonly radices: readonly number[];

	constructor(items: readonly ProblemItem[], fillers: readonly number[]) {
		const sorts = new Map<string, number[]>();
		for (const index of fillers) {
			const item = items[index];
			if (!item) continue;
			const name = JSON.stringify([item.options, item.spreads, item.loss]);
			sorts.set(name, [...(sorts.get(name) ?? []), index]);
		}
		this.sorts = [...sorts.values()].map((found) => ({ items: found }));
		let radix = 1;
		this.radices = this.sorts.map((sort) => {
			const own = radix;
			radix *= sort.items.length + 1;
			return own;
		});
		this.all = radix - 1;
	}

	code(counts: readonly number[]): number {
		return counts.reduce((sum, count, sort) => sum + count * (this.radices[sort] ?? 0), 0);
	}

	/** One filler of a sort. */
	one(sort: number): number {
		return this.radices[sort] ?? 0;
	}

	count(code: number, sort: number): number {
		const most = this.sorts[sort]?.items.length ?? 0;
		return Math.floor(code / (this.radices[sort] ?? 1)) % (most + 1);
	}

	/** What is left when some are taken; -1 where there are not so many. */
	without(code: number, taken: number): number {
		if (taken === 0) return code;
		if (taken > code) return -1;
		for (let sort = 0; sort < this.sorts.length; sort++)
			if (this.count(taken, sort) > this.count(code, sort)) return -1;
		return code - taken;
	}
}
