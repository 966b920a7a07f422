import { titleStyle, restDays, everySecond, headerRows } from '../form/common-rules';
import { line, text, type Mark } from '../../draw';
import { letters } from '../../hand';
import { dayEventLine } from './cell-events';
import { ranked, type Form, type Layout, type Room, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, daysFrom, restsOn } from '../parts/day-labels';
import { dayField } from '../parts/key';
import { rowLines, titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const usualHeader = 2;
const leastText = 4;
const mostTopics = 4;

/** What stands beside the dates: up to four columns, each with its name; one without a name where none is named. */
function topicsOf({ content }: Setting): readonly string[] {
	const named = (content.parts ?? []).slice(0, mostTopics);
	return named.length > 0 ? named : [''];
}

/** Dates with the columns on either side of them. */
interface Columns {
	readonly before: readonly string[];
	readonly after: readonly string[];
}

/** On one page one column stands after the dates, of more of them the first half before. */
function onePage(topics: readonly string[]): Columns {
	const half = topics.length > 1 ? Math.ceil(topics.length / 2) : 0;
	return { before: topics.slice(0, half), after: topics.slice(half) };
}

/**
 * Days 1 to the last down the page: header 2 + a row a day, one to four topics beside the dates (`parts` names them),
 * half of them on either side, rest days tinted. Where the page is too low the days stand in two parts side by side.
 * Over a spread the dates stand beside the fold on the left page, and the title is halved; on low pages each bears half of
 * the days. (Common practice.)
 */
export const monthList: Form = {
	id: 'month-list',
	name: 'Month list',
	spans: ['page', 'spread'],
	content: ['title', 'parts', 'events'],
	partsAre: 'Topics, four at most',
	rules: [titleStyle, everySecond, restDays, headerRows],
	layouts: (setting, room) =>
		ranked(room.span === 'page' ? onPage(setting, room) : onSpread(setting, room))
};

function onPage(setting: Setting, room: Room & { span: 'page' }): Layout[] {
	const top = titleRows(setting);
	const { days } = setting.month;
	const columns = onePage(topicsOf(setting));
	return [1, 2].flatMap((across): Layout[] => {
		const rows = Math.ceil(days / across);
		const header = headerOf(setting, room.h - top - rows);
		const w = Math.floor(room.w / across);
		const size = { w: w * across, h: top + header + rows };
		if (w < leastWidth(columns) || size.h > room.h) return [];
		return [
			{
				room: { span: 'page', ...size },
				discomfort: across === 1 ? (w < 14 ? 15 : 0) : 20,
				stretches: false,
				facts: { rows, across, header, title: top, days, capacity: days },
				why: [
					`${titleSum(top)}header ${header} + ${rows} days = ${size.h} of ${room.h} down`,
					across === 1 ? `${w} across` : `2 × ${w} = ${size.w} of ${room.w} across`
				],
				marks: () => [
					[
						...titleMarks(setting, size.w, false),
						...daysFrom(1, across).flatMap((part) => {
							const shown = daysFrom((part - 1) * rows + 1, Math.min(days, part * rows));
							const at = { x: (part - 1) * w, y: top, w };
							return partMarks(setting, at, header, columns, shown, rows);
						})
					]
				]
			}
		];
	});
}

function onSpread(setting: Setting, room: Room & { span: 'spread' }): Layout[] {
	const top = titleRows(setting);
	const { days } = setting.month;
	const { left, right } = room;
	const topics = topicsOf(setting);
	const half = Math.ceil(topics.length / 2);
	const [before, after] = [topics.slice(0, half), topics.slice(half)];
	const header = headerOf(setting, Math.min(left.h, right.h) - top - days);
	const h = top + header + days;
	const narrow =
		left.w < leastWidth({ before, after: [] }) || right.w < Math.max(1, after.length) * leastText;
	if (h > Math.min(left.h, right.h)) return inHalves(setting, room);
	if (narrow) return [];
	const [one, two] = halfTitles(setting);
	return [
		{
			room: { ...room, left: { w: left.w, h }, right: { w: right.w, h } },
			discomfort: 0,
			stretches: false,
			facts: { rows: days, header, title: top, days, capacity: days },
			why: [
				`${titleSum(top)}header ${header} + ${days} days = ${h} of ${Math.min(left.h, right.h)} down`,
				`left: ${left.w - dayLabelWidth} + dates ${dayLabelWidth} beside the fold; right: ${right.w}`
			],
			marks: () => {
				const shown = daysFrom(1, days);
				const events = topics.length === 1 ? 'before' : 'after';
				return [
					[
						...titleMarks(one, left.w, false),
						...partMarks(
							setting,
							{ x: 0, y: top, w: left.w },
							header,
							{ before, after: [] },
							shown,
							days,
							events === 'before'
						)
					],
					[
						...titleMarks(two, right.w, false),
						...textColumns(
							setting,
							{ x: 0, y: top, w: right.w },
							header,
							after.length > 0 ? after : [''],
							shown,
							days,
							events === 'after'
						)
					]
				];
			}
		}
	];
}

/** Where the pages are too low for all days: the first half of the month left, the second right. */
function inHalves(setting: Setting, room: Room & { span: 'spread' }): Layout[] {
	const top = titleRows(setting);
	const { days } = setting.month;
	const { left, right } = room;
	const columns = onePage(topicsOf(setting));
	const half = Math.ceil(days / 2);
	const header = headerOf(setting, Math.min(left.h, right.h) - top - half);
	const h = top + header + half;
	const low = h > Math.min(left.h, right.h);
	if (low || Math.min(left.w, right.w) < leastWidth(columns)) return [];
	return [
		{
			room: { ...room, left: { w: left.w, h }, right: { w: right.w, h } },
			discomfort: 15,
			stretches: false,
			facts: { rows: half, header, title: top, days, capacity: days, split: [half, days - half] },
			why: [
				`${titleSum(top)}header ${header} + ${half} days = ${h} of ${Math.min(left.h, right.h)} down, the second half on the right`
			],
			marks: () => {
				const part = (w: number, shown: readonly number[]) =>
					partMarks(setting, { x: 0, y: top, w }, header, columns, shown, shown.length);
				return [
					[...titleMarks(setting, left.w, false), ...part(left.w, daysFrom(1, half))],
					part(right.w, daysFrom(half + 1, days))
				];
			}
		}
	];
}

/** Rows above the days: as asked for, or two, or as many as there are. */
function headerOf(setting: Setting, free: number): number {
	return headerRows.of(setting) ?? Math.max(0, Math.min(usualHeader, free));
}

function leastWidth({ before, after }: Columns): number {
	return dayLabelWidth + (before.length + after.length) * leastText;
}

/** The title parted over two pages: between the two words nearest its middle, or inside its only word. */
function halfTitles(setting: Setting): readonly [Setting, Setting] {
	const { title = '' } = setting.content;
	const drawn = letters(title);
	const middle = Math.ceil(drawn.length / 2);
	const gaps = drawn.flatMap((letter, index) => (letter === ' ' ? [index] : []));
	const nearest = gaps.sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle))[0];
	const half = (part: readonly string[]): Setting => ({
		...setting,
		content: { ...setting.content, title: part.join('').trim() }
	});
	return [half(drawn.slice(0, nearest ?? middle)), half(drawn.slice(nearest ?? middle))];
}

