import { grid, move, text, type Mark } from '../../draw';
import type { Dot, Size } from '../../paper';
import { squareCell } from '../form/common-rules';
import type { PageLayout, Setting } from '../form/form';
import { dayField } from '../parts/key';
import { itemNames, labelsOf } from '../parts/labels';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

/** Squares of the middle across and down: its four sides have place for a month and a name. */
const middle = 10;
/** What of the fourth side is a name's at least. */
const leastName = 9;

/**
 * Days clockwise along the four sides of a picture of 10 × 10, from the top left, a square a day; each habit is a line further
 * out, so that a day stands in one line over all habits. Corners stay free, and each name stands before the first day.
 * Some habits take 10 and 2 for each: 18 for 4, 26 for 8. (Common practice.)
 */
export function roundPicture(setting: Setting, there: Size): PageLayout[] {
	const { days } = setting.month;
	const top = titleRows(setting);
	const wanted = squareCell.of(setting);
	return (wanted ? [wanted] : [1, 2]).flatMap((c): PageLayout[] => {
		const labels = labelsOf(setting).find(({ width }) => width <= leastName * c);
		if (!labels) return [];
		const count = labels.labels.length;
		const side = (middle + 2 * count) * c;
		const size = { w: side, h: top + side };
		return [
			{
				size,
				discomfort: labels.discomfort,
				generous: wanted === undefined && c > 1,
				facts: { cell: { w: c, h: c }, across: count, days, title: top, capacity: count },
				why: [
					`picture ${middle} + 2 × ${count} lines = ${middle + 2 * count}${c > 1 ? ` × ${c} = ${side}` : ''} of ${there.w} across`,
					`${titleSum(top)}${side} = ${size.h} of ${there.h} down; ${Math.floor((there.w / c - middle) / 2)} lines fit at most`
				],
				marks: () => [
					...titleMarks(setting, size.w, false),
					...rounds(setting, labels.labels, c).map((mark) => move(mark, { x: 0, y: top }))
				]
			}
		];
	});
}

/** The lines round the middle with their days and names, and the middle for a picture. */
function rounds(setting: Setting, labels: readonly string[], c: number): Mark[] {
	const { days } = setting.month;
	const count = labels.length;
	const kept = itemNames(setting);
	const onSide = (side: number) => Math.max(0, Math.min(middle, days - side * middle));
	const [third, fourth] = [onSide(2), onSide(3)];
	const end = count + middle;
	const block = (x: number, y: number, columns: number, rows: number) =>
		columns * rows === 0 ? [] : grid({ x: x * c, y: y * c }, { w: c, h: c }, columns, rows);
	return [
		{ kind: 'tint', tone: 'art', x: count * c, y: count * c, w: middle * c, h: middle * c },
		...block(count, 0, middle, count),
		...block(end, count, count, middle),
		...block(end - third, end, third, count),
		...block(0, end - fourth, count, fourth),
		...labels.flatMap((name, line): Mark[] => [
			{
				...text(
					name,
					{
						x: (count - 1 - line) * c,
						y: count * c,
						w: c,
						h: (middle - fourth) * c
					},
					'hand',
					'start'
				),
				turned: true
			},
			...Array.from({ length: days }, (_, index) => index).flatMap((index): Mark[] => {
				const { x, y } = placeOf(index, line, count);
				const cell = { x: x * c, y: y * c, w: c, h: c };
				const about = { item: kept[line] ?? name, day: index + 1 };
				const date = text(String(index + 1), { ...cell, w: 1, h: 1 }, 'figure');
				return [...(line === 0 ? [date] : []), dayField(setting, cell, about, 'mark')];
			})
		])
	];
}

/** The cell of a day, counted from 0, on one of so many lines, the innermost first. */
function placeOf(day: number, line: number, count: number): Dot {
	const along = day % middle;
	const end = count + middle;
	switch (Math.floor(day / middle)) {
		case 0:
			return { x: count + along, y: count - 1 - line };
		case 1:
			return { x: end + line, y: count + along };
		case 2:
			return { x: end - 1 - along, y: end + line };
		default:
			return { x: count - 1 - line, y: end - 1 - along };
	}
}
