import {
	entries,
	gapBetween,
	headerRows,
	lineHeight,
	titleStyle,
	everySecond
} from '../form/common-rules';
import { numberRule } from '../form/rule';
import { field, whichOf, move, text, type Mark } from '../../draw';
import type { Size } from '../../paper';
import { ruledColumns, type RuledColumn } from '../parts/columns';
import { pageForm, type PageLayout, type Setting } from '../form/form';
import { columnLines, rowLines, titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';
import type { Column } from '../form/content';

const usualHeader = 1;
const usualGap = 2;
const leastRows = 5;
/** Entries that a month hardly has more of where nobody says how many: two a day. A further table would stay empty. */
const enough = 62;
const tablesRule = numberRule({
	name: 'tables',
	label: 'Tables side by side',
	least: 1,
	most: 10,
	chosen: ({ abreast }) => abreast
});
/** Rows are so high at most where nobody says how high. */
const tallLine = 2;
/** A table grows to so many times the entries that are wanted. (Common practice.) */
const mostGrown = 1.5;
/** What a table has where its wish names no columns. */
const samples: readonly Column[] = [
	{ name: 'What', width: 6 },
	{ name: 'How much', width: 4 }
];

const columnsOf = (setting: Setting) => ruledColumns(setting, samples);

/** Height of a row: as asked for, or a line of the person's hand. */
function lineOf(setting: Setting): number {
	return lineHeight.of(setting) ?? setting.hand.lineHeight;
}

const widthOf = (columns: readonly RuledColumn[]) =>
	columns.reduce((sum, { width }) => sum + width, 0);

/** A column that is wider by less than this leaves margins for nothing. */
const leastWidening = 2;

/** Columns with so many squares more for the widest one that is written into with words, at most as many as it had. */
function widened(columns: readonly RuledColumn[], by: number): readonly RuledColumn[] {
	const words = columns.filter(({ holds = 'text' }) => holds === 'text');
	const widest = words.toSorted((a, b) => b.width - a.width)[0];
	return columns.map((column) =>
		column === widest ? { ...column, width: column.width + Math.min(by, column.width) } : column
	);
}

/**
 * A table, t times side by side with gaps of 2 (1 if it must): title 4, header 1, rows of 1 square, or of
 * a line of the person's hand. It
 * takes as many rows as fit, or as many as `entries` need, up to half as many more where there is room, but no more tables than for two
 * entries a day; it is as wide as its
 * columns, and grows by its widest column of words, up to twice that. Capacity is t × rows. (Common practice.)
 */
export const table = pageForm({
	id: 'table',
	name: 'Table',
	content: ['title', 'columns'],
	rules: [titleStyle, entries, tablesRule, everySecond, gapBetween, lineHeight, headerRows],
	layouts: (setting, there) => waysIn(setting, there).map((way) => settled(setting, way))
});

/**
 * A way to rule tables as it is drawn in a room of its own size: narrower gaps can let another one in there
 * that is liked better. Each turn is smaller than the one before, so it ends.
 */
function settled(setting: Setting, way: PageLayout): PageLayout {
	const ways = waysIn(setting, way.size).filter(({ generous }) => generous === way.generous);
	const least = Math.min(...ways.map(({ discomfort }) => discomfort));
	const best = ways.filter(({ discomfort }) => discomfort === least);
	const drawn = best.find(({ size }) => same(size, way.size)) ?? best[0] ?? way;
	return same(drawn.size, way.size) ? way : settled(setting, drawn);
}

const same = (a: Size, b: Size) => a.w === b.w && a.h === b.h;

/** All ways to rule tables in a room: how many abreast, and how high. */
function waysIn(setting: Setting, there: Size): PageLayout[] {
	const top = titleRows(setting);
	const header = headerRows.of(setting) ?? usualHeader;
	const columns = columnsOf(setting);
	const one = widthOf(columns);
	const wanted = gapBetween.of(setting);
	const tables = tablesRule.of(setting);
	const mayBeTall = lineHeight.of(setting) === undefined && lineOf(setting) < tallLine;
	const needs = entries.of(setting);
	const least = wanted ?? 1;
	const most = tables ?? Math.max(1, Math.min(4, Math.floor((there.w + least) / (one + least))));
	const counts = tables ? [tables] : Array.from({ length: most }, (_, index) => most - index);
	const high = lineOf(setting);
	const free = Math.floor((there.h - top - header) / high);
	/** Numbers of rows of each of so many tables. */
	const heightsOf = (t: number) => {
		const needed = needs === undefined ? undefined : Math.ceil(needs / t);
		// Many more rows than are wanted would only stay empty.
		const grown = Math.min(free, Math.floor((mostGrown * (needs ?? 0)) / t));
		const more = needed !== undefined && needed < grown ? [grown] : [];
		const heights = needed === undefined ? [free, Math.ceil(free / 2)] : [needed, ...more];
		const least = Math.min(leastRows, needed ?? leastRows);
		return { needed, grown, heights: heights.filter((rows) => rows >= least && rows <= free) };
	};
	const able = Math.max(0, ...counts.filter((t) => heightsOf(t).heights.length > 0));
	return counts.flatMap((t) => {
		const gap = wanted ?? (t * one + (t - 1) * usualGap <= there.w ? usualGap : 1);
		const { needed, grown, heights } = heightsOf(t);
		const wantedMost = (rows: number) =>
			needs === undefined && tables === undefined ? Math.min(able, Math.ceil(enough / rows)) : able;
		return heights
			.filter((rows) => t <= wantedMost(rows))
			.flatMap((rows) => {
				const room = there.w - (t * one + (t - 1) * gap);
				const wider = widened(columns, Math.floor(room / t));
				const widths = widthOf(wider) >= one + leastWidening ? [columns, wider] : [columns];
				return widths.map((ruled) => ({ rows, ruled, high }));
			})
			.flatMap((way) => {
				// With as many rows as are good for anything, they grow higher.
				const rows = Math.min(way.rows, Math.floor((there.h - top - header) / tallLine));
				const tall = mayBeTall && needed !== undefined && rows >= needed && way.rows === grown;
				return tall ? [way, { ...way, rows, high: tallLine }] : [way];
			})
			.map(({ rows, ruled, high }) => {
				const one = widthOf(ruled);
				const size = { w: t * one + (t - 1) * gap, h: top + header + rows * high };
				const capacity = t * rows;
				return {
					size,
					generous:
						ruled !== columns || (needed !== undefined && rows > needed) || high > lineOf(setting),
					discomfort:
						(gap < usualGap && t > 1 ? 5 : 0) +
						(needed === undefined && rows < free ? 10 : 0) +
						10 * (wantedMost(rows) - t),
					facts: {
						abreast: t,
						width: one,
						rows,
						header,
						title: top,
						capacity,
						lineHeight: high,
						gap: t > 1 ? gap : 0,
						over: there.w - size.w
					},
					why: [
						`${ruled.map(({ name, width }) => `${name} ${width}`).join(' + ')} = ${one}`,
						`${t} × ${one}${t > 1 ? ` + ${t - 1} × ${gap}` : ''} = ${size.w} of ${there.w} across`,
						`${titleSum(top)}header ${header} + ${rows} rows${high > 1 ? ` × ${high}` : ''} = ${size.h} of ${there.h} down`,
						`${t} × ${rows} = ${capacity} entries${needs === undefined ? '' : ` for ${needs} wanted`}`
					],
					marks: () => [
						...titleMarks(setting, size.w, false),
						...Array.from({ length: t }, (_, index) => index).flatMap((index) =>
							oneTable(setting, ruled, { top, header, rows, high }, index * rows).map((mark) =>
								move(mark, { x: index * (one + gap), y: 0 })
							)
						)
					]
				};
			});
	});
}

/** A table's rows: where they begin, how many and how high. */
interface RuledRows {
	readonly top: number;
	readonly header: number;
	readonly rows: number;
	readonly high: number;
}

function oneTable(
	setting: Setting,
	columns: readonly RuledColumn[],
	{ top, header, rows, high }: RuledRows,
	before: number
): Mark[] {
	const widths = columns.map(({ width }) => width);
	const starts = widths.map((_, index) =>
		widths.slice(0, index).reduce((sum, width) => sum + width, 0)
	);
	const keptNames = columns.map(({ kept }) => kept);
	let x = 0;
	const names = columns.flatMap(({ name, width }) => {
		const place = { x, y: top + header - 1, w: width, h: 1 };
		x += width;
		return header > 0 ? [text(name, place, 'hand', 'start')] : [];
	});
	const tints = (everySecond.of(setting) ? Array.from({ length: rows }, (_, row) => row) : [])
		.filter((row) => row % 2 === 1)
		.map((row): Mark => {
			const y = top + header + row * high;
			return { kind: 'tint', tone: 'line', x: 0, y, w: x, h: high };
		});
	return [
		...tints,
		...names,
		...rowLines({ x: 0, y: top + header, w: x, h: 0 }, high, rows),
		...columnLines(0, top + header, rows * high, widths),
		...Array.from({ length: rows }, (_, row) => row).flatMap((row) =>
			columns.map(({ kept, width, holds = 'text' }, index) =>
				field(
					{ x: starts[index] ?? 0, y: top + header + row * high, w: width, h: high },
					{ row: before + row + 1, column: kept, ...whichOf(keptNames, index) },
					holds
				)
			)
		)
	];
}