interface Place {
	readonly x: number;
	readonly y: number;
	readonly w: number;
}

/** Dates with columns on either side. */
function partMarks(
	setting: Setting,
	{ x, y: top, w }: Place,
	header: number,
	{ before, after }: Columns,
	days: readonly number[],
	rows: number,
	events = true
): Mark[] {
	const y = top + header;
	const each = Math.floor((w - dayLabelWidth) / (before.length + after.length));
	const dates = after.length === 0 ? x + w - dayLabelWidth : x + before.length * each;
	const right = dates + dayLabelWidth;
	const place = (start: number, end: number): Place => ({ x: start, y: top, w: end - start });
	return [
		...days.flatMap((day, row): Mark[] =>
			isTinted(setting, day, row)
				? [{ kind: 'tint', tone: toneOf(setting), x: dates, y: y + row, w: dayLabelWidth, h: 1 }]
				: []
		),
		...dayColumn(setting, days, { x: dates, y }),
		...rowLines({ x: dates, y, w: dayLabelWidth, h: 0 }, 1, rows),
		line(dates, y, dates, y + rows),
		line(right, y, right, y + rows),
		...(before.length > 0
			? textColumns(
					setting,
					place(x, dates),
					header,
					before,
					days,
					rows,
					events && after.length === 0
				)
			: []),
		...(after.length > 0
			? textColumns(setting, place(right, x + w), header, after, days, rows, events)
			: [])
	];
}

/** Columns to write in, each under its name; the first one bears the days' events where it is to. */
function textColumns(
	setting: Setting,
	{ x, y: top, w }: Place,
	header: number,
	names: readonly string[],
	days: readonly number[],
	rows: number,
	events: boolean
): Mark[] {
	const y = top + header;
	const each = Math.floor(w / names.length);
	const widthOf = (index: number) => (index === names.length - 1 ? w - index * each : each);
	return [
		...days.flatMap((day, row): Mark[] =>
			isTinted(setting, day, row)
				? [{ kind: 'tint', tone: toneOf(setting), x, y: y + row, w, h: 1 }]
				: []
		),
		...names.flatMap((name, index) =>
			name && header > 0
				? [text(name, { x: x + index * each, y: y - 1, w: widthOf(index), h: 1 }, 'hand')]
				: []
		),
		...(events
			? days.flatMap((day, row) =>
					dayEventLine(setting, day, { x, y: y + row, w: widthOf(0), h: 1 })
				)
			: []),
		...rowLines({ x, y, w, h: 0 }, 1, rows),
		...names.map((_, index) => line(x + index * each, y, x + index * each, y + rows)),
		line(x + w, y, x + w, y + rows),
		...days.flatMap((day, row) =>
			names.map((name, index) =>
				dayField(
					setting,
					{ x: x + index * each, y: y + row, w: widthOf(index), h: 1 },
					{ day, ...(name ? { column: name } : {}) },
					'text'
				)
			)
		)
	];
}

const toneOf = (setting: Setting) => (everySecond.of(setting) ? 'line' : 'rest');

/** Every second line, where that is asked for, else the days of rest. */
function isTinted(setting: Setting, day: number, row: number): boolean {
	return everySecond.of(setting) ? row % 2 === 1 : restsOn(setting, day);
}
