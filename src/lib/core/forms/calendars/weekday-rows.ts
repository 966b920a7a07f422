import { titleStyle, cellSize, datePlace, headerRows } from '../form/common-rules';
import { field, grid, text, type Mark } from '../../draw';
import { cellOf, weekdayNames, weekNumbers } from '../../month';
import { dateIn } from '../parts/date-square';
import { dayEventMarks, eventSums } from './cell-events';
import { cellDiscomfort, pageForm, type Setting } from '../form/form';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const label = 2;
const usualHeader = 1;

/**
 * Calendar with the weekdays down and the weeks across: label column 2, header 1, cells
 * floor((W − 2) / weeks) × floor((H − 1) / 7); the header carries the week numbers. (Common practice.)
 */
export const weekdayRows = pageForm({
	id: 'weekday-rows',
	name: 'Weekdays down',
	content: ['title', 'events'],
	rules: [titleStyle, cellSize, datePlace, headerRows],
	layouts: (setting, there) => {
		const { month } = setting;
		const asked = cellSize.of(setting);
		const top = titleRows(setting);
		const header = headerRows.of(setting) ?? usualHeader;
		const w = asked?.w ?? Math.floor((there.w - label) / month.weeks);
		const h = asked?.h ?? Math.floor((there.h - top - header) / 7);
		if (w < 1 || h < 1) return [];
		const size = { w: label + month.weeks * w, h: top + header + 7 * h };
		return [
			{
				size,
				discomfort: cellDiscomfort(Math.min(w, h)),
				facts: {
					cell: { w, h },
					label,
					header,
					title: top,
					weeks: month.weeks,
					days: month.days,
					lead: month.lead,
					over: there.w - size.w
				},
				why: [
					`labels ${label} + ${month.weeks} weeks × ${w} = ${size.w} of ${there.w} across`,
					`${titleSum(top)}header ${header} + 7 × ${h} = ${size.h} of ${there.h} down`,
					...eventSums(setting, h)
				],
				marks: () => [...titleMarks(setting, size.w, false), ...cells(setting, top, header, w, h)]
			}
		];
	}
});

function cells(setting: Setting, top: number, header: number, w: number, h: number): Mark[] {
	const { month, locale } = setting;
	const y = top + header;
	const names = weekdayNames(locale, month.weekStart, 'narrow');
	const marks: Mark[] = names.map((name, row) =>
		text(name, { x: 0, y: y + row * h, w: label, h: 1 }, 'hand')
	);
	if (header > 0)
		weekNumbers(month).forEach((number, week) =>
			marks.push(text(String(number), { x: label + week * w, y: y - 1, w, h: 1 }, 'figure'))
		);
	for (let day = 1; day <= month.days; day++) {
		const { row: week, column } = cellOf(month, day);
		const cell = { x: label + week * w, y: y + column * h, w, h };
		marks.push(...dateIn(setting, day, cell));
		marks.push(...dayEventMarks(setting, day, cell), field(cell, { day }, 'text'));
	}
	return [...marks, ...grid({ x: label, y }, { w, h }, month.weeks, 7)];
}
