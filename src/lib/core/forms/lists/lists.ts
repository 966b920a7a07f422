import { field, frame, line, text, type FieldMark, type Mark } from '../../draw';
import type { Rect, Size } from '../../paper';
import { everySecond, lineHeight, sideBySide, titleStyle } from '../form/common-rules';
import { pageForm, type PageLayout, type Setting } from '../form/form';
import { partsOf } from '../parts/part-names';
import { titleSum } from '../parts/rows';
import { choiceRule, flagRule, numberRule } from '../form/rule';
import { titleMarks, titleRows } from '../parts/title-band';

const gap = 1;
const leastWidth = 8;
/** A single list may be narrower: in a strip beside something else. */
const narrowest = 6;
const leastLines = 3;
/** Lines narrower than the first leave less to write on, than the last little. */
const widths = [
	{ from: 12, discomfort: 0 },
	{ from: 10, discomfort: 5 },
	{ from: 8, discomfort: 15 },
	{ from: 0, discomfort: 25 }
];
const sign = 2;
/** One thing of a list has so many lines at most: its own and those for how and when. */
const mostLines = 8;

const marks = choiceRule({
	name: 'marks',
	label: 'Before each line',
	options: [
		['box', 'a box to tick'],
		['number', 'a number'],
		['none', 'nothing']
	],
	usual: 'box'
});

const lines = numberRule({
	name: 'lines',
	label: 'Lines',
	least: 1,
	most: 100,
	unit: 'a list',
	chosen: ({ rows }) => rows
});

const dated = flagRule({ name: 'dated', label: 'room for a date at the end' });
/** Squares for a date at the end of a line. */
const dateRoom = 3;

/** Names of the lists; one without a name where none is named. */
function namesOf(setting: Setting): readonly string[] {
	return partsOf(setting, ['']);
}

/**
 * Lists of lines to tick or to number, one or several side by side with gaps of 1: title 4, a row for the list's name,
 * then as many lines as fit, or as are wanted; the items are written on the first ones. (Common practice.)
 */
export const lists = pageForm({
	id: 'lists',
	name: 'Lists',
	content: ['title', 'items', 'parts'],
	partsAre: 'Lists',
	rules: [titleStyle, marks, lines, dated, everySecond, sideBySide, lineHeight],
	layouts: (setting, there) => {
		const names = namesOf(setting);
		const wanted = sideBySide.of(setting);
		const alone = there.w >= narrowest ? 1 : 0;
		const abreast = Math.max(alone, Math.floor((there.w + gap) / (leastWidth + gap)));
		const most = Math.min(names.length, abreast);
		const counts = wanted
			? [Math.min(wanted, names.length)].filter((across) => across <= most)
			: Array.from({ length: Math.max(0, most) }, (_, index) => most - index);
		const across = counts.find((count) => isEven(names.length, count)) ?? counts[0];
		if (across === undefined) return [];
		const ways = [there.h, Math.ceil(there.h / 2)].flatMap((h, index) =>
			layoutIn(setting, { w: there.w, h }, across, 1, 10 * index)
		);
		// As many things as are wanted, each with further lines below it where there is room.
		const further =
			lines.of(setting) === undefined
				? []
				: Array.from({ length: mostLines - 1 }, (_, index) => mostLines - index);
		const generous = further.flatMap((each) => layoutIn(setting, there, across, each, 0));
		return [...ways, ...generous.map((layout) => ({ ...layout, generous: true }))];
	}
});

/** So many lists one under the other are a page; more of them are a ribbon. */
const mostUnder = 3;

/** Whether lists stand in full rows: four are two by two, not three and one. (Common practice.) */
function isEven(lists: number, across: number): boolean {
	return lists % across === 0 && lists / across <= mostUnder;
}

