import { titleStyle, firstHour, hoursShown } from '../form/common-rules';
import { field, grid, move, type Mark } from '../../draw';
import { pageForm, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, daysShown } from '../parts/day-labels';
import { axis, hourLabels } from './hours';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const header = 1;
const usualHours = 8;
const bedFrom = 20;
const wakeFrom = 4;

/**
 * Two charts side by side, one of bedtimes and one of times of waking, each label 2 + hours wide, without
 * totals: with 8 hours 2 × (2 + 8) = 20. The first axis starts at 20 o'clock, or where `from` says; the
 * second 8 hours later. (Common practice.)
 */
export const bedWake = pageForm({
	id: 'bed-wake',
	name: 'Bedtime and waking',
	content: ['title'],
	rules: [titleStyle, firstHour, hoursShown, axis],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const days = daysShown(setting).length;
		const count =
			hoursShown.of(setting) ?? Math.min(usualHours, Math.floor(there.w / 2) - dayLabelWidth);
		if (count < 4 && hoursShown.of(setting) === undefined) return [];
		const one = dayLabelWidth + count;
		const size = { w: 2 * one, h: top + header + days };
		const start = firstHour.of(setting) ?? bedFrom;
		return [
			{
				size,
				discomfort: count >= usualHours ? 0 : 20,
				facts: {
					hours: count,
					rows: days,
					header,
					title: top,
					days,
					across: 2,
					over: there.w - size.w
				},
				why: [
					`2 × (${dayLabelWidth} + ${count}) = ${size.w} of ${there.w} across`,
					`${titleSum(top)}header ${header} + ${days} days = ${size.h} of ${there.h} down`
				],
				marks: () => [
					...titleMarks(setting, size.w, false),
					...chart(setting, start, count, top),
					...chart(setting, (start + wakeFrom + 4) % 24, count, top).map((mark) =>
						move(mark, { x: one, y: 0 })
					)
				]
			}
		];
	}
});

function chart(setting: Setting, start: number, count: number, top: number): Mark[] {
	const days = daysShown(setting).length;
	return [
		...hourLabels(start, count, 1, { x: dayLabelWidth, y: top }, 1, axis.of(setting) === 'back'),
		...dayColumn(setting, daysShown(setting), { x: 0, y: top + header }),
		...grid({ x: dayLabelWidth, y: top + header }, { w: 1, h: 1 }, count, days),
		// Both charts show one night, so both fields are about it.
		...daysShown(setting).map((day, row) =>
			field({ x: dayLabelWidth, y: top + header + row, w: count, h: 1 }, { day }, 'times')
		)
	];
}
