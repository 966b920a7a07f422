import type { OptionList } from './option-list';

/** Cheapest total price for each area that suffices for it: areas grow, prices fall. */
export interface Trade {
	readonly areas: readonly number[];
	readonly costs: readonly number[];
}

/** The trade of no members. */
export const nothing: Trade = { areas: [0], costs: [0] };

/** Least price for each area while trades are joined; infinite in between. */
let scratch = new Float64Array();

/** The trade of one member more; areas beyond the largest page are of no use. */
export function joined(list: OptionList, trade: Trade, largest: number): Trade {
	const { options, loss } = list;
	const areas = options.map(({ w, h }) => w * h);
	const costs = options.map(({ cost }) => cost);
	if (loss !== undefined) {
		areas.push(0);
		costs.push(loss);
	}
	return both({ areas, costs }, trade, largest);
}

/** The trade of the members of two; that of the first may be in any order. */
export function both(first: Trade, { areas, costs }: Trade, largest: number): Trade {
	if (scratch.length <= largest) scratch = new Float64Array(largest + 1).fill(Infinity);
	let most = -1;
	for (const [at, step] of first.areas.entries()) {
		const price = first.costs[at] ?? 0;
		for (let index = 0; index < areas.length; index++) {
			const area = step + (areas[index] ?? 0);
			if (area > largest) break;
			const cost = price + (costs[index] ?? 0);
			if (cost < (scratch[area] ?? 0)) scratch[area] = cost;
			if (area > most) most = area;
		}
	}
	const trade: { areas: number[]; costs: number[] } = { areas: [], costs: [] };
	let cheapest = Infinity;
	for (let area = 0; area <= most; area++) {
		const cost = scratch[area] ?? Infinity;
		if (cost >= cheapest) continue;
		cheapest = cost;
		trade.areas.push(area);
		trade.costs.push(cost);
	}
	scratch.fill(Infinity, 0, most + 1);
	return trade;
}

/** Least price at which the members of two trades together take at most this area. */
export function cheapestTogether(one: Trade, other: Trade, area: number): number {
	let least = Infinity;
	let at = other.areas.length - 1;
	for (let index = 0; index < one.areas.length; index++) {
		const left = area - (one.areas[index] ?? 0);
		while (at >= 0 && (other.areas[at] ?? 0) > left) at--;
		if (at < 0) break;
		least = Math.min(least, (one.costs[index] ?? 0) + (other.costs[at] ?? 0));
	}
	return least;
}

/** Least price at which the members take at most this area. */
export function cheapestFor({ areas, costs }: Trade, area: number): number {
	let low = 0;
	let high = areas.length;
	while (low < high) {
		const middle = (low + high) >> 1;
		if ((areas[middle] ?? 0) <= area) low = middle + 1;
		else high = middle;
	}
	return low === 0 ? Infinity : (costs[low - 1] ?? Infinity);
}
