import { choiceRule } from './rule';
import { titleStyle, cellSize } from './common-rules';
import { grid, text, type Mark } from '../draw';
import { letters, lettersIn, textWidth } from '../hand';
import { monthName, weekdayNames } from '../month';
import { cellDiscomfort, pageForm, type Setting } from './form';
import { titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';

const header = 1;
const usualParts = ['Morning', 'Noon', 'Evening'];

/** Row labels: the wish's items, or the days of a week. */
function rowsOf({ content, locale, month }: Setting): readonly string[] {
	if (content.items && content.items.length > 0) return content.items.map(({ name }) => name);
	return weekdayNames(locale, month.weekStart, 'short');
}

const acrossRule = choiceRule({
	name: 'across',
	label: 'Columns are',
	options: [
		['parts', 'the parts'],
		['months', 'the twelve months']
	],
	usual: 'parts'
});

/** Column labels: the wish's parts, the twelve months, or the parts of a day. */
function columnsOf(setting: Setting): readonly string[] {
	const { content, locale } = setting;
	if (acrossRule.of(setting) === 'months')
		return Array.from({ length: 12 }, (_, index) =>
			monthName(locale, { year: 2023, month: index + 1 }, 'narrow')
		);
	return content.parts && content.parts.length > 0 ? content.parts : usualParts;
}

/**
 * Row labels × column labels, such as meals of a week or chores by the twelve months: label column as wide as the longest row label, header 1, cells as large as they go, up to
 * 9 × 4. (Common practice.)
 */
export const gridTable = pageForm({
	id: 'grid-table',
	name: 'Rows by columns',
	content: ['title', 'items', 'parts'],
	rules: [titleStyle, acrossRule, cellSize],
	layouts: (setting, there) => {
		const rows = rowsOf(setting);
		const columns = columnsOf(setting);
		const top = titleRows(setting);
		const label = labelWidth(setting);
		const asked = cellSize.of(setting);
		const wide = asked?.w ?? Math.min(9, Math.floor((there.w - label) / columns.length));
		const most = asked?.h ?? Math.min(4, Math.floor((there.h - top - header) / rows.length));
		const heights = asked ? [most] : [most, 2, 1].filter((h) => h <= most);
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