function layoutIn(
	setting: Setting,
	there: Size,
	across: number,
	linesEach: number,
	more: number
): PageLayout[] {
	const names = namesOf(setting);
	const top = titleRows(setting);
	const high = lineHeight.of(setting) ?? setting.hand.lineHeight;
	const head = names.some(Boolean) ? 1 : 0;
	const down = Math.ceil(names.length / across);
	const fixed = lines.of(setting);
	const each = Math.floor((there.h - top - (down - 1) * gap) / down);
	const free = Math.floor((each - head) / (high * linesEach));
	const rows = fixed ?? free;
	if (rows > free || rows < Math.min(leastLines, fixed ?? leastLines)) return [];
	const w = Math.floor((there.w - (across - 1) * gap) / across);
	const one = head + rows * linesEach * high;
	const used = top + down * one + (down - 1) * gap;
	const size = { w: there.w, h: fixed === undefined ? there.h : used };
	return [
		{
			size,
			discomfort: Math.min(100, more + (widths.find(({ from }) => w >= from)?.discomfort ?? 0)),
			stretches: fixed === undefined,
			facts: {
				rows,
				across,
				down,
				gap,
				title: top,
				lineHeight: high,
				capacity: rows * names.length,
				over: there.w - across * (w + gap) + gap
			},
			why: [
				`${across} × ${w}${across > 1 ? ` + ${across - 1} × ${gap}` : ''} across`,
				`${titleSum(top)}${head > 0 ? 'name 1 + ' : ''}${rows} lines${linesEach > 1 ? ` of ${linesEach}` : ''}${high > 1 ? ` × ${high}` : ''} = ${used} of ${there.h} down`
			],
			marks: () => [
				...titleMarks(setting, size.w, false),
				...names.flatMap((name, index) => {
					const at = {
						x: (index % across) * (w + gap),
						y: top + Math.floor(index / across) * (one + gap)
					};
					const written = index === 0 ? (setting.content.items ?? []) : [];
					return listMarks(setting, name, { ...at, w, head, rows, high, linesEach }, written);
				})
			]
		}
	];
}

interface ListPlace {
	readonly x: number;
	readonly y: number;
	readonly w: number;
	readonly head: number;
	readonly rows: number;
	readonly high: number;
	readonly linesEach: number;
}

function listMarks(
	setting: Setting,
	name: string,
	{ x, y, w, head, rows, high, linesEach }: ListPlace,
	written: readonly { readonly name: string }[]
): Mark[] {
	const before = marks.of(setting);
	const start = before === 'none' ? 0 : sign;
	const tinted = everySecond.of(setting);
	return [
		...(head > 0 && name ? [text(name, { x, y, w, h: 1 }, 'hand', 'start')] : []),
		...Array.from({ length: rows }, (_, row) => row).flatMap((row): Mark[] => {
			const foot = y + head + (row * linesEach + 1) * high;
			const further = Array.from({ length: linesEach - 1 }, (_, index) => {
				const below = foot + (index + 1) * high;
				return line(x + start, below, x + w, below);
			});
			const words = written[row]?.name ?? '';
			return [
				...(tinted && row % 2 === 1
					? [{ kind: 'tint', tone: 'line', x, y: foot - high, w, h: high } as const]
					: []),
				...(before === 'box' ? frame({ x, y: foot - 1, w: 1, h: 1 }) : []),
				...(before === 'number'
					? [text(String(row + 1), { x, y: foot - 1, w: sign, h: 1 }, 'figure', 'start')]
					: []),
				...(words
					? [text(words, { x: x + start, y: foot - 1, w: w - start, h: 1 }, 'hand', 'start')]
					: []),
				...(dated.of(setting) && w > start + dateRoom + 1
					? [
							line(x + start, foot, x + w - dateRoom - 1, foot),
							line(x + w - dateRoom, foot, x + w, foot)
						]
					: [line(x + start, foot, x + w, foot)]),
				...lineFields(
					name,
					row + 1,
					words,
					{
						x,
						y: foot - high,
						w,
						h: linesEach * high
					},
					before === 'box' ? start : 0
				),
				...further
			];
		})
	];
}

/** A line of a list: what stands on it unless that is written already, and its box to tick. */
function lineFields(
	list: string,
	row: number,
	written: string,
	{ x, y, w, h }: Rect,
	box: number
): FieldMark[] {
	const about = { ...(list ? { item: list } : {}), row };
	return [
		...(box > 0 ? [field({ x, y, w: box, h }, { ...about, column: 'done' }, 'tick')] : []),
		...(written ? [] : [field({ x: x + box, y, w: w - box, h }, about, 'text')])
	];
}
