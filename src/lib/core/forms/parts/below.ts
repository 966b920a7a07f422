import { move, type Mark } from '../../draw';
import type { Size } from '../../paper';
import { ranked, type Form, type Layout, type Room, type Setting } from '../form/form';

/** What stands below a narrow block may be wider than it, up to this width. */
const usualWidth = 16;

/** Something to stand below a block, a free row apart: how high, the sum behind it, and what is drawn. */
export interface Below {
	readonly h: number;
	readonly why: string;
	readonly marks: () => readonly Mark[];
}

/** The room without its lowest rows. */
function lowered(room: Room, rows: number): Room {
	if (room.span === 'page') return { ...room, h: room.h - rows };
	const part = (size: Size) => ({ ...size, h: size.h - rows });
	return { ...room, left: part(room.left), right: part(room.right) };
}

/** The room with its first part of a width. */
function widened(room: Room, w: number): Room {
	return room.span === 'page' ? { ...room, w } : { ...room, left: { ...room.left, w } };
}

function firstPart(room: Room): Size {
	return room.span === 'page' ? room : room.left;
}

/**
 * Ways to rule a form with something below it, a free row apart. It is as wide as the form, or up to 16 squares below a
 * narrow one; how high it is depends on that width, so each of the heights that it may have is tried.
 */
export function layoutsAbove(
	form: Form,
	setting: Setting,
	room: Room,
	heights: readonly number[],
	belowIn: (width: number) => Below | undefined
): readonly Layout[] {
	const layouts: Layout[] = [];
	for (const height of heights) {
		if (height + 1 >= firstPart(room).h) break;
		const answer = form.layouts(setting, lowered(room, height + 1));
		if (answer.length === 0) break;
		for (const layout of answer) {
			// Only what is drawn in this room anyway may be widened: others stay as narrow as they are.
			const mayWiden = room.span === 'page' && layout === answer[0];
			const most = mayWiden ? Math.min(usualWidth, firstPart(room).w) : 0;
			const width = Math.max(firstPart(layout.room).w, most);
			const below = belowIn(width);
			if (below?.h === height) layouts.push(joined(layout, below, width));
		}
	}
	return ranked(layouts);
}

function joined(layout: Layout, below: Below, w: number): Layout {
	const { h } = firstPart(layout.room);
	return {
		...layout,
		room: widened(lowered(layout.room, -below.h - 1), w),
		rooms: layout.rooms?.map((place) =>
			place.y >= h ? { ...place, y: place.y + below.h + 1 } : place
		),
		why: [...layout.why, below.why],
		marks: () => {
			const [first = [], ...rest] = layout.marks();
			const moved = below.marks().map((mark) => move(mark, { x: 0, y: h + 1 }));
			return [[...first, ...moved], ...rest];
		}
	};
}
