import { cellDiscomfort } from '../form/form';
import { choiceRule } from '../form/rule';
import type { WeekPiece, WeekPlace } from './week';
import { weekForm, type WeekArea, type WeekGrid } from './week-form';

const header = 1;
const leastHeight = 12;
/** Narrower pieces of a column bear no date. */
const leastPiece = 2;

const shape = choiceRule({
	name: 'shape',
	label: 'Columns',
	options: [
		['spare', '4 + 3 and a spare'],
		['over-fold', 'one over the fold']
	],
	usual: 'spare'
});

/**
 * A week in columns over a spread: 4 + 3 columns of the floor of each page, the eighth place spare; or
 * (`shape` "over-fold") seven with the fourth across the fold, floor((W + gutter + W) / 7) wide, whose
 * gutter squares are lost. Events stand above a line at half height, tasks below it. (Common practice.)
 */
export const weekColumns = weekForm({
	id: 'week-columns',
	name: 'Week in columns',
	spans: ['spread'],
	rules: [shape],
	dayLines: (h) => [header, header + Math.floor((h - header) / 2)],
	grids: (setting, area) => {
		if (Math.min(...area.pages.map(({ h }) => h)) < leastHeight) return [];
		const grid = shape.of(setting) === 'over-fold' ? overFold(area) : fourAndThree(area);
		return grid ? [grid] : [];
	}
});

function fourAndThree({ pages: [left, right] }: WeekArea): WeekGrid | undefined {
	if (!right) return undefined;
	const w = Math.min(Math.floor(left.w / 4), Math.floor(right.w / 4));
	if (w < leastPiece) return undefined;
	const h = Math.min(left.h, right.h);
	const indent = left.w - 4 * w;
	const column = (on: 0 | 1, x: number): WeekPlace => [{ on, x, y: left.y, w, h }];
	return {
		places: [
			...[0, 1, 2, 3].map((index) => column(0, left.x + indent + index * w)),
			...[0, 1, 2, 3].map((index) => column(1, right.x + index * w))
		],
		discomfort: cellDiscomfort(w),
		facts: { cell: { w, h }, split: [4, 3], header, over: [indent, right.w - 4 * w] },
		why: [
			`4 × ${w} = ${4 * w} of ${left.w} left, 3 + 1 × ${w} = ${4 * w} of ${right.w} right`,
			`${h} down: the date, events above, tasks below`
		]
	};
}

function overFold({ pages: [left, right], gutter }: WeekArea): WeekGrid | undefined {
	if (!right) return undefined;
	const w = Math.min(
		Math.floor((left.w + gutter + right.w) / 7),
		Math.floor(left.w / 3),
		Math.floor(right.w / 3)
	);
	const h = Math.min(left.h, right.h);
	// The fourth column begins on the left page, loses the gutter and ends on the right one.
	const half = (w - gutter) / 2;
	const leftPart = [Math.floor(half), Math.ceil(half)].find(
		(part) => 3 * w + part <= left.w && 3 * w + (w - gutter - part) <= right.w
	);
	if (leftPart === undefined || leftPart < 1) return undefined;
	const rightPart = w - gutter - leftPart;
	if (Math.max(leftPart, rightPart) < leastPiece) return undefined;
	const indent = left.w - 3 * w - leftPart;
	const piece = (on: 0 | 1, x: number, wide = w): WeekPiece => ({ on, x, y: left.y, w: wide, h });
	const fold = left.x + indent + 3 * w;
	return {
		places: [
			...[0, 1, 2].map((index): WeekPlace => [piece(0, left.x + indent + index * w)]),
			[piece(0, fold, leftPart), piece(1, right.x, rightPart)],
			...[0, 1, 2].map((index): WeekPlace => [piece(1, right.x + rightPart + index * w)])
		],
		discomfort: cellDiscomfort(w),
		facts: {
			cell: { w, h },
			split: [3, 3],
			header,
			over: [indent, right.w - 3 * w - rightPart]
		},
		why: [
			`(${left.w} + gutter ${gutter} + ${right.w}) / 7 = ${w} wide`,
			`the fourth has ${leftPart} left and ${rightPart} right of the fold, ${gutter} are lost in it`
		]
	};
}
