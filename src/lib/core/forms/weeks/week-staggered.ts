import type { Rect, Size } from '../../paper';
import { cellSize } from '../form/common-rules';
import { cellDiscomfort, type RoomPlace, type Setting } from '../form/form';
import { choiceRule } from '../form/rule';
import type { WeekPlace } from './week';
import { weekForm, type WeekArea, type WeekGrid } from './week-form';

/** Boxes as they are drawn on pages of so many squares; on larger ones they are larger. */
const usual = { w: 9, h: 13 };
const usualPage = { w: 28, h: 40 };
/** Boxes of a row; one of the rows begins a box further right. */
const each = 4;
const widestGap = 2;
/** A piece of a box narrower than this bears no date. */
const leastPiece = 3;
/** Rooms beside the rows narrower than this hold nothing. */
const leastRoom = 4;

const upperRow = choiceRule({
	name: 'upperRow',
	label: 'The upper row stands',
	options: [
		['left', 'further left'],
		['right', 'further right']
	],
	usual: 'left'
});

const eighth = choiceRule({
	name: 'eighth',
	label: 'The eighth box',
	options: [
		['drawn', 'drawn, for something else'],
		['free', 'left out, its place is free']
	],
	usual: 'drawn'
});

/**
 * A week in two rows of four boxes over both pages, 9 × 13 on pages of 28 × 40 unless asked for: the rows stand a box apart,
 * one box of each lies over the fold, whose squares count towards its width and are lost, and the margins are outside. What
 * the rows leave free, down to the foot of the page or up to its head, is a room on either page; without the eighth box the one
 * beside it is as high as the page. (Common practice.)
 */
export const weekStaggered = weekForm({
	id: 'week-staggered',
	name: 'Week in staggered boxes',
	spans: ['spread'],
	rules: [cellSize, upperRow, eighth],
	grids: (setting, area) => {
		const asked = cellSize.of(setting);
		const sizes = asked ? [asked] : [largerIn(area), usual, { w: 8, h: 12 }, { w: 7, h: 10 }];
		// One way a room: what is drawn in a smaller one is then the same.
		const grid = sizes.flatMap((size) => gridOf(setting, area, size) ?? [])[0];
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

function gridOf(
	setting: Setting,
	{ pages: [left, right], gutter }: WeekArea,
	{ w, h }: Size
): WeekGrid | undefined {
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
	// A head has its own air below it.
	const air = Math.floor((spare - between) / 3);
	const top = left.y + (left.y > 0 ? Math.min(1, air) : air);
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
	const row = (from: number, y: number, count: number) =>
		Array.from({ length: count }, (_, index) => place(from + index, y));
	const isLeft = upperRow.of(setting) === 'left';
	const [upperFrom, lowerFrom] = isLeft ? [0, 1] : [1, 0];
	const below = eighth.of(setting) === 'free' ? each - 1 : each;
	const foot = left.y + height;
	const beneath = { y: top + h + 1, h: foot - (top + h + 1) };
	const above = { y: top, h: lower - 1 - top };
	const beside = (column: number) => {
		const x = (xs[column] ?? 0) + w + 1;
		return { x, w: right.x + right.w - x };
	};
	const outer = { x: left.x, w: (xs[1] ?? 0) - 1 - left.x };
	const [endUpper, endLower] = [upperFrom + each - 1, lowerFrom + below - 1];
	const besideIt: Rect =
		endUpper < endLower
			? { ...beside(endUpper), ...above }
			: endUpper > endLower
				? { ...beside(endLower), ...beneath }
				: { ...beside(endUpper), y: top, h: foot - top };
	const rooms: RoomPlace[] = [
		{ name: 'left', on: 0, ...outer, ...(isLeft ? beneath : above) },
		{ name: 'right', on: 1, ...besideIt }
	];
	return {
		places: [...row(upperFrom, top, each), ...row(lowerFrom, lower, below)],
		rooms: rooms.filter(({ w }) => w >= leastRoom),
		allRows: true,
		discomfort: cellDiscomfort(Math.min(w, h) - 1),
		facts: { cell: { w, h }, capacity: each + below, gap, used: w - gutter },
		why: [
			`${below === each ? 'two rows of four' : 'rows of four and three'} boxes of ${w} × ${h}, gaps of ${gap}, the ${isLeft ? 'lower' : 'upper'} row a box further right`,
			`one of each row over the fold: ${w} wide, ${onLeft} + ${onRight} = ${w - gutter} drawn`,
			`2 × ${h} + ${between} = ${2 * h + between} of ${height} down`
		]
	};
}
