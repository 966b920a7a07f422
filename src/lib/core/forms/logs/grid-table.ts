import { choiceRule, openChoice } from '../form/rule';
import { titleStyle, cellSize } from '../form/common-rules';
import { field, grid, move, text, type Mark } from '../../draw';
import { textWidth } from '../../hand';
import { weekdayNames } from '../../month';
import {
	cellDiscomfort,
	ranked,
	type Form,
	type Layout,
	type Room,
	type Setting
} from '../form/form';
import { partNames, partsOf } from '../parts/part-names';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';
import { datesOfWeek } from '../lists/week-boxes-list';

const usualParts = ['Morning', 'Noon', 'Evening'];
/** Cells are at most so large where they are not asked for; over a spread they may be as high as wide. */
const largest = { w: 9, page: 6, spread: 9 };
/** As high as is liked; higher ones are drawn where there is room for them. */
const usualHeight = 4;
/** Where labels do not fit whole, so many squares of them do. */
const shortLabel = 10;

const downRule = openChoice({
	name: 'down',
	label: 'Rows are',
	options: [
		['items', 'the things named'],
		['weekdays', 'the days of a week'],
		['weeks', 'the month’s weeks']
	]
});

const acrossRule = choiceRule({
	name: 'across',
	label: 'Columns are',
	options: [
		['parts', 'the parts'],
		['weekdays', 'the days of a week'],
		['months', 'the twelve months']
	],
	usual: 'parts'
});

/**
 * Column labels: the wish's parts, the days of a week, the twelve months, or the parts of a day; where rows are weeks or
 * weekdays, the things named.
 */
function columnsOf(setting: Setting): readonly string[] {
	const down = downRule.of(setting);
	const items = setting.content.items ?? [];
	if (down && down !== 'items' && acrossRule.of(setting) === 'parts' && items.length > 0)
		return items.map(({ name }) => name);
	return partNames(acrossRule.of(setting), setting, 'narrow', usualParts);
}

/** Row labels: the wish's items, the days of a week, the weeks' dates; of a week across, the parts of a day. */
function rowsOf(setting: Setting): readonly string[] {
	const { content, locale, month } = setting;
	const items = (content.items ?? []).map(({ name }) => name);
	const unsaid = items.length > 0 ? 'items' : 'weekdays';
	switch (downRule.of(setting) ?? unsaid) {
		case 'weeks':
			return Array.from({ length: month.weeks }, (_, row) => datesOfWeek(setting, row));
		case 'items':
			return items.length > 0 ? items : partsOf(setting, usualParts);
		case 'weekdays':
			return acrossRule.of(setting) === 'weekdays'
				? partsOf(setting, usualParts)
				: weekdayNames(locale, month.weekStart, 'short');
	}
}

/** So many times as high as wide are cells at most that nobody has sized: a higher one is no place to write in. */
const slimmest = 3;

/** A table's measures: columns on each page, the first of them after the labels. */
interface Ruled {
	readonly label: number;
	readonly header: number;
	readonly counts: readonly number[];
	readonly cell: { readonly w: number; readonly h: number };
	/** A label is longer than its column. */
	readonly cut: readonly string[];
}

/**
 * Row labels × column labels, such as meals of a week or chores by the twelve months: label column as wide as the longest
 * row label, header 1, or as high as the longest name where names do not fit over their columns and are written upwards;
 * cells as large as they go, up to 9 × 6 and three times as high as wide. Over a spread the fold parts the columns. (Common practice.)
 */
export const gridTable: Form = {
	id: 'grid-table',
	name: 'Rows by columns',
	spans: ['page', 'spread'],
	content: ['title', 'items', 'parts'],
	partsAre: 'Columns',
	rules: [titleStyle, downRule, acrossRule, cellSize],
	layouts: (setting, room) => {
		const longest = Math.max(1, ...rowsOf(setting).map((row) => textWidth(row, setting.hand)));
		const whole = inRoom(setting, room, longest);
		if (whole.length > 0 || longest <= shortLabel) return ranked(whole);
		return ranked(inRoom(setting, room, shortLabel));
	}
};

