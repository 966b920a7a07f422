import { titleStyle, entries, squareCell } from '../form/common-rules';
import { field, frame, text, type Mark } from '../../draw';
import { cellDiscomfort, pageForm, type Setting } from '../form/form';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

/** A narrower one is no board any more. */
const leastAcross = 5;

function countOf(setting: Setting): number {
	return Math.min(200, entries.of(setting) ?? setting.month.days);
}

/**
 * A run of numbered cells to and fro over the page, as steps on a board: as many as `entries`, or a cell a
 * day; every tenth is tinted as a band of the goal. Cells are as large as they go, up to 6 squares.
 */
export const path = pageForm({
	byChoice: true,
	id: 'path',
	name: 'Path of steps',
	content: ['title'],
	rules: [titleStyle, entries, squareCell],
	layouts: (setting, there) => {
		const count = countOf(setting);
		const top = titleRows(setting);
		const wanted = squareCell.of(setting);
		const sizes = wanted ? [wanted] : [6, 5, 4, 3, 2];
		return sizes.flatMap((s) => {
			const across = Math.min(count, Math.floor(there.w / s));
			if (across < Math.min(leastAcross, count)) return [];
			const down = Math.ceil(count / across);
			const size = { w: across * s, h: top + down * s };
			return [
				{
					size,
					discomfort: cellDiscomfort(s + 2),
					facts: { cell: { w: s, h: s }, across, down, title: top, capacity: count },
					why: [
						`${across} × ${s} = ${size.w} of ${there.w} across`,
						`${titleSum(top)}${down} × ${s} = ${size.h} of ${there.h} down for ${count} steps`
					],
					marks: () => [
						...titleMarks(setting, size.w, false),
						...Array.from({ length: count }, (_, index) => index).flatMap((index): Mark[] => {
							const row = Math.floor(index / across);
							const along = index % across;
							const x = (row % 2 === 0 ? along : across - 1 - along) * s;
							const cell = { x, y: top + row * s, w: s, h: s };
							const band: Mark[] =
								(index + 1) % 10 === 0 ? [{ kind: 'tint', tone: 'bar', ...cell }] : [];
							return [
								...band,
								...frame(cell),
								text(String(index + 1), { ...cell, w: Math.min(2, s), h: 1 }, 'figure'),
								field(cell, { nth: index + 1 }, 'mark')
							];
						})
					]
				}
			];
		});
	}
});
