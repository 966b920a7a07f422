import type { Size } from '../../src/lib/core/paper';

/**
 * Whether rectangles fit a page, by another road than the planner's: each two of them are left of, right
 * of, above or below each other; a choice for every pair works when the longest chains across and down
 * fit the page. All choices are tried.
 */
export function fitsByRelations(page: Size, sizes: readonly Size[]): boolean {
	if (sizes.some(({ w, h }) => w > page.w || h > page.h)) return false;
	const pairs = sizes.flatMap((_, a) => sizes.slice(a + 1).map((_, offset) => [a, a + 1 + offset]));
	const across: [number, number][] = [];
	const down: [number, number][] = [];
	const longest = (before: readonly [number, number][], lengthOf: (index: number) => number) => {
		const ends = new Map<number, number>();
		const visiting = new Set<number>();
		const end = (index: number): number => {
			const known = ends.get(index);
			if (known !== undefined) return known;
			if (visiting.has(index)) return Infinity;
			visiting.add(index);
			const starts = before.filter(([, later]) => later === index).map(([first]) => end(first));
			visiting.delete(index);
			const own = Math.max(0, ...starts) + lengthOf(index);
			ends.set(index, own);
			return own;
		};
		return Math.max(0, ...sizes.map((_, index) => end(index)));
	};
	const possible = () =>
		longest(across, (index) => sizes[index]?.w ?? 0) <= page.w &&
		longest(down, (index) => sizes[index]?.h ?? 0) <= page.h;
	const choose = (at: number): boolean => {
		const pair = pairs[at];
		if (!pair) return true;
		const [a = 0, b = 0] = pair;
		for (const chain of [across, down])
			for (const order of [
				[a, b],
				[b, a]
			] as [number, number][]) {
				chain.push(order);
				if (possible() && choose(at + 1)) return true;
				chain.pop();
			}
		return false;
	};
	return choose(0);
}
