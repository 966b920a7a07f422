import { choiceRule } from './rule';
import { undated, weekOfMonth } from './common-rules';
import { line, type Mark } from '../draw';
import type { Rect } from '../paper';
import {
	cellDiscomfort,
	pageSize,
	ranked,
	type Form,
	type Layout,
	type Room,
	type Setting
} from './form';
import { daysOfWeek, dayHeading, spareHeading, weekNumberOf } from './week';

const header = 1;
const leastHeight = 12;

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
export const weekColumns: Form = {
	id: 'week-columns',
	name: 'Week in columns',
	spans: ['spread'],
	content: [],
	rules: [weekOfMonth, shape, undated],
	layouts: (setting, room) => {
		const there = pageSize(room);
		if (room.span === 'page') return [];
		const layout =
			shape.of(setting) === 'over-fold' ? overFold(setting, room) : fourAndThree(setting, room);
		return ranked(layout && there.h >= leastHeight ? [layout] : []);
	}
};

type SpreadRoom = Room & { span: 'spread' };

function fourAndThree(setting: Setting, room: SpreadRoom): Layout | undefined {
	const w = Math.min(Math.floor(room.left.w / 4), Math.floor(room.right.w / 4));
	if (w < 2) return undefined;
	const h = Math.min(room.left.h, room.right.h);
	const indent = room.left.w - 4 * w;
	const over: [number, number] = [indent, room.right.w - 4 * w];
	return {
		room: { ...room, left: { w: room.left.w, h }, right: { w: room.right.w, h } },
		discomfort: cellDiscomfort(w),
		stretches: false,
		facts: { cell: { w, h }, split: [4, 3], header, over, week: weekNumberOf(setting) },
		why: [
			`4 × ${w} = ${4 * w} of ${room.left.w} left, 3 + 1 × ${w} = ${4 * w} of ${room.right.w} right`,
			`${h} down: the date, events above, tasks below`
		],
		marks: () => {
			const days = daysOfWeek(setting);
			const box = (x: number): Rect => ({ x, y: 0, w, h });
			return [
				days
					.slice(0, 4)
					.flatMap((day, index): Mark[] => [
						dayHeading(setting, day, box(indent + index * w)),
						...column(indent + index * w, w, h)
					]),
				[
					...days
						.slice(4)
						.flatMap((day, index): Mark[] => [
							dayHeading(setting, day, box(index * w)),
							...column(index * w, w, h)
						]),
					...spareHeading(setting, box(3 * w)),
					...column(3 * w, w, h)
				]
			];
		}
	};
}

function overFold(setting: Setting, room: SpreadRoom): Layout | undefined {
	const { gutter } = room;
	const w = Math.min(
		Math.floor((room.left.w + gutter + room.right.w) / 7),
		Math.floor(room.left.w / 3),
		Math.floor(room.right.w / 3)
	);
	const h = Math.min(room.left.h, room.right.h);
	// The fourth column begins on the left page, loses the gutter and ends on the right one.
	const leftPart = Math.floor((w - gutter) / 2);
	const rightPart = w - gutter - leftPart;
	if (w < 3 || leftPart < 1 || 3 * w + leftPart > room.left.w || 3 * w + rightPart > room.right.w)
		return undefined;
	const indent = room.left.w - 3 * w - leftPart;
	return {
		room: { ...room, left: { w: room.left.w, h }, right: { w: room.right.w, h } },
		discomfort: cellDiscomfort(w),
		stretches: false,
		facts: {
			cell: { w, h },
			split: [3, 3],
			header,
			over: [indent, room.right.w - 3 * w - rightPart],
			week: weekNumberOf(setting)
		},
		why: [
			`(${room.left.w} + gutter ${gutter} + ${room.right.w}) / 7 = ${w} wide`,
			`the fourth has ${leftPart} left and ${rightPart} right of the fold, ${gutter} are lost in it`
		],
		marks: () => {
			const days = daysOfWeek(setting);
			const heading = (index: number, x: number, width: number): Mark[] => {
				const day = days[index];
				return day ? [dayHeading(setting, day, { x, y: 0, w: width, h })] : [];
			};
			const fold = indent + 3 * w;
			return [
				[
					...[0, 1, 2].flatMap((index) => [
						...heading(index, indent + index * w, w),
						...column(indent + index * w, w, h)
					]),
					...heading(3, fold, leftPart),
					...openColumn(fold, leftPart, h)
				],
				[
					...openColumn(0, rightPart, h),
					line(rightPart, 0, rightPart, h),
					...[0, 1, 2].flatMap((index) => [
						...heading(4 + index, rightPart + index * w, w),
						...column(rightPart + index * w, w, h)
					])
				]
			];
		}
	};
}

/** Horizontal lines of a column: top, under the date, between events and tasks, foot. */
function openColumn(x: number, w: number, h: number): Mark[] {
	const middle = header + Math.floor((h - header) / 2);
	return [0, header, middle, h].map((y) => line(x, y, x + w, y));
}

function column(x: number, w: number, h: number): Mark[] {
	return [...openColumn(x, w, h), line(x, 0, x, h), line(x + w, 0, x + w, h)];
}
