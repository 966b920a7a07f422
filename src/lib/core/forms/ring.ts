import { titleStyle, squareCell } from './common-rules';
import { frame, text, type Mark } from '../draw';
import type { Dot } from '../paper';
import { pageForm, type Setting } from './form';
import { itemsOf } from './labels';
import { fitLabel } from './mini-month';
import { titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';

/** Cells across and down of the smallest ring that holds so many days. */
function ringOf(days: number): { across: number; down: number } {
	const both = Math.ceil((days + 4) / 2);
	return { across: Math.floor(both / 2), down: Math.ceil(both / 2) };
}

/** Cells of a ring, clockwise from the top left. */
function ringCells(across: number, down: number): Dot[] {
	const top = Array.from({ length: across }, (_, x) => ({ x, y: 0 }));
	const right = Array.from({ length: down - 2 }, (_, index) => ({ x: across - 1, y: index + 1 }));
	const bottom = Array.from({ length: across }, (_, index) => ({
		x: across - 1 - index,
		y: down - 1
	}));
	const left = Array.from({ length: down - 2 }, (_, index) => ({ x: 0, y: down - 2 - index }));
	return [...top, ...right, ...bottom, ...left];
}

/** Names that stand outside the ring, one a line; none where the wish names none. */
function nameLines(setting: Setting): number {
	return setting.content.items ? itemsOf(setting).length : 0;
}

/**
 * The month's days in a ring around a free centre for a picture or a word, the first at the top left,
 * clockwise; names stand on lines below it. Cells as large as they go, up to 3 squares. A spiral is not
 * offered, because people lose the day in it (common practice).
 */
export const ring = pageForm({
	id: 'ring',
	name: 'Ring of days',
	content: ['title', 'items'],
	rules: [titleStyle, squareCell],
	layouts: (setting, there) => {
		const { days } = setting.month;
		const { across, down } = ringOf(days);
		const top = titleRows(setting);
		const lines = nameLines(setting);
		const most = Math.min(
			Math.floor(there.w / across),
			Math.floor((there.h - top - lines) / down),
			3
		);
		const wanted = squareCell.of(setting);
		const cells = wanted ? [wanted] : [most];
		return cells
			.filter((c) => c >= 1)
			.map((c) => {
				const size = { w: across * c, h: top + down * c + lines };
				return {
					size,
					discomfort: c === 1 ? 20 : 0,
					facts: { cell: { w: c, h: c }, across, down, days, title: top, capacity: days },
					why: [
						`a ring of ${across} × ${down} has ${2 * (across + down) - 4} cells for ${days} days`,
						`${across} × ${c} = ${size.w} of ${there.w} across, ${titleSum(top)}${down} × ${c}${lines > 0 ? ` + ${lines} names` : ''} = ${size.h} down`
					],
					marks: () => [
						...titleMarks(setting, size.w, false),
						...ringCells(across, down)
							.slice(0, days)
							.flatMap(({ x, y }, index): Mark[] => [
								text(String(index + 1), { x: x * c, y: top + y * c, w: 1, h: 1 }, 'figure'),
								...frame({ x: x * c, y: top + y * c, w: c, h: c })
							]),
						...(lines > 0 ? itemsOf(setting) : []).map((item, line) =>
							text(
								fitLabel(item, size.w, setting).label,
								{ x: 0, y: top + down * c + line, w: size.w, h: 1 },
								'hand',
								'start'
							)
						)
					]
				};
			});
	}
});
