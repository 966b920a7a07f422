import { numberRule } from '../form/rule';
import { headerRows, titleStyle } from '../form/common-rules';
import { grid, line, text, type Mark } from '../../draw';
import { pageForm, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, daysShown } from '../parts/day-labels';
import { dayField } from '../parts/key';
import { titleSum } from '../parts/rows';
import {
	firstValue,
	lastValue,
	scaleOf,
	stepValue,
	unitMarks,
	unitWidth,
	valuesAcross,
	type Scale
} from '../parts/scale';
import { titleMarks, titleRows } from '../parts/title-band';
import { datesOfWeek } from '../lists/week-boxes-list';

const usualHeader = 1;
const leastText = 6;
const [longBar, shortBar] = [20, 10];
const barLength = numberRule({
	name: 'bar',
	label: 'Bars up to',
	least: 2,
	most: 100,
	unit: 'squares',
	more: true,
	chosen: ({ across }) => across
});

/** A scale over a bar: each of its steps takes so many squares. */
interface BarScale extends Scale {
	readonly each: number;
}

/** The scale in a bar's length; undefined when a step would be less than a square. */
function scaleIn(setting: Setting, bar: number): BarScale | undefined {
	const scale = scaleOf(setting);
	const each = Math.floor(bar / scale.steps);
	return each >= 1 ? { ...scale, each } : undefined;
}

/**
 * A bar a day over a scale (percent unless it says otherwise): steps of whole squares, up to 20 or 10 in all, and beside
 * it a paragraph a week where at least 6 squares are left. Steps from 0 to 12,000 by 2,000: 6 × 3 = 18. (Common
 * practice.)
 */
export const dayBars = pageForm({
	id: 'day-bars',
	name: 'A bar a day',
	content: ['title', 'unit'],
	rules: [titleStyle, firstValue, lastValue, stepValue, barLength, headerRows],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const days = daysShown(setting).length;
		const header = headerRows.of(setting) ?? usualHeader;
		const wanted = barLength.of(setting);
		// Long bars wherever they fit: in the same room shorter ones would never be drawn.
		const scale = (wanted ? [wanted] : [longBar, shortBar])
			.flatMap((bar) => scaleIn(setting, bar) ?? [])
			.find(({ steps, each }) => dayLabelWidth + steps * each <= there.w);
		if (!scale) return [];
		const bar = scale.steps * scale.each;
		const beside = there.w - dayLabelWidth - bar;
		const texts = beside >= leastText ? beside : 0;
		const size = { w: dayLabelWidth + bar + texts, h: top + header + days };
		return [
			{
				size,
				discomfort: (bar <= shortBar ? 10 : 0) + (texts === 0 ? 10 : 0),
				facts: { rows: days, across: bar, header, title: top, days, over: there.w - size.w },
				why: [
					`days ${dayLabelWidth} + ${scale.steps} steps × ${scale.each}${texts > 0 ? ` + text ${texts}` : ''} = ${size.w} of ${there.w} across`,
					`${titleSum(top)}header ${header} + ${days} days = ${size.h} of ${there.h} down`
				],
				marks: () => [
					...titleMarks(setting, size.w, false),
					...bars(setting, top + header, scale, texts)
				]
			}
		];
	}
});

function bars(setting: Setting, y: number, scale: BarScale, texts: number): Mark[] {
	const { weeks, lead } = setting.month;
	const shown = daysShown(setting);
	const days = shown.length;
	/** Days of the month before the first one shown. */
	const before = (shown[0] ?? 1) - 1;
	const bar = scale.steps * scale.each;
	const marks: Mark[] = [
		...(y > titleRows(setting)
			? [
					...valuesAcross(setting, scale, scale.each, y - 1),
					...unitMarks(setting, { x: 0, y: y - 1, w: unitWidth(setting, scale), h: 1 })
				]
			: []),
		...dayColumn(setting, shown, { x: 0, y }),
		...grid({ x: dayLabelWidth, y }, { w: scale.each, h: 1 }, scale.steps, days),
		...shown.map((day, row) => ({
			...dayField(setting, { x: dayLabelWidth, y: y + row, w: bar, h: 1 }, { day }, 'number'),
			scale: { from: scale.first, per: scale.step / scale.each, squares: bar }
		}))
	];
	if (texts === 0) return marks;
	const x = dayLabelWidth + bar;
	for (let row = 0; row < weeks; row++) {
		const first = Math.max(0, 7 * row - lead - before);
		const last = Math.min(days, 7 * (row + 1) - lead - before);
		if (first >= last) continue;
		marks.push(
			text(
				datesOfWeek(setting, row),
				{ x, y: y + first, w: Math.min(4, texts), h: 1 },
				'figure',
				'start'
			),
			line(x, y + last, x + texts, y + last)
		);
	}
	return [...marks, line(x, y, x + texts, y), line(x + texts, y, x + texts, y + days)];
}
