import type { Problem, ProblemItem } from './problem';

/** A price that no solution is below, at once: every item at its cheapest, the area it takes paid for. */
export function lowerBound({ items, pages, pageCost }: Problem): number {
	const largest = Math.max(1, ...pages.map(({ w, h }) => w * h));
	const area = (squares: number) => (pageCost * squares) / largest;
	const width = (page: number) => pages[page]?.w ?? 0;
	const leastOf = (item: ProblemItem) => {
		let least = item.loss;
		for (const { w, h, cost } of item.options.flat()) least = Math.min(least, cost + area(w * h));
		for (const [page, { pair }] of pages.entries())
			for (const { left, right, cost, covers } of pair === undefined
				? []
				: (item.spreads[pair] ?? [])) {
				// What leaves room beside it takes only what it covers.
				const taken = covers
					? covers.flat().reduce((sum, { w, h }) => sum + w * h, 0)
					: left * width(page) + right * width(page + 1);
				least = Math.min(least, cost + area(taken));
			}
		return least;
	};
	return Math.ceil(items.reduce((sum, item) => sum + leastOf(item), 0) - 1e-6);
}
