import type { Rect, Size } from '../../../paper';
import { areaOf, CornerSearch, type Packing } from './corner-search';
import { swell } from './swell';

const none: Packing = { found: 'none', nodes: 0 };
/** Mostly so few partial packings tell; only else it pays to think first. */
const quickNodes = 40;
/** So few rectangles are tried at once. */
const fewEnough = 4;

/**
 * Packs rectangles into a page of `w` × `h` squares around obstacles with a fixed place, exactly.
 *
 * Pushed left and up as far as they go, the rectangles of any packing can be put in an order in which
 * each lies in an inner corner of the staircase around its predecessors (Martello, Pisinger and Vigo,
 * "The three-dimensional bin packing problem", 2000, for the plane; from memory). So a depth-first
 * search over rectangles and corners finds a packing whenever there is one. Obstacles take their turn in
 * that order like the others. `mostNodes` limits the search.
 */
export function pack(
	page: Size,
	sizes: readonly Size[],
	obstacles: readonly Rect[] = [],
	mostNodes = 100_000
): Packing {
	if (sizes.length === 0) return { found: [], nodes: 0 };
	const given = sizes.map(({ w, h }) => ({ w, h }));
	const free = page.w * page.h - areaOf(obstacles);
	if (given.some(({ w, h }) => w > page.w || h > page.h) || areaOf(given) > free) return none;
	if (conflict(page, given)) return none;
	const quick = new CornerSearch(page, given, obstacles, quickNodes).run(given);
	if (quick.found !== 'unknown') return quick;
	const swollen = obstacles.length === 0 ? swell(page, given) : given;
	if (areaOf(swollen) > free || conflict(page, swollen)) return none;
	if (sizes.length > fewEnough) {
		// Mostly the larger ones are in each other's way already, and they are soon tried.
		const smallest = swollen.reduce((least, size, index) => {
			const other = swollen[least] ?? size;
			return size.w * size.h < other.w * other.h ? index : least;
		}, 0);
		const larger = swollen.filter((_, index) => index !== smallest);
		const { found, nodes } = pack(page, larger, obstacles, mostNodes);
		if (found === 'none') return { found, nodes };
	}
	return new CornerSearch(page, swollen, obstacles, mostNodes).run(given);
}

/** Whether two of them fit neither beside nor below each other, or the long ones stack too high. */
function conflict(page: Size, sizes: readonly Size[]): boolean {
	let wide = 0;
	let high = 0;
	for (const [index, a] of sizes.entries()) {
		if (2 * a.w > page.w) wide += a.h;
		if (2 * a.h > page.h) high += a.w;
		for (let other = 0; other < index; other++) {
			const b = sizes[other];
			if (b && a.w + b.w > page.w && a.h + b.h > page.h) return true;
		}
	}
	return wide > page.h || high > page.w;
}
