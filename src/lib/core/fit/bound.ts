import type { Room } from '../forms';
import { plannablePages } from '../paper';
import { choicesIn } from './choices';
import type { Aim, Block, Plan } from './plan';
import type { Sheet } from './sheets';

/** What one more page costs against discomfort, by aim. */
export const pageWeight: Record<Aim, number> = {
	'fewest-pages': 10_000,
	balanced: 40,
	roomiest: 1
};

/** More than any wish can gain in comfort and pages: what a lost wish costs at most. */
export function lossWeight(plan: Plan): number {
	const pages = plannablePages(plan.notebook).length;
	return pageWeight[plan.aim] * pages + 100 * plan.wishes.length;
}

/**
 * How much cheaper a run could be at most: its cost less what no run can do without, namely every
 * wish at its most comfortable and as many pages as the smallest areas fill.
 */
export function boundOf(
	plan: Plan,
	sheets: readonly Sheet[],
	blocks: readonly Block[],
	lost: number,
	used: number
): number {
	const largest = {
		w: Math.max(...sheets.map(({ size }) => size.w)),
		h: Math.max(...sheets.map(({ size }) => size.h))
	};
	let area = 0;
	let comfort = 0;
	for (const block of blocks) {
		const wish = plan.wishes.find(({ id }) => id === block.wish);
		if (!wish) continue;
		// No page offers more than the largest, so nothing fits better anywhere.
		const rooms: Room[] = [
			{ span: 'page', ...(wish.size ?? largest) },
			{ span: 'spread', left: largest, right: largest, gutter: plan.notebook.gutter }
		];
		const sizes = rooms.flatMap((room) => choicesIn(plan, wish, room).choices);
		area += Math.min(areaOf(block.room), ...sizes.map((choice) => areaOf(choice.room)));
		comfort += Math.min(block.discomfort, ...sizes.map((choice) => choice.discomfort));
	}
	const weight = pageWeight[plan.aim];
	const least = comfort + weight * Math.ceil(area / (largest.w * largest.h));
	const cost = blocks.reduce((sum, block) => sum + block.discomfort, 0) + weight * used;
	return cost - least + lost * lossWeight(plan);
}

function areaOf(room: Room): number {
	return room.span === 'page'
		? room.w * room.h
		: room.left.w * room.left.h + room.right.w * room.right.h;
}
