import { choiceRule } from '../form/rule';
import { titleStyle, firstHour, hoursShown } from '../form/common-rules';
import { field, grid, line, text, type Mark } from '../../draw';
import { pageForm, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, daysShown } from '../parts/day-labels';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const total = 2;
const header = 1;
/** An axis from evening to evening breaks no night (common practice). */
const usualStart = 18;
/** From such an hour on an axis is one of nights. */
const nightStart = 15;
/** A night's axis ends at noon or later, never before waking; a day's is at least so long (common practice). */
const noon = 12;
const leastDay = 8;

/** Which way the hours of an axis run. */
export const axis = choiceRule({
	name: 'axis',
	label: 'Hours run',
	more: true,
	options: [
		['onward', 'from the first on'],
		['back', 'to the first']
	],
	usual: 'onward'
});

/** Hours that an axis from an hour on must show. */
function leastFrom(start: number): number {
	return start >= nightStart ? 24 - start + noon : leastDay;
}

/**
 * Days down, hours across: label 2 + hours × squares an hour + total 2. The axis starts at 18 o'clock
 * unless `from` says otherwise, and may run either way; where not all 24 hours fit, as many as do. (Common practice.)
 */
export const hours = pageForm({
	id: 'hours',
	name: 'Hours of each day',
	content: ['title'],
	rules: [titleStyle, firstHour, hoursShown, axis],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const days = daysShown(setting).length;
		const most = there.w - dayLabelWidth - total;
		const wanted = hoursShown.of(setting);
		const start = firstHour.of(setting) ?? usualStart;
		const least = leastFrom(start);
		// Where a night has too few squares, one of them stands for two hours.
		const per = wanted === undefined && most < least && start >= nightStart ? 2 : 1;
		const hours = wanted ?? Math.min(24, most * per);
		if (hours < (wanted ? 1 : least)) return [];
		const count = Math.ceil(hours / per);
		const each = Math.max(1, Math.min(2, Math.floor(most / count)));
		return [...new Set([each, 1])].map((wide) => {
			const size = { w: dayLabelWidth + count * wide + total, h: top + header + days };
			return {
				size,
				discomfort: per > 1 ? 30 : hours >= 24 ? 0 : hours >= 16 ? 10 : 30,
				facts: {
					hours,
					rows: days,
					header,
					title: top,
					days,
					cell: { w: wide, h: 1 },
					over: there.w - size.w
				},
				why: [
					per > 1
						? `days ${dayLabelWidth} + ${count} squares for ${hours} hours + total ${total} = ${size.w} of ${there.w} across`
						: `days ${dayLabelWidth} + ${count} hours × ${wide} + total ${total} = ${size.w} of ${there.w} across`,
					`${titleSum(top)}header ${header} + ${days} days = ${size.h} of ${there.h} down`
				],
				marks: () => [
					...titleMarks(setting, size.w, false),
					...chart(setting, top, count, wide, per)
				]
			};
		});
	}
});

function chart(setting: Setting, top: number, count: number, wide: number, per: number): Mark[] {
	const days = daysShown(setting).length;
	const start = firstHour.of(setting) ?? usualStart;
	const y = top + header;
	const end = dayLabelWidth + count * wide;
	return [
		...hourLabels(
			start,
			count,
			wide,
			{ x: dayLabelWidth, y: top },
			per,
			axis.of(setting) === 'back'
		),
		text('Σ', { x: end, y: top, w: total, h: 1 }, 'hand'),
		...dayColumn(setting, daysShown(setting), { x: 0, y }),
		...grid({ x: dayLabelWidth, y }, { w: wide, h: 1 }, count, days),
		...Array.from({ length: days + 1 }, (_, row) => line(end, y + row, end + total, y + row)),
		line(end + total, y, end + total, y + days),
		...daysShown(setting).map((day, row) => ({
			...field(
				{ x: dayLabelWidth, y: y + row, w: end + total - dayLabelWidth, h: 1 },
				{ day },
				'times'
			),
			scale: {
				from: start * 60,
				per: (60 * per) / wide,
				squares: count * wide,
				...(axis.of(setting) === 'back' ? { back: true } : {})
			}
		}))
	];
}

/** Every second hour's number, at its line. */
export function hourLabels(
	start: number,
	count: number,
	wide: number,
	at: { x: number; y: number },
	per = 1,
	back = false
): Mark[] {
	const step = wide === 1 ? 2 : 1;
	return Array.from({ length: Math.ceil(count / step) }, (_, index) => {
		const square = index * step;
		const hour = start + (back ? count - square : square) * per;
		return text(String(hour % 24), { x: at.x + square * wide, y: at.y, w: 1, h: 1 }, 'figure');
	});
}