/** Ways with labels of a width: cells as high as they go, or lower. */
function inRoom(setting: Setting, room: Room, label: number): Layout[] {
	const rows = rowsOf(setting);
	const names = columnsOf(setting);
	const asked = cellSize.of(setting);
	const split = splitOf(room, names.length, label, asked?.w);
	if (!split) return [];
	const { counts, w } = split;
	const longest = Math.max(...names.map((name) => textWidth(name, setting.hand)));
	const header = longest <= w ? 1 : longest;
	const top = titleRows(setting);
	const there = room.span === 'page' ? room.h : Math.min(room.left.h, room.right.h);
	const most =
		asked?.h ??
		Math.min(largest[room.span], slimmest * w, Math.floor((there - top - header) / rows.length));
	const heights = asked ? [most] : [most, usualHeight, 2, 1].filter((h) => h <= most);
	const cut = rows.filter((row) => textWidth(row, setting.hand) > label);
	return [...new Set(heights)]
		.filter((h) => h >= 1 && top + header + rows.length * h <= there)
		.map((h) => toLayout(setting, room, { label, header, counts, cell: { w, h }, cut }));
}

/** Columns on each page and how wide they are: all on one page, or parted by the fold where they are widest. */
function splitOf(
	room: Room,
	count: number,
	label: number,
	asked: number | undefined
): { readonly counts: readonly number[]; readonly w: number } | undefined {
	const ways =
		room.span === 'page'
			? [{ counts: [count], w: Math.floor((room.w - label) / count) }]
			: Array.from({ length: count - 1 }, (_, index) => index + 1).map((left) => ({
					counts: [left, count - left],
					w: Math.min(
						Math.floor((room.left.w - label) / left),
						Math.floor(room.right.w / (count - left))
					)
				}));
	const [best] = [...ways].sort((a, b) => b.w - a.w);
	if (!best) return undefined;
	const w = asked ?? Math.min(largest.w, best.w);
	return w >= 1 && w <= best.w ? { counts: best.counts, w } : undefined;
}

function toLayout(setting: Setting, room: Room, ruled: Ruled): Layout {
	const { label, header, counts, cell, cut } = ruled;
	const rows = rowsOf(setting);
	const top = titleRows(setting);
	const h = top + header + rows.length * cell.h;
	const widths = counts.map((count, part) => count * cell.w + (part === 0 ? label : 0));
	const [left = 0, right = 0] = widths;
	const indent = room.span === 'spread' ? room.left.w - left : 0;
	return {
		room:
			room.span === 'page'
				? { span: 'page', w: left, h }
				: { ...room, left: { w: room.left.w, h }, right: { w: room.right.w, h } },
		discomfort: Math.min(
			100,
			Math.round((cellDiscomfort(cell.w) + (cell.h === 1 ? 15 : 0)) / 2) +
				25 * Math.sign(cut.length)
		),
		stretches: false,
		facts: {
			cell,
			label,
			header,
			title: top,
			rows: rows.length,
			across: counts.reduce((sum, count) => sum + count, 0),
			over: room.span === 'page' ? room.w - left : [indent, room.right.w - right]
		},
		why: [
			`labels ${label} + ${counts[0]} × ${cell.w} = ${left}${room.span === 'page' ? ` of ${room.w}` : ` left, ${counts[1]} × ${cell.w} = ${right} right`} across`,
			`${titleSum(top)}header ${header} + ${rows.length} × ${cell.h} = ${h} down`,
			...cut.map(
				(row) =>
					`“${row}” is ${textWidth(row, setting.hand) - label} too long for ${label}: write it smaller`
			)
		],
		marks: () => {
			const names = columnsOf(setting);
			return counts.map((count, part) => {
				const first = part === 0 ? 0 : (counts[0] ?? 0);
				const x = part === 0 ? label : 0;
				const y = top + header;
				return [
					...(part === 0 ? titleMarks(setting, left, false) : []),
					...names
						.slice(first, first + count)
						.map((name, index) => columnName(name, x + index * cell.w, top, ruled)),
					...(part === 0
						? rows.map((name, row) =>
								text(name, { x: 0, y: y + row * cell.h, w: label, h: 1 }, 'hand', 'start')
							)
						: []),
					...grid({ x, y }, cell, count, rows.length),
					...rows.flatMap((item, row) =>
						names
							.slice(first, first + count)
							.map((column, index) =>
								field(
									{ x: x + index * cell.w, y: y + row * cell.h, ...cell },
									{ item, row: row + 1, column: `${first + index + 1} ${column}` },
									'text'
								)
							)
					)
				].map((mark) => move(mark, { x: part === 0 ? indent : 0, y: 0 }));
			});
		}
	};
}

/** A name over its column, written upwards where one of them is too long for it. */
function columnName(name: string, x: number, y: number, { header, cell }: Ruled): Mark {
	const place = { x, y, w: header > 1 ? 1 : cell.w, h: header };
	return { ...text(name, place, 'hand', header > 1 ? 'start' : 'center'), turned: header > 1 };
}
