import { titleStyle } from '../form/common-rules';
import { field, grid, line, text, type Mark } from '../../draw';
import { textWidth } from '../../hand';
import { pageForm, type PageLayout, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, daysShown } from '../parts/day-labels';
import { dayField } from '../parts/key';
import {
	beginsWeek,
	isWeekly,
	itemNames,
	itemsOf,
	labelsOf,
	weekOf,
	type Labels
} from '../parts/labels';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

/** Wider columns are none that a tick fills. */
const mostWide = 5;
/** Names across a column stand in so many lines at most. */
const mostLines = 3;

/**
 * Days down, items across, a square each: label height ceil(longest label / letters per square) + days
 * high, 2 + items wide, and columns grow to 5 squares where they have room; labels are written upwards, and a weekly habit has a box a week. Where names are too long, short forms or symbols
 * stand for them. (Common practice.)
 */
export const matrixDaysDown = pageForm({
	id: 'matrix-days-down',
	name: 'Days down, habits across',
	content: ['title', 'items'],
	rules: [titleStyle],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const days = daysShown(setting).length;
		const count = itemsOf(setting).length;
		const widest = Math.min(mostWide, Math.floor((there.w - dayLabelWidth) / Math.max(1, count)));
		const widths = Array.from({ length: Math.max(1, widest) }, (_, index) => index + 1);
		const ways = [
			...labelsOf(setting).flatMap((labels) =>
				widths.map((wide): Heads => ({
					...labels,
					wide,
					turned: labels.width > 1,
					grown: wide > 1
				}))
			),
			...headsAcross(setting, widths)
		];
		return ways.map((heads): PageLayout => {
			const { wide, width: label } = heads;
			const size = { w: dayLabelWidth + count * wide, h: top + label + days };
			const columns = wide > 1 ? `${count} × ${wide}` : `${count}`;
			return {
				size,
				generous: heads.grown,
				discomfort: heads.discomfort,
				facts: {
					rows: days,
					across: count,
					label,
					width: wide,
					title: top,
					days,
					capacity: count
				},
				why: [
					`${titleSum(top)}${heads.what} ${label} + ${days} days = ${size.h} of ${there.h} down`,
					`days ${dayLabelWidth} + ${columns} = ${size.w} of ${there.w} across`
				],
				marks: () => [...titleMarks(setting, size.w, false), ...matrix(setting, heads, top)]
			};
		});
	}
});

/** How the names stand over their columns: upwards, or across in lines where the columns are wide enough. */
interface Heads extends Labels {
	readonly wide: number;
	readonly turned: boolean;
	/** Wider than the names need. */
	readonly grown: boolean;
}

/** Names across their columns in up to three lines, at each width that has room for every word. */
function headsAcross(setting: Setting, widths: readonly number[]): Heads[] {
	const names = itemsOf(setting).map(({ name }) => name);
	const able = widths.flatMap((wide) => {
		const all = names.map((name) => linesOf(setting, name, wide));
		const rows = Math.max(1, ...all.map((lines) => lines?.length ?? Infinity));
		return wide > 1 && rows <= mostLines ? [{ wide, rows }] : [];
	});
	return able.map(({ wide, rows }, at) => ({
		labels: names,
		width: rows,
		what: 'names' as const,
		discomfort: 0,
		wide,
		turned: false,
		grown: at > 0
	}));
}

/** The words of a name in as few lines as they take; nothing where one of them is too long for a line. */
function linesOf({ hand }: Setting, name: string, wide: number): readonly string[] | undefined {
	const words = name.split(' ').filter(Boolean);
	if (words.some((word) => textWidth(word, hand) > wide)) return undefined;
	return words.reduce<readonly string[]>((lines, word) => {
		const last = lines.at(-1);
		const longer = last === undefined ? word : `${last} ${word}`;
		if (last === undefined || textWidth(longer, hand) > wide) return [...lines, word];
		return [...lines.slice(0, -1), longer];
	}, []);
}

function headMarks(setting: Setting, { labels, width, wide, turned }: Heads, top: number): Mark[] {
	return labels.flatMap((label, index): Mark[] => {
		const x = dayLabelWidth + index * wide;
		if (!turned && wide > 1) {
			const lines = linesOf(setting, label, wide) ?? [label];
			const y = top + width - lines.length;
			return lines.map((line, row) => text(line, { x, y: y + row, w: wide, h: 1 }, 'hand'));
		}
		// Names are as large over wide columns as over narrow ones.
		const middle = x + Math.floor((wide - 1) / 2);
		return [{ ...text(label, { x: middle, y: top, w: 1, h: width }, 'hand', 'start'), turned }];
	});
}

function matrix(setting: Setting, heads: Heads, top: number): Mark[] {
	const { width, wide } = heads;
	const days = daysShown(setting);
	const y = top + width;
	const kept = itemNames(setting);
	return [
		...headMarks(setting, heads, top),
		...dayColumn(setting, days, { x: 0, y }),
		...itemsOf(setting).flatMap((item, index): Mark[] => {
			const x = dayLabelWidth + index * wide;
			const name = kept[index] ?? item.name;
			if (!isWeekly(item))
				return [
					...grid({ x, y }, { w: wide, h: 1 }, 1, days.length),
					...days.map((day, row) =>
						dayField(setting, { x, y: y + row, w: wide, h: 1 }, { item: name, day }, 'mark')
					)
				];
			const starts = days.flatMap((day, row) =>
				row > 0 && beginsWeek(setting, day) ? [y + row] : []
			);
			const end = y + days.length;
			return [
				line(x, y, x, end),
				line(x + wide, y, x + wide, end),
				...[y, ...starts, end].map((at) => line(x, at, x + wide, at)),
				...[y, ...starts].map((at, part) =>
					field(
						{ x, y: at, w: wide, h: ([...starts, end][part] ?? end) - at },
						{ item: name, week: weekOf(setting, days[at - y] ?? 1) },
						'mark'
					)
				)
			];
		})
	];
}
