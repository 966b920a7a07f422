import { gapBetween } from '../form/common-rules';
import { cellDiscomfort } from '../form/form';
import { numberRule } from '../form/rule';
import type { WeekPlace } from './week';
import { weekForm } from './week-form';

const usualGap = 1;
const leastBox = 4;
const across = 2;

const shiftRule = numberRule({
	name: 'shift',
	label: 'Every other column lower by',
	least: 0,
	most: 20,
	unit: 'squares',
	more: true,
	chosen: ({ shift }) => shift
});

/**
 * A week in eight boxes over a spread, 2 × 2 a page, each page's by its own width; or six boxes on one page, the last two
 * days sharing one. Gaps of 1; `shift` lowers every other column. (Common practice.)
 */
export const weekBoxes = weekForm({
	id: 'week-boxes',
	name: 'Week in boxes',
	spans: ['spread', 'page'],
	rules: [gapBetween, shiftRule],
	grids: (setting, { pages }) => {
		const gap = gapBetween.of(setting) ?? usualGap;
		const shift = shiftRule.of(setting) ?? 0;
		const rows = pages.length > 1 ? 2 : 3;
		const lowest = Math.min(...pages.map(({ h }) => h));
		const h = Math.floor((lowest - shift - (rows - 1) * gap) / rows);
		const widths = pages.map(({ w }) => Math.floor((w - gap) / across));
		const w = Math.min(...widths);
		if (w < leastBox || h < leastBox) return [];
		const used = rows * h + (rows - 1) * gap + shift;
		const places = pages.flatMap((page, index) => {
			const wide = widths[index] ?? w;
			return [0, 1].flatMap((column) =>
				Array.from({ length: rows }, (_, row): WeekPlace => [
					{
						on: index === 0 ? 0 : 1,
						x: page.x + column * (wide + gap),
						y: page.y + row * (h + gap) + column * shift,
						w: wide,
						h
					}
				])
			);
		});
		const sums = pages.map(({ w: there }, index) => {
			const wide = widths[index] ?? w;
			return `${there} across: 2 × ${wide} + gap ${gap} = ${2 * wide + gap}`;
		});
		return [
			{
				places,
				discomfort: cellDiscomfort(Math.min(w, h) - 2),
				facts: {
					cell: { w, h },
					across,
					down: rows,
					gap,
					shift,
					over: (pages[widths.indexOf(w)]?.w ?? 0) - across * w - gap
				},
				why: [
					...new Set(sums),
					`${rows} × ${h} + ${rows - 1} × ${gap}${shift > 0 ? ` + shift ${shift}` : ''} = ${used} of ${lowest} down`
				]
			}
		];
	}
});
