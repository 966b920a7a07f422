import { titleStyle } from './common-rules';
import { grid, line, text, type Mark } from '../draw';
import { pageForm, type Setting } from './form';
import { dayColumn, dayLabelWidth, daysFrom } from './day-labels';
import { titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';
import { datesOfWeek } from './week-boxes-list';

const header = 1;
const leastText = 6;

/**
 * A bar a day of 0 to 100 % over 20 or 10 squares, and beside it a paragraph a week where at least 6
 * squares are left. (Common practice.)
 */
export const dayBars = pageForm({
	id: 'day-bars',
	name: 'A bar a day',
	content: ['title'],
	rules: [titleStyle],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const { days } = setting.month;
		// Bars of 20 squares wherever they fit: in the same room shorter ones would never be drawn.
		return (there.w >= dayLabelWidth + 20 ? [20] : [10]).flatMap((bar) => {
			const beside = there.w - dayLabelWidth - bar;
			if (beside < 0) return [];
			const texts = beside >= leastText ? beside : 0;
			const size = { w: dayLabelWidth + bar + texts, h: top + header + days };
			return [
				{
					size,
					discomfort: (bar === 10 ? 10 : 0) + (texts === 0 ? 10 : 0),
					facts: { rows: days, across: bar, header, title: top, days, over: there.w - size.w },
					why: [
						`days ${dayLabelWidth} + bars ${bar}${texts > 0 ? ` + text ${texts}` : ''} = ${size.w} of ${there.w} across`,
						`${titleSum(top)}header ${header} + ${days} days = ${size.h} of ${there.h} down`
					],
					marks: () => [...titleMarks(setting, size.w, false), ...bars(setting, top, bar, texts)]
				}
			];
		});
	}
});

function bars(setting: Setting, top: number, bar: number, texts: number): Mark[] {
	const { days, weeks, lead } = setting.month;
	const y = top + header;
	const step = bar / 2;
	const marks: Mark[] = [
		text('50', { x: dayLabelWidth + step - 1, y: top, w: 2, h: 1 }, 'figure'),
		text('100', { x: dayLabelWidth + bar - 2, y: top, w: 2, h: 1 }, 'figure'),
		...dayColumn(setting, daysFrom(1, days), { x: 0, y }),
		...grid({ x: dayLabelWidth, y }, { w: step, h: 1 }, 2, days)
	];
	if (texts === 0) return marks;
	const x = dayLabelWidth + bar;
	for (let row = 0; row < weeks; row++) {
		const first = Math.max(0, 7 * row - lead);
		const last = Math.min(days, 7 * (row + 1) - lead);
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
