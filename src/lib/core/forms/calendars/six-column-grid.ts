import { titleStyle, cellSize, datePlace, headerRows, weekdayStyle } from '../form/common-rules';
import { field, grid, line, text, type Mark } from '../../draw';
import { monthShape, weekdayNames } from '../../month';
import { headerOf } from './calendar-cells';
import { dateIn } from '../parts/date-square';
import { dayEventMarks, eventSums } from './cell-events';
import { cellDiscomfort, pageForm, type PageLayout, type Setting } from '../form/form';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const columns = 6;

/** The month as this form counts it: from Monday, whatever the week start elsewhere. */
function fromMonday(setting: Setting): Setting {
	return { ...setting, month: monthShape(setting.month, 'monday') };
}

/**
 * Monday to Friday and one shared column, Saturday above Sunday, so the cell height is even; counted
 * Monday to Sunday whatever the week start. Default header 1. (Common practice.)
 */
export const sixColumnGrid = pageForm({
	id: 'six-column-grid',
	name: 'Six columns, shared weekend',
	content: ['title', 'events'],
	rules: [titleStyle, cellSize, datePlace, weekdayStyle, headerRows],
	layouts: (given, there) => {
		const setting = fromMonday(given);
		const { month } = setting;
		const asked = cellSize.of(setting);
		const top = titleRows(setting);
		const header = headerOf(setting);
		const w = asked?.w ?? Math.floor(there.w / columns);
		const most = Math.floor((there.h - top - header) / month.weeks);
		// Saturday and Sunday take half the height each, so it must be even; what is free is grown into.
		const even = (high: number) => high - (high % 2);
		const usual = even(Math.min(most, Math.max(w, 2) + 1));
		const tall = even(Math.min(most, Math.ceil(1.5 * w)));
		const heights = asked ? [asked.h + (asked.h % 2)] : tall > usual ? [usual, tall] : [usual];
		return heights.flatMap((h): PageLayout[] => {
			if (w < 1 || h < 2) return [];
			const size = { w: columns * w, h: top + header + month.weeks * h };
			return [
				{
					generous: !asked && h > usual,
					size,
					discomfort: cellDiscomfort(Math.min(w, h)),
					facts: {
						cell: { w, h },
						rows: month.weeks,
						weeks: month.weeks,
						days: month.days,
						lead: month.lead,
						header,
						title: top,
						over: there.w - size.w
					},
					why: [
						`6 × ${w} = ${size.w} of ${there.w} across, ${there.w - size.w} over`,
						`${titleSum(top)}header ${header} + ${month.weeks} weeks × ${h} = ${size.h} down`,
						'counted from Monday: Saturday stands above Sunday in the sixth column',
						...eventSums(setting, h)
					],
					marks: () => [...titleMarks(setting, size.w, false), ...cells(setting, top, header, w, h)]
				}
			];
		});
	}
});

function cells(setting: Setting, top: number, header: number, w: number, h: number): Mark[] {
	const { month, locale } = setting;
	const style = weekdayStyle.of(setting);
	const long = w >= 3 && style !== 'narrow';
	const names = weekdayNames(locale, 'monday', long ? 'short' : 'narrow');
	const y = top + header;
	const marks: Mark[] = names
		.slice(0, 5)
		.map((name, column) =>
			text(name, { x: column * w, y: y - 1, w, h: Math.min(1, header) }, 'hand')
		);
	const weekend = long ? names.slice(5).map((name) => [...name][0]) : [names[5]];
	marks.push(text(weekend.join('/'), { x: 5 * w, y: y - 1, w, h: Math.min(1, header) }, 'hand'));
	for (let day = 1; day <= month.days; day++) {
		const index = month.lead + day - 1;
		const weekday = index % 7;
		const row = Math.floor(index / 7);
		const x = Math.min(weekday, 5) * w;
		const shared = weekday === 6 ? h / 2 : 0;
		if (weekday >= 5)
			marks.unshift({ kind: 'tint', tone: 'rest', x, y: y + row * h + shared, w, h: h / 2 });
		const cell = { x, y: y + row * h + shared, w, h: weekday >= 5 ? h / 2 : h };
		marks.push(...dateIn(setting, day, cell));
		marks.push(...dayEventMarks(setting, day, cell), field(cell, { day }, 'text'));
	}
	marks.push(...grid({ x: 0, y }, { w, h }, columns, month.weeks));
	for (let row = 0; row < month.weeks; row++)
		marks.push(line(5 * w, y + row * h + h / 2, 6 * w, y + row * h + h / 2));
	const named = header > 0 && style !== 'none';
	return named ? marks : marks.filter((mark) => mark.kind !== 'text' || mark.y >= y);
}
