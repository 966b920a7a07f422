import type { Size } from '../../paper';
import { besideOn, type SpreadChoice } from './options';
import type { Pair } from './pairs';
import { rectsHeld, type Fixed } from './pinned';
import type { Sheet } from '../choices/sheets';
import { emptyRects } from '../choices/space';

/** More rooms than these are corners that another one nearly covers. */
const mostRooms = 6;

/** Sizes of the largest rectangles that what is held on a page leaves of it. */
export function roomsLeft({ page, rooms }: Sheet, fixed: readonly Fixed[]): Size[] {
	const held = rectsHeld(fixed, page.number);
	if (held.length === 0) return rooms.map(({ w, h }) => ({ w, h }));
	const left = rooms.flatMap((room) =>
		emptyRects(
			room,
			held.map((rect) => ({ ...rect, x: rect.x - room.x, y: rect.y - room.y }))
		)
	);
	return largest(left, mostRooms);
}

/** Rooms beside spreads are offered only so many: most are a square wider or higher than another. */
const mostBeside = 2;

/** Sizes of the largest rooms that spreads leave beside them, on the left page of a pair (0) or on the right one (1). */
export function roomsBeside({ all }: Pair, choices: readonly SpreadChoice[], on: 0 | 1): Size[] {
	const page = on === 0 ? all?.left : all?.right;
	if (!page) return [];
	const found = choices.flatMap(({ covers, left, right }) =>
		covers ? besideOn(covers[on], { w: page.w, h: on === 0 ? left : right }) : []
	);
	return largest(found, mostBeside);
}

/** The largest of some sizes, each once. */
function largest(sizes: readonly Size[], most: number): Size[] {
	const unlike = new Map(sizes.map(({ w, h }) => [`${w} ${h}`, { w, h }]));
	return [...unlike.values()].sort((a, b) => b.w * b.h - a.w * a.h).slice(0, most);
}
