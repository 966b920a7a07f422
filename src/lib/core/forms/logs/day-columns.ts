import { everySecond, headerRows, titleStyle } from '../form/common-rules';
import { field, whichOf, text, type Mark } from '../../draw';
import { ruledColumns } from '../parts/columns';
import type { Column } from '../form/content';
import { pageForm, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, daysShown } from '../parts/day-labels';
import { columnLines, rowLines, titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const usualHeader = 2;
/** Between a title and what has no names of its own. */
const air = 1;
const samples: readonly Column[] = [
	{ name: 'Sleep', width: 4 },
	{ name: 'Steps', width: 4 },
	{ name: 'Weight', width: 4 }
];

/**
 * Days down, one narrow column a value beside them, each with its name or unit at the head: header 2 + a row a day; sleep,
 * steps and weight stand on one page. (Common practice.)
 */
export const dayColumns = pageForm({
	id: 'day-columns',
	name: 'Values in columns',
	content: ['title', 'columns'],
	rules: [titleStyle, everySecond, headerRows],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const columns = ruledColumns(setting, samples);
		const header = headerRows.of(setting) ?? (saysTitle(setting, columns) ? air : usualHeader);
		const days = daysShown(setting).length;
		const wide = columns.reduce((sum, { width }) => sum + width, 0);
		const size = { w: dayLabelWidth + wide, h: top + header + days };
		return [
			{
				size,
				discomfort: 0,
				facts: { rows: days, header, title: top, days, across: columns.length },
				why: [
					`days ${dayLabelWidth} + ${columns.map(({ name, width }) => `${name} ${width}`).join(' + ')} = ${size.w} of ${there.w} across`,
					`${titleSum(top)}header ${header} + ${days} days = ${size.h} of ${there.h} down`
				],
				marks: () => [...titleMarks(setting, size.w, false), ...columnMarks(setting, top, header)]
			}
		];
	}
});

/** Whether the one column is called as the title above it says already: no name is written twice. */
function saysTitle(setting: Setting, columns: readonly Column[]): boolean {
	const [first, second] = columns;
	const title = titleRows(setting) > 0 ? setting.content.title : setting.above;
	return (
		second === undefined &&
		title !== undefined &&
		first?.name.toLocaleLowerCase() === title.toLocaleLowerCase()
	);
}

function columnMarks(setting: Setting, top: number, header: number): Mark[] {
	const columns = ruledColumns(setting, samples);
	const shown = daysShown(setting);
	const y = top + header;
	const widths = columns.map(({ width }) => width);
	const w = dayLabelWidth + widths.reduce((sum, width) => sum + width, 0);
	const starts = widths.map((_, index) =>
		widths.slice(0, index).reduce((sum, width) => sum + width, dayLabelWidth)
	);
	const keptNames = columns.map(({ kept }) => kept);
	let x = dayLabelWidth;
	const names = columns.flatMap(({ name, width }): Mark[] => {
		const place = { x, y: y - 1, w: width, h: 1 };
		x += width;
		return header > 0 && !saysTitle(setting, columns) ? [text(name, place, 'hand')] : [];
	});
	return [
		...shown.flatMap((_, row): Mark[] =>
			everySecond.of(setting) && row % 2 === 1
				? [{ kind: 'tint', tone: 'line', x: 0, y: y + row, w, h: 1 }]
				: []
		),
		...names,
		...dayColumn(setting, shown, { x: 0, y }),
		...rowLines({ x: 0, y, w, h: 0 }, 1, shown.length),
		...columnLines(dayLabelWidth, y, shown.length, widths),
		...shown.flatMap((day, row) =>
			columns.map(({ kept, width, holds = 'number' }, index) =>
				field(
					{ x: starts[index] ?? 0, y: y + row, w: width, h: 1 },
					{ item: kept, day, ...whichOf(keptNames, index) },
					holds
				)
			)
		)
	];
}
