import type { Size } from '../../paper';
import { cellSize } from '../form/common-rules';
import { cellDiscomfort, type RoomPlace } from '../form/form';
import type { WeekPlace } from './week';
import { weekForm, type WeekArea, type WeekGrid } from './week-form';

/** Boxes as they are drawn on pages of so many squares; on larger ones they are larger. */
const usual = { w: 9, h: 13 };
const usualPage = { w: 28, h: 40 };
/** Boxes of a row; the lower row begins a box further right. */
const each = 4;
const widestGap = 2;
/** A piece of a box narrower than this bears no date. */
const leastPiece = 3;
/** Rooms beside the rows narrower than this hold nothing. */
const leastRoom = 4;

/**
 * A week in two rows of four boxes over both pages, 9 × 13 on pages of 28 × 40 unless asked for: the upper row stands a box
 * further left than the lower one, one box of each lies over the fold, whose squares count towards its width and are lost,
 * and the margins are outside. (Common practice.)
 */
export const weekStaggered = weekForm({
	id: 'week-staggered',
	name: 'Week in staggered boxes',
	spans: ['spread'],
	rules: [cellSize],
	grids: (setting, area) => {
		const asked = cellSize.of(setting);
		const sizes = asked ? [asked] : [largerIn(area), usual, { w: 8, h: 12 }, { w: 7, h: 10 }];
		// One way a room: what is drawn in a smaller one is then the same.
		const grid = sizes.flatMap((size) => gridOf(area, size) ?? [])[0];
		return grid ? [grid] : [];
	}
});

/** A page has three boxes' width of boxes and gaps across, and two boxes down. */
function largerIn({ pages: [left, right] }: WeekArea): Size {
	const columns = Math.min(left.w, right?.w ?? 0) - usualPage.w;
	const rows = Math.min(left.h, right?.h ?? 0) - usualPage.h;
	return {
		w: usual.w + Math.max(0, Math.floor(columns / 3)),
		h: usual.h + Math.max(0, Math.floor(rows / 2))
	};
}

function gridOf({ pages: [left, right], gutter }: WeekArea, { w, h }: Size): WeekGrid | undefined {
	if (!right) return undefined;
	const onLeft = Math.ceil((w - gutter) / 2);
	const onRight = w - gutter - onLeft;
	if (onLeft < leastPiece || onRight < leastPiece) return undefined;
	// Two boxes and a piece stand left of the fold, a piece and two boxes right of it.
	const fits = (there: number, piece: number, gap: number) => 2 * (w + gap) + piece <= there;
	const gap = [widestGap, 1, 0].find(
		(gap) => fits(left.w, onLeft, gap) && fits(right.w, onRight, gap)
	);
	const height = Math.min(left.h, right.h);
	const spare = height - 2 * h;
	if (gap === undefined || spare < 0) return undefined;
	const between = Math.min(4, Math.ceil(spare / 3), spare);
	const top = left.y + Math.floor((spare - between) / 3);
	const lower = top + h + between;
	const fold = left.x + left.w;
	const xs = [
		fold - onLeft - 2 * (w + gap),
		fold - onLeft - (w + gap),
		fold - onLeft,
		right.x + onRight + gap,
		right.x + onRight + gap + w + gap
	];
	const place = (column: number, y: number): WeekPlace => {
		const x = xs[column] ?? 0;
		if (column === 2)
			return [
				{ on: 0, x, y, w: onLeft, h },
				{ on: 1, x: right.x, y, w: onRight, h }
			];
		return [{ on: column < 2 ? 0 : 1, x, y, w, h }];
	};
	const row = (from: number, y: number) =>
		Array.from({ length: each }, (_, index) => place(from + index, y));
	const afterUpper = (xs[each - 1] ?? 0) + w + 1;
	const beside: RoomPlace[] = [
		{ name: 'left', on: 0, x: left.x, y: lower, w: (xs[1] ?? 0) - 1 - left.x, h },
		{
			name: 'right',
			on: 1,
			x: afterUpper,
			y: top,
			w: right.x + right.w - afterUpper,
			h
		}
	];
	return {
		places: [...row(0, top), ...row(1, lower)],
		rooms: beside.filter(({ w }) => w >= leastRoom),
		allRows: true,
		discomfort: cellDiscomfort(Math.min(w, h) - 1),
		facts: { cell: { w, h }, capacity: 2 * each, gap, used: w - gutter },
		why: [
			`two rows of four boxes of ${w} × ${h}, gaps of ${gap}, the lower row a box further right`,
			`one of each row over the fold: ${w} wide, ${onLeft} + ${onRight} = ${w - gutter} drawn`,
			`2 × ${h} + ${between} = ${2 * h + between} of ${height} down`
		]
	};
}
