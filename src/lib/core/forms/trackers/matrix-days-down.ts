import { titleStyle } from '../form/common-rules';
import { field, grid, line, type Mark } from '../../draw';
import { pageForm, type Setting } from '../form/form';
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

/**
 * Days down, items across, a square each: label height ceil(longest label / letters per square) + days
 * high, 2 + items wide; labels are written upwards, and a weekly habit has a box a week. Where names are too long, short forms or symbols
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
		return labelsOf(setting).map((labels) => {
			const size = { w: dayLabelWidth + count, h: top + labels.width + days };
			return {
				size,
				discomfort: labels.discomfort,
				facts: {
					rows: days,
					across: count,
					label: labels.width,
					title: top,
					days,
					capacity: count
				},
				why: [
					`${titleSum(top)}${labels.what} ${labels.width} + ${days} days = ${size.h} of ${there.h} down`,
					`days ${dayLabelWidth} + ${count} = ${size.w} of ${there.w} across`
				],
				marks: () => [...titleMarks(setting, size.w, false), ...matrix(setting, labels, top)]
			};
		});
	}
});

function matrix(setting: Setting, { labels, width }: Labels, top: number): Mark[] {
	const days = daysShown(setting);
	const y = top + width;
	const kept = itemNames(setting);
	return [
		...labels.map((label, index): Mark => ({
			kind: 'text',
			text: label,
			style: 'hand',
			align: 'start',
			turned: width > 1,
			x: dayLabelWidth + index,
			y: top,
			w: 1,
			h: width
		})),
		...dayColumn(setting, days, { x: 0, y }),
		...itemsOf(setting).flatMap((item, index): Mark[] => {
			const x = dayLabelWidth + index;
			const name = kept[index] ?? item.name;
			if (!isWeekly(item))
				return [
					...grid({ x, y }, { w: 1, h: 1 }, 1, days.length),
					...days.map((day, row) =>
						dayField(setting, { x, y: y + row, w: 1, h: 1 }, { item: name, day }, 'mark')
					)
				];
			const starts = days.flatMap((day, row) =>
				row > 0 && beginsWeek(setting, day) ? [y + row] : []
			);
			const end = y + days.length;
			return [
				line(x, y, x, end),
				line(x + 1, y, x + 1, end),
				...[y, ...starts, end].map((at) => line(x, at, x + 1, at)),
				...[y, ...starts].map((at, part) =>
					field(
						{ x, y: at, w: 1, h: ([...starts, end][part] ?? end) - at },
						{ item: name, week: weekOf(setting, days[at - y] ?? 1) },
						'mark'
					)
				)
			];
		})
	];
}
