import { titleStyle } from '../form/common-rules';
import { field, grid, line, type Mark } from '../../draw';
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
		return labelsOf(setting).flatMap((labels) =>
			widths.map((wide): PageLayout => {
				const size = { w: dayLabelWidth + count * wide, h: top + labels.width + days };
				const columns = wide > 1 ? `${count} × ${wide}` : `${count}`;
				return {
					size,
					generous: wide > 1,
					discomfort: labels.discomfort,
					facts: {
						rows: days,
						across: count,
						label: labels.width,
						width: wide,
						title: top,
						days,
						capacity: count
					},
					why: [
						`${titleSum(top)}${labels.what} ${labels.width} + ${days} days = ${size.h} of ${there.h} down`,
						`days ${dayLabelWidth} + ${columns} = ${size.w} of ${there.w} across`
					],
					marks: () => [
						...titleMarks(setting, size.w, false),
						...matrix(setting, labels, top, wide)
					]
				};
			})
		);
	}
});

function matrix(setting: Setting, { labels, width }: Labels, top: number, wide: number): Mark[] {
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
			// Names are as large over wide columns as over narrow ones.
			x: dayLabelWidth + index * wide + Math.floor((wide - 1) / 2),
			y: top,
			w: 1,
			h: width
		})),
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
