import { field, frame, line, text, type LineMark, type Mark } from '../../draw';
import type { Rect, Size } from '../../paper';
import { gapBetween, sideBySide, titleStyle } from '../form/common-rules';
import { pageForm, type PageLayout, type Setting } from '../form/form';
import { partNames } from '../parts/part-names';
import { titleSum } from '../parts/rows';
import { choiceRule } from '../form/rule';
import { titleMarks, titleRows } from '../parts/title-band';

const usualGap = 1;
const usualNames = ['First', 'Second', 'Third', 'Fourth'];
/** Boxes smaller than these are cramped, and than the last of them no boxes any more. */
const sizes: readonly (Size & { readonly discomfort: number })[] = [
	{ w: 10, h: 8, discomfort: 0 },
	{ w: 8, h: 6, discomfort: 15 },
	{ w: 6, h: 4, discomfort: 40 }
];

const ruling = choiceRule({
	name: 'ruled',
	label: 'Inside',
	options: [
		['blank', 'free'],
		['lined', 'lines'],
		['ticked', 'a list to tick']
	],
	usual: 'blank'
});

const named = choiceRule({
	name: 'named',
	label: 'A box for each of',
	more: true,
	options: [
		['parts', 'the parts'],
		['weekdays', 'the days of a week'],
		['months', 'the twelve months']
	],
	usual: 'parts'
});

/** Lines around each box. */
export const frames = choiceRule({
	name: 'frames',
	label: 'Frames',
	options: [
		['lines', 'lines'],
		['corners', 'corners'],
		['dotted', 'every second square'],
		['none', 'none']
	],
	usual: 'lines'
});

/** Boxes of one size in rows and columns. */
interface Arrangement {
	readonly across: number;
	readonly down: number;
	readonly gap: number;
	readonly box: Size;
	readonly discomfort: number;
}

function namesOf(setting: Setting): readonly string[] {
	return partNames(named.of(setting), setting, 'long', usualNames);
}

/** The arrangement with the largest boxes, a little wider than high; undefined where they would be too small. */
function arrange(setting: Setting, there: Size): Arrangement | undefined {
	const count = namesOf(setting).length;
	const gap = gapBetween.of(setting) ?? usualGap;
	const height = there.h - titleRows(setting);
	const wanted = sideBySide.of(setting);
	const ways = Array.from({ length: count }, (_, index) => index + 1)
		.filter((across) => wanted === undefined || across === Math.min(wanted, count))
		.flatMap((across): Arrangement[] => {
			const down = Math.ceil(count / across);
			const box = {
				w: Math.floor((there.w - (across - 1) * gap) / across),
				h: Math.floor((height - (down - 1) * gap) / down)
			};
			const size = sizes.find(({ w, h }) => box.w >= w && box.h >= h);
			return size ? [{ across, down, gap, box, discomfort: size.discomfort }] : [];
		});
	const rank = ({ box }: Arrangement) => Math.min(2 * box.w, 3 * box.h);
	return ways.sort((a, b) => a.discomfort - b.discomfort || rank(b) - rank(a))[0];
}

/**
 * Named boxes of equal size in a × b with gaps of 1: (width − (a − 1) · gap) ÷ a, likewise down below the title; what is
 * over stays free evenly at the sides, and below. They fill the room they are given. (Common practice.)
 */
export const boxes = pageForm({
	id: 'boxes',
	name: 'Boxes',
	content: ['title', 'parts'],
	partsAre: 'Boxes',
	rules: [titleStyle, ruling, frames, sideBySide, named, gapBetween],
	layouts: (setting, there) => {
		const half = Math.ceil(there.h / 2);
		return [there, { w: there.w, h: half }].flatMap((size, index): PageLayout[] => {
			const way = arrange(setting, size);
			if (!way) return [];
			const top = titleRows(setting);
			const { across, down, gap, box } = way;
			const used = { w: across * (box.w + gap) - gap, h: top + down * (box.h + gap) - gap };
			const left = Math.floor((size.w - used.w) / 2);
			const gaps = (count: number) => (count > 1 ? ` + ${count - 1} × ${gap}` : '');
			return [
				{
					size,
					discomfort: Math.min(100, way.discomfort + 10 * index),
					stretches: true,
					facts: {
						cell: box,
						across,
						down,
						gap,
						title: top,
						capacity: namesOf(setting).length,
						over: size.w - used.w
					},
					why: [
						`${across} × ${box.w}${gaps(across)} = ${used.w} of ${size.w} across`,
						`${titleSum(top)}${down} × ${box.h}${gaps(down)} = ${used.h} of ${size.h} down`
					],
					marks: () => [
						...titleMarks(setting, size.w, false),
						...namesOf(setting).flatMap((name, place) =>
							boxMarks(setting, name, place + 1, {
								x: left + (place % across) * (box.w + gap),
								y: top + Math.floor(place / across) * (box.h + gap),
								...box
							})
						)
					]
				}
			];
		});
	}
});

function boxMarks(setting: Setting, name: string, nth: number, box: Rect): Mark[] {
	const { x, y, w, h } = box;
	const rows = Array.from({ length: h - 2 }, (_, index) => y + 2 + index);
	const inside = ruling.of(setting);
	const ruled: Mark[] =
		inside === 'blank'
			? []
			: rows.flatMap((row): Mark[] =>
					inside === 'lined'
						? [line(x, row, x + w, row)]
						: [...frame({ x, y: row - 1, w: 1, h: 1 }), line(x, row, x + w, row)]
				);
	return [
		text(name, { x, y, w, h: 1 }, 'hand', 'start'),
		...framed(frames.of(setting), box),
		...ruled,
		field({ x, y: y + 1, w, h: h - 1 }, { item: name, nth }, 'full')
	];
}

/** Every second square of a box's sides. */
function dotted({ x, y, w, h }: Rect): LineMark[] {
	const along = (length: number) =>
		Array.from({ length: Math.ceil(length / 2) }, (_, index) => 2 * index);
	return [
		...along(w).flatMap((at) => [y, y + h].map((row) => line(x + at, row, x + at + 1, row))),
		...along(h).flatMap((at) =>
			[x, x + w].map((column) => line(column, y + at, column, y + at + 1))
		)
	];
}

/** The lines around a box: all of them, its corners, every second square, or none. */
export function framed(style: 'lines' | 'corners' | 'dotted' | 'none', box: Rect): LineMark[] {
	if (style === 'none') return [];
	if (style === 'lines') return frame(box);
	const { x, y, w, h } = box;
	if (style === 'dotted') return dotted(box);
	return [
		[x, y, 1, 1],
		[x + w, y, -1, 1],
		[x, y + h, 1, -1],
		[x + w, y + h, -1, -1]
	].flatMap(([cx = 0, cy = 0, dx = 0, dy = 0]) => [
		line(Math.min(cx, cx + dx), cy, Math.max(cx, cx + dx), cy),
		line(cx, Math.min(cy, cy + dy), cx, Math.max(cy, cy + dy))
	]);
}
