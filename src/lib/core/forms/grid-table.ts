import { grid, text, type Mark } from '../draw';
import { letters, lettersIn, textWidth } from '../hand';
import { monthName, weekdayNames } from '../month';
import { cellDiscomfort, pageForm, type Setting } from './form';
import { titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';

const header = 1;
const usualParts = ['Morning', 'Noon', 'Evening'];

/** Row labels: the wish's items, or the days of a week. */
function rowsOf({ wish, locale, month }: Setting): readonly string[] {
	if (wish.items && wish.items.length > 0) return wish.items.map(({ name }) => name);
	return weekdayNames(locale, month.weekStart, 'short');
}

/** Column labels: the wish's parts, the twelve months for `parts` of one empty name, or three meals. */
function columnsOf({ wish, locale }: Setting): readonly string[] {
	if (wish.parts?.length === 1 && wish.parts[0] === 'months')
		return Array.from({ length: 12 }, (_, index) =>
			monthName(locale, { year: 2023, month: index + 1 }, 'narrow')
		);
	return wish.parts && wish.parts.length > 0 ? wish.parts : usualParts;
}

/**
 * Row labels × column labels, such as meals of a week or chores by the twelve months (`parts` is then
 * ["months"]): label column as wide as the longest row label, header 1, cells as large as they go, up to
 * 9 × 4. (Common practice.)
 */
export const gridTable = pageForm({
	id: 'grid-table',
	name: 'Rows by columns',
	fields: ['title', 'titleStyle', 'items', 'parts', 'cell'],
	layouts: (setting, there) => {
		const rows = rowsOf(setting);
		const columns = columnsOf(setting);
		const top = titleRows(setting);
		const label = labelWidth(setting);
		const wide =
			setting.wish.cell?.w ?? Math.min(9, Math.floor((there.w - label) / columns.length));
		const most =
			setting.wish.cell?.h ?? Math.min(4, Math.floor((there.h - top - header) / rows.length));
		const heights = setting.wish.cell ? [most] : [most, 2, 1].filter((h) => h <= most);
		if (wide < 1) return [];
		return [...new Set(heights)]
			.filter((h) => h >= 1)
			.map((h) => {
				const size = { w: label + columns.length * wide, h: top + header + rows.length * h };
				return {
					size,
					discomfort: Math.round((cellDiscomfort(wide) + (h === 1 ? 15 : 0)) / 2),
					facts: {
						cell: { w: wide, h },
						label,
						header,
						title: top,
						rows: rows.length,
						across: columns.length,
						over: there.w - size.w
					},
					why: [
						`labels ${label} + ${columns.length} × ${wide} = ${size.w} of ${there.w} across`,
						`${titleSum(top)}header ${header} + ${rows.length} × ${h} = ${size.h} of ${there.h} down`
					],
					marks: () => [
						...titleMarks(setting, size.w, false),
						...cells(setting, rows, columns, { label, top, wide, h })
					]
				};
			});
	}
});

function labelWidth(setting: Setting): number {
	return Math.min(10, Math.max(1, ...rowsOf(setting).map((row) => textWidth(row, setting.hand))));
}

function cells(
	setting: Setting,
	rows: readonly string[],
	columns: readonly string[],
	{ label, top, wide, h }: { label: number; top: number; wide: number; h: number }
): Mark[] {
	const y = top + header;
	const fit = (name: string) =>
		letters(name)
			.slice(0, Math.max(1, lettersIn(wide, setting.hand)))
			.join('');
	return [
		...columns.map((name, index) =>
			text(fit(name), { x: label + index * wide, y: top, w: wide, h: 1 }, 'hand')
		),
		...rows.map((name, row) =>
			text(name, { x: 0, y: y + row * h, w: label, h: 1 }, 'hand', 'start')
		),
		...grid({ x: label, y }, { w: wide, h }, columns.length, rows.length)
	];
}
