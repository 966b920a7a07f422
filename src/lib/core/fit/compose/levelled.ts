import { overlaps, type Rect, type Size } from '../../paper';
import { withGap } from '../choices/space';

/** Rows of a block in which its days stand, counted from its own top. */
export type DayRows = ReadonlyMap<number, number>;

/** So many days in common are no chance. */
const leastInCommon = 7;

/**
 * Blocks that show the same days side by side, one row after the other: the one whose days begin higher goes down, so that
 * a day stands in one row all across the page (common practice). What finds no room for that stays where it is.
 */
export function levelled(
	page: Size,
	taken: readonly Rect[],
	rects: readonly Rect[],
	daysOf: (index: number) => DayRows
): readonly Rect[] {
	const level = [...rects];
	for (const [index, rect] of rects.entries()) {
		const beside = rects.flatMap((other, at) =>
			at !== index && sideBySide(rect, other) ? [at] : []
		);
		if (beside.length === 0) continue;
		const own = daysOf(index);
		const downs = beside.flatMap((at) => {
			const other = rects[at];
			const by = apart(daysOf(at), own);
			return other && by !== undefined ? [other.y + by - rect.y] : [];
		});
		const moved = { ...rect, y: rect.y + Math.max(0, ...downs) };
		const others = [...taken, ...level.filter((_, at) => at !== index)];
		if (moved.y + moved.h <= page.h && !others.some((other) => overlaps(moved, withGap(other))))
			level[index] = moved;
	}
	return level;
}

const sideBySide = (a: Rect, b: Rect) => a.y < b.y + b.h && b.y < a.y + a.h;

/** How many rows lower every day stands in one than in the other; undefined where they are not the same rows. */
function apart(low: DayRows, high: DayRows): number | undefined {
	const shifts = [...low].flatMap(([day, row]) => {
		const other = high.get(day);
		return other === undefined ? [] : [row - other];
	});
	const [shift] = shifts;
	const rows = new Set(low.values()).size;
	if (shifts.length < leastInCommon || rows < leastInCommon) return undefined;
	return shifts.every((one) => one === shift) ? shift : undefined;
}
