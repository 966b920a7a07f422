import type { Room } from '../../forms';
import type { Rect, Size } from '../../paper';
import { settingOf, type Choice } from '../choices/choices';
import { layoutsOf } from '../choices/layouts-of';
import type { Plan } from '../plan/plan';
import { emptyRects, withGap } from '../choices/space';

/**
 * A block in the free squares around it, no less comfortable than it was planned: tables, boxes, grids and lists grow
 * before anything becomes art (common practice). Its new place, no higher than `tallest`, or the one it had.
 */
export function grown(
	plan: Plan,
	choice: Choice,
	page: Size,
	others: readonly Rect[],
	rect: Rect,
	tallest: number
): Rect {
	const rooms = emptyRects(page, others.map(withGap)).filter((room) => holds(room, rect));
	const setting = settingOf(plan, choice.as, choice.form);
	const sizesIn = (room: Size) =>
		layoutsOf(choice.form, setting, roomOf(room))
			.filter(({ generous }, index) => index === 0 || generous)
			.flatMap(({ room: size, discomfort, generous }) =>
				size.span === 'page' && discomfort <= choice.discomfort ? [{ ...size, generous }] : []
			);
	let best = rect;
	for (const room of rooms)
		for (const { w, h, generous } of sizesIn({ w: room.w, h: Math.min(room.h, tallest) })) {
			// Larger cells may need less of the width.
			const isLess = !generous && (w < rect.w || h < rect.h);
			if (isLess || w * h <= best.w * best.h) continue;
			const [drawn] = sizesIn({ w, h });
			if (drawn?.w === w && drawn.h === h) best = { ...within(room, rect, { w, h }), w, h };
		}
	return best;
}

const roomOf = ({ w, h }: Size): Room => ({ span: 'page', w, h });

function holds(room: Rect, { x, y, w, h }: Rect): boolean {
	return room.x <= x && room.y <= y && x + w <= room.x + room.w && y + h <= room.y + room.h;
}

/** Where a larger size lies inside a room, as near to the old place as it can. */
function within(room: Rect, { x, y }: Rect, { w, h }: Size): { x: number; y: number } {
	return { x: Math.min(x, room.x + room.w - w), y: Math.min(y, room.y + room.h - h) };
}
