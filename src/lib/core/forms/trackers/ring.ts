import { titleStyle, squareCell } from '../form/common-rules';
import { frame, text, type Mark, type Subject } from '../../draw';
import type { Dot, Size } from '../../paper';
import { pageForm, type PageLayout, type Setting } from '../form/form';
import { dayField } from '../parts/key';
import { itemNames, itemsOf, labelsOf } from '../parts/labels';
import { fitLabel } from '../calendars/mini-month';
import { titleSum } from '../parts/rows';
import { openChoice } from '../form/rule';
import { titleMarks, titleRows } from '../parts/title-band';
import { roundPicture } from './round-picture';

/** Cells across and down of the smallest ring that holds so many days. */
function ringOf(days: number): { across: number; down: number } {
	const both = Math.ceil((days + 4) / 2);
	return { across: Math.floor(both / 2), down: Math.ceil(both / 2) };
}

/** Cells of a ring, clockwise from the top left. */
function ringCells(across: number, down: number): Dot[] {
	const top = Array.from({ length: across }, (_, x) => ({ x, y: 0 }));
	const right = Array.from({ length: down - 2 }, (_, index) => ({ x: across - 1, y: index + 1 }));
	const bottom = Array.from({ length: across }, (_, index) => ({
		x: across - 1 - index,
		y: down - 1
	}));
	const left = Array.from({ length: down - 2 }, (_, index) => ({ x: 0, y: down - 2 - index }));
	return [...top, ...right, ...bottom, ...left];
}

/** Names that stand outside the ring, one a line; none where the wish names none. */
function nameLines(setting: Setting): number {
	return setting.content.items ? itemsOf(setting).length : 0;
}

const lines = openChoice({
	name: 'lines',
	label: 'Round the middle',
	options: [
		['one', 'one ring of days'],
		['each', 'a line a habit'],
		['picture', 'a picture, and a line a habit']
	],
	unsaid: 'as many as there are habits'
});

/**
 * The month's days in a ring around a free centre for a picture or a word, the first at the top left, clockwise; names
 * stand on lines below it. Or a line a habit (`lines` "each", and where there are several), one round the other, each with its name in the squares
 * before its first day; or round a picture (`round-picture.ts`). Cells as large as they go, up to 3 squares. A spiral is not offered, because people lose the day
 * in it (common practice).
 */
export const ring = pageForm({
	id: 'ring',
	name: 'Ring of days',
	content: ['title', 'items'],
	rules: [titleStyle, lines, squareCell],
	layouts: (setting, there) => {
		switch (lines.of(setting) ?? usualLines(setting)) {
			case 'picture':
				return roundPicture(setting, there);
			case 'each':
				return lineEach(setting, there);
			case 'one':
				return oneRing(setting, there);
		}
	}
});

/** A cell of one ring tells of one thing a day. */
function usualLines(setting: Setting): 'one' | 'each' {
	return nameLines(setting) > 1 ? 'each' : 'one';
}

/** A line a habit round the middle: the innermost has its days and its name, each further one eight cells more. */
function lineEach(setting: Setting, there: Size): PageLayout[] {
	const { days } = setting.month;
	const top = titleRows(setting);
	const [labels] = labelsOf(setting);
	if (!labels) return [];
	const count = labels.labels.length;
	const kept = itemNames(setting);
	const wanted = squareCell.of(setting);
	return (wanted ? [wanted] : [2, 1]).flatMap((c) => {
		const label = Math.ceil(labels.width / c);
		const inner = ringOf(days + label);
		const across = Math.max(inner.across, label + 1) + 2 * (count - 1);
		const down = inner.down + 2 * (count - 1);
		const size = { w: across * c, h: top + down * c };
		if (size.w > there.w || size.h > there.h) return [];
		return [
			{
				size,
				discomfort: c === 1 ? 10 : 0,
				facts: { cell: { w: c, h: c }, across, down, days, title: top, label, capacity: count },
				why: [
					`the innermost line has ${label} cells for its name and ${days} for the days`,
					`${count} lines: ${across} × ${c} = ${size.w} of ${there.w} across, ${titleSum(top)}${down} × ${c} = ${size.h} of ${there.h} down`
				],
				marks: () => [
					...titleMarks(setting, size.w, false),
					...labels.labels.flatMap((name, place) => {
						const round = ringCells(across - 2 * place, down - 2 * place);
						const at = (dot: Dot): Dot => ({
							x: (place + dot.x) * c,
							y: top + (place + dot.y) * c
						});
						return [
							text(name, { ...at({ x: 0, y: 0 }), w: labels.width, h: 1 }, 'hand', 'start'),
							...round
								.slice(-days)
								.flatMap((cell, index) =>
									dayMarks(setting, { item: kept[place] ?? name, day: index + 1 }, at(cell), c)
								)
						];
					})
				]
			}
		];
	});
}

function dayMarks(
	setting: Setting,
	about: Subject & { readonly day: number },
	{ x, y }: Dot,
	c: number
): Mark[] {
	const cell = { x, y, w: c, h: c };
	return [
		text(String(about.day), { x, y, w: 1, h: 1 }, 'figure'),
		...frame(cell),
		dayField(setting, cell, about, 'mark')
	];
}

function oneRing(setting: Setting, there: Size): PageLayout[] {
	const { days } = setting.month;
	const { across, down } = ringOf(days);
	const top = titleRows(setting);
	const below = nameLines(setting);
	const most = Math.min(
		Math.floor(there.w / across),
		Math.floor((there.h - top - below) / down),
		3
	);
	const c = squareCell.of(setting) ?? most;
	if (c < 1) return [];
	const size = { w: across * c, h: top + down * c + below };
	return [
		{
			size,
			discomfort: c === 1 ? 20 : 0,
			facts: { cell: { w: c, h: c }, across, down, days, title: top, capacity: days },
			why: [
				`a ring of ${across} × ${down} has ${2 * (across + down) - 4} cells for ${days} days`,
				`${across} × ${c} = ${size.w} of ${there.w} across, ${titleSum(top)}${down} × ${c}${below > 0 ? ` + ${below} names` : ''} = ${size.h} down`
			],
			marks: () => [
				...titleMarks(setting, size.w, false),
				...ringCells(across, down)
					.slice(0, days)
					.flatMap(({ x, y }, index) =>
						dayMarks(setting, { day: index + 1 }, { x: x * c, y: top + y * c }, c)
					),
				...(below > 0 ? itemsOf(setting) : []).map((item, line) =>
					text(
						fitLabel(item, size.w, setting).label,
						{ x: 0, y: top + down * c + line, w: size.w, h: 1 },
						'hand',
						'start'
					)
				)
			]
		}
	];
}
