import { titleStyle, restDays } from './common-rules';
import { line, text, type Mark } from '../draw';
import { dayEventLine } from './cell-events';
import { pageForm, type Setting } from './form';
import { dayColumn, dayLabelWidth, daysFrom, restsOn } from './day-labels';
import { rowLines, titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';

const header = 2;
const leastText = 4;

/**
 * Days 1 to the last down the page: header 2 + a row a day, one column beside the dates or one on
 * either side (`parts` names them), rest days tinted. Where the page is too low the days stand in two
 * parts side by side. (Common practice.)
 */
export const monthList = pageForm({
	id: 'month-list',
	name: 'Month list',
	content: ['title', 'parts', 'events'],
	rules: [titleStyle, restDays],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const { days } = setting.month;
		return [1, 2].flatMap((across) => {
			const rows = Math.ceil(days / across);
			const w = Math.floor(there.w / across);
			if (w < width(setting)) return [];
			const size = { w: w * across, h: top + header + rows };
			return [
				{
					size,
					discomfort: across === 1 ? (w < 14 ? 15 : 0) : 20,
					facts: { rows, across, header, title: top, days, capacity: days },
					why: [
						`${titleSum(top)}header ${header} + ${rows} days = ${size.h} of ${there.h} down`,
						across === 1 ? `${w} across` : `2 × ${w} = ${size.w} of ${there.w} across`
					],
					marks: () => [
						...titleMarks(setting, size.w, false),
						...daysFrom(1, across).flatMap((part) =>
							partMarks(
								setting,
								(part - 1) * w,
								top,
								w,
								daysFrom((part - 1) * rows + 1, Math.min(days, part * rows)),
								rows
							)
						)
					]
				}
			];
		});
	}
});

function sides({ content }: Setting): readonly string[] {
	return content.parts ?? [''];
}

function width(setting: Setting): number {
	return dayLabelWidth + Math.min(2, Math.max(1, sides(setting).length)) * leastText;
}

function partMarks(
	setting: Setting,
	x: number,
	top: number,
	w: number,
	days: readonly number[],
	rows: number
): Mark[] {
	const y = top + header;
	const two = sides(setting).length > 1;
	const dates = x + (two ? Math.floor((w - dayLabelWidth) / 2) : 0);
	const tints = days.flatMap((day, row): Mark[] =>
		restsOn(setting, day) ? [{ kind: 'tint', tone: 'rest', x, y: y + row, w, h: 1 }] : []
	);
	const left = sides(setting)[0] ?? '';
	const right = sides(setting)[1] ?? '';
	const after = dates + dayLabelWidth;
	const headings = two
		? [
				text(left, { x, y: top + 1, w: dates - x, h: 1 }, 'hand'),
				text(right, { x: after, y: top + 1, w: x + w - after, h: 1 }, 'hand')
			]
		: [text(left, { x: after, y: top + 1, w: x + w - after, h: 1 }, 'hand')];
	return [
		...tints,
		...headings.filter((heading) => heading.text),
		...dayColumn(setting, days, { x: dates, y }),
		...days.flatMap((day, row) =>
			dayEventLine(setting, day, { x: after, y: y + row, w: x + w - after, h: 1 })
		),
		...rowLines({ x, y, w, h: 0 }, 1, rows),
		line(dates, y, dates, y + rows),
		line(after, y, after, y + rows),
		line(x, y, x, y + rows),
		line(x + w, y, x + w, y + rows)
	];
}
