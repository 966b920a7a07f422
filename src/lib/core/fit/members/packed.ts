import type { Rect, Size } from '../../paper';
import { within } from '../choices/sheets';
import { leastShare, shapeOf, type Shelves, type SizeOf } from './shelves';
import { solve, type PageOption } from '../solve';

/** Free squares between neighbours, part of each block as the planner packs them. */
const air = 1;
/** More than these are not packed: rows and columns hold them or nothing does. */
const mostPacked = 6;
const loss = 1_000_000;

/**
 * Packs so many members into a room in any way, each as low as it can be at some width: what rows and columns cannot
 * hold, or what must keep clear of what is `taken`, may still fit. The least discomfort wins; undefined where they do not fit at all.
 */
export function packed(
	room: Size,
	count: number,
	sizeOf: SizeOf,
	taken: readonly Rect[] = []
): Shelves | undefined {
	if ((count < 2 && taken.length === 0) || count > mostPacked) return undefined;
	const options = Array.from({ length: count }, (_, member) => lowest(room, member, sizeOf));
	if (options.some((some) => some.length === 0)) return undefined;
	const size = { w: room.w + air, h: room.h + air };
	const obstacles = taken.flatMap(({ x, y, w, h }) =>
		within({ x, y, w: w + air, h: h + air }, { x: 0, y: 0 }, size)
	);
	const page = { ...size, side: 'left', options: 0, obstacles } as const;
	const solving = solve({
		pages: [page],
		items: options.map((some) => ({
			options: [some.map(({ w, h, cost }) => ({ w: w + air, h: h + air, cost }))],
			spreads: [],
			loss,
			filler: false
		})),
		pageCost: 0,
		usedAnyway: 0
	});
	let state = solving.next();
	while (!state.done) state = solving.next();
	const { places, cost } = state.value.best;
	const rects = places.flatMap((place) =>
		place?.span === 'page' ? [{ ...place.rect, w: place.rect.w - air, h: place.rect.h - air }] : []
	);
	if (rects.length < count) return undefined;
	return { discomfort: cost, rects, shape: shapeOf(rects) };
}

/** The least height of a member at each width where it is less than at a smaller one. */
function lowest(room: Size, member: number, sizeOf: SizeOf): PageOption[] {
	const options: PageOption[] = [];
	let least = room.h + 1;
	for (let width = 1; width <= room.w && least > 1; width++) {
		if (!sizeOf(member, { w: width, h: least - 1 })) continue;
		const h = leastShare(least - 1, (height) => sizeOf(member, { w: width, h: height }));
		const size = sizeOf(member, { w: width, h });
		if (!size) continue;
		options.push({ w: size.w, h: size.h, cost: size.discomfort });
		least = h;
	}
	return options;
}
