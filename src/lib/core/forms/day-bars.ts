import { textWidth } from '../hand';
import { numberRule } from './rule';
import { titleStyle } from './common-rules';
import { grid, line, text, type Mark } from '../draw';
import { pageForm, type Setting } from './form';
import { dayColumn, dayLabelWidth, daysShown } from './day-labels';
import { titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';
import { datesOfWeek } from './week-boxes-list';

const header = 1;
const leastText = 6;
const [longBar, shortBar] = [20, 10];
const percent = { first: 0, last: 100, step: 50 };

const value = (name: 'first' | 'last' | 'step', label: string, least: number) =>
	numberRule({ name, label, least, most: 1_000_000, chosen: () => percent[name] });
const firstValue = value('first', 'Scale from', 0);
const lastValue = value('last', 'to', 1);
const stepValue = value('step', 'in steps of', 1);
const barLength = numberRule({
	name: 'bar',
	label: 'Bars up to',
	least: 2,
	most: 100,
	unit: 'squares',
	more: true,
	chosen: ({ across }) => across
});

/** A scale of values over a bar: so many steps, each of so many squares. */
interface Scale {
	readonly first: number;
	readonly step: number;
	readonly steps: number;
	readonly each: number;
}

/** The scale in a bar's length; undefined when a step would be less than a square. */
function scaleIn(setting: Setting, bar: number): Scale | undefined {
	const first = firstValue.of(setting) ?? percent.first;
	const last = Math.max(first + 1, lastValue.of(setting) ?? percent.last);
	const span = last - first;
	const step = Math.min(span, stepValue.of(setting) ?? (span === 100 ? percent.step : span));
	const steps = Math.ceil(span / step);
	const each = Math.floor(bar / steps);
	return each >= 1 ? { first, step, steps, each } : undefined;
}

/**
 * A bar a day over a scale (percent unless it says otherwise): steps of whole squares, up to 20 or 10 in all, and beside
 * it a paragraph a week where at least 6 squares are left. Steps from 0 to 12,000 by 2,000: 6 × 3 = 18. (Common
 * practice.)
 */
export const dayBars = pageForm({
	id: 'day-bars',
	name: 'A bar a day',
	content: ['title'],
	rules: [titleStyle, firstValue, lastValue, stepValue, barLength],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const days = daysShown(setting).length;
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
				marks: () => [...titleMarks(setting, size.w, false), ...bars(setting, top, scale, texts)]
			}
		];
	}
});

/** Values at the ends of the steps, as many of them as do not touch, the last one always. */
function valueMarks({ hand }: Setting, { first, step, steps, each }: Scale, y: number): Mark[] {
	const label = (at: number) => String(first + at * step);
	const w = Math.max(2, textWidth(label(steps), hand));
	const every = Math.ceil(w / each);
	return Array.from({ length: steps }, (_, index) => index + 1)
		.filter((at) => (steps - at) % every === 0 && at * each >= w - dayLabelWidth)
		.map((at) => text(label(at), { x: dayLabelWidth + at * each - w, y, w, h: 1 }, 'figure'));
}

function bars(setting: Setting, top: number, scale: Scale, texts: number): Mark[] {
	const { weeks, lead } = setting.month;
	const shown = daysShown(setting);
	const days = shown.length;
	/** Days of the month before the first one shown. */
	const before = (shown[0] ?? 1) - 1;
	const y = top + header;
	const bar = scale.steps * scale.each;
	const marks: Mark[] = [
		...valueMarks(setting, scale, top),
		...dayColumn(setting, shown, { x: 0, y }),
		...grid({ x: dayLabelWidth, y }, { w: scale.each, h: 1 }, scale.steps, days)
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
