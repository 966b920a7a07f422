import { nameSide, titleStyle } from '../form/common-rules';
import { field, grid, line, move, text, type Mark } from '../../draw';
import type { Dot } from '../../paper';
import { pageSize, ranked, type Form, type Layout, type Setting } from '../form/form';
import { dayRow } from '../parts/day-labels';
import { daysAcross, daysAcrossRoom, daysAcrossSums, widthsAcross } from '../parts/days-across';
import { dayField } from '../parts/key';
import {
	beginsWeek,
	isWeekly,
	itemNames,
	itemsOf,
	labelsOf,
	sectionsOf,
	weekOf
} from '../parts/labels';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const header = 1;

/** A row: a group's name, or one of the items with a box a day or a week. */
type Row =
	| { readonly heading: string }
	| { readonly label: string; readonly item: string; readonly boxes: 'daily' | 'weekly' };

/** Rows of all items, those of a group under its name. */
function rowsOf(setting: Setting, labels: readonly string[]): Row[] {
	let next = 0;
	const kept = itemNames(setting);
	return sectionsOf(setting).flatMap(({ heading, items }): Row[] => [
		...(heading ? [{ heading }] : []),
		...items.map((item): Row => {
			const name = kept[next] ?? item.name;
			const label = labels[next++] ?? item.name;
			return { label, item: name, boxes: isWeekly(item) ? 'weekly' : 'daily' };
		})
	]);
}

/**
 * Items down, days across, a square each, beside a label column as wide as the longest label; header 1. Groups have a
 * row for their name; a weekly habit has a box a week. Over a spread the fold splits the days. (Common practice.)
 */
export const matrixDaysAcross: Form = {
	id: 'matrix-days-across',
	name: 'Habits down, days across',
	spans: ['page', 'spread'],
	content: ['title', 'items'],
	rules: [titleStyle, nameSide],
	layouts: (setting, room) => {
		const top = titleRows(setting);
		const items = itemsOf(setting).length;
		const there = pageSize(room);
		const layouts = labelsOf(setting).flatMap((labels): Layout[] => {
			const across = daysAcross(setting, room, labels.width, nameSide.of(setting));
			const rows = rowsOf(setting, labels.labels);
			const height = top + header + rows.length;
			if (!across || height > there.h) return [];
			const [left = 0] = widthsAcross(across);
			const indent = room.span === 'spread' ? room.left.w - left : 0;
			const headings = rows.length - items;
			return [
				{
					room: daysAcrossRoom(across, room, height),
					discomfort: labels.discomfort,
					stretches: false,
					facts: {
						rows: items,
						header,
						title: top,
						label: labels.width,
						days: setting.month.days,
						capacity: items,
						...(across.parts[1]
							? { split: [across.parts[0]?.length ?? 0, across.parts[1].length] as const }
							: {})
					},
					why: [
						...daysAcrossSums(across, room),
						`${titleSum(top)}header ${header} + ${items} rows${headings > 0 ? ` + ${headings} names of groups` : ''} = ${height} of ${there.h} down`
					],
					marks: () =>
						across.parts.map((days, part) => {
							const labelled = part === (across.side === 'left' ? 0 : across.parts.length - 1);
							const before = labelled && across.side === 'left' ? labels.width : 0;
							return [
								...(part === 0 ? titleMarks(setting, left, false) : []),
								...dayCells(setting, days, { x: before, y: top }, rows),
								...(labelled
									? labelMarks(rows, labels.width, {
											x: across.side === 'left' ? 0 : days.length,
											y: top + header
										})
									: [])
							].map((mark) => move(mark, { x: part === 0 ? indent : 0, y: 0 }));
						})
				}
			];
		});
		return ranked(layouts);
	}
};

function labelMarks(rows: readonly Row[], w: number, { x, y }: Dot): Mark[] {
	return rows.flatMap((row, index): Mark[] => {
		const place = { x, y: y + index, w, h: 1 };
		return 'heading' in row
			? [text(row.heading, place, 'hand')]
			: [text(row.label, place, 'hand', 'start'), line(x, place.y + 1, x + w, place.y + 1)];
	});
}

/** The days' numbers, and below them the rows' boxes: one a day, or one a week between the weeks' first days. */
function dayCells(
	setting: Setting,
	days: readonly number[],
	at: Dot,
	rows: readonly Row[]
): Mark[] {
	const y = at.y + header;
	return [
		...dayRow(days, at),
		...rows.flatMap((row, index): Mark[] => {
			if ('heading' in row) return [];
			const place = { x: at.x, y: y + index };
			if (row.boxes === 'weekly') return weekBoxes(setting, row.item, days, place);
			return [
				...grid(place, { w: 1, h: 1 }, days.length, 1),
				...days.map((day, at) =>
					dayField(
						setting,
						{ x: place.x + at, y: place.y, w: 1, h: 1 },
						{ item: row.item, day },
						'mark'
					)
				)
			];
		})
	];
}

function weekBoxes(setting: Setting, item: string, days: readonly number[], { x, y }: Dot): Mark[] {
	const starts = days.flatMap((day, index) =>
		index > 0 && beginsWeek(setting, day) ? [x + index] : []
	);
	const end = x + days.length;
	return [
		line(x, y, end, y),
		line(x, y + 1, end, y + 1),
		...[x, ...starts, end].map((at) => line(at, y, at, y + 1)),
		...[x, ...starts].map((at, index) => {
			const week = weekOf(setting, days[at - x] ?? 1);
			return field(
				{ x: at, y, w: ([...starts, end][index] ?? end) - at, h: 1 },
				{ item, week },
				'mark'
			);
		})
	];
}
