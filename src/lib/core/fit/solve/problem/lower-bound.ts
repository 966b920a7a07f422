import type { Problem, ProblemItem } from './problem';

/** A price that no solution is below, at once: every item at its cheapest, the area it takes paid for. */
export function lowerBound({ items, pages, pageCost }: Problem): number {
	const largest = Math.max(1, ...pages.map(({ w, h }) => w * h));
	const row = (page: number) => (pageCost * (pages[page]?.w ?? 0)) / largest;
	const leastOf = (item: ProblemItem) => {
		let least = item.loss;
		for (const { w, h, cost } of item.options.flat())
			least = Math.min(least, cost + (pageCost * w * h) / largest);
		for (const [page, { pair }] of pages.entries())
			for (const { left, right, cost } of pair === undefined ? [] : (item.spreads[pair] ?? []))
				least = Math.min(least, cost + left * row(page) + right * row(page + 1));
		return least;
	};
	return Math.ceil(items.reduce((sum, item) => sum + leastOf(item), 0) - 1e-6);
}
