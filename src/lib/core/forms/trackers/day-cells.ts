import { choiceRule } from '../form/rule';
import { datePlace, titleStyle, squareCell } from '../form/common-rules';
import { dateIn } from '../parts/date-square';
import { field, grid, text, type Mark } from '../../draw';
import type { Size } from '../../paper';
import { pageForm, type PageLayout, type Setting } from '../form/form';
import { daysFrom } from '../parts/day-labels';
import {
	columnStep,
	hexagonAt,
	hexagonField,
	hexagonLines,
	hexagonShapes,
	type Hexagon
} from '../parts/hexagon';
import { keyIn, keyMarks, levelsOf } from '../parts/key';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const gap = 1;
/** Larger cells than these are for pages that are free anyway. */
const largest = 6;
const usualHexagon = 4;

const shape = choiceRule({
	name: 'shape',
	label: 'Shape',
	options: [
		['square', 'squares'],
		['hexagon', 'hexagons']
	],
	usual: 'square'
});

function isHexagon(setting: Setting): boolean {
	return shape.of(setting) === 'hexagon';
}

/**
 * A cell for each day of the month, square or dot hexagon (`shape`), above a key of 4 to 6 levels. Default: squares as large
 * as go up to 6, or hexagons of 4, and the largest of which there are enough where there is room. (Common practice.)
 */
export const dayCells = pageForm({
	id: 'day-cells',
	name: 'A cell a day',
	content: ['title', 'levels'],
	rules: [titleStyle, shape, squareCell, datePlace],
	layouts: (setting, there) => {
		const wanted = squareCell.of(setting);
		if (isHexagon(setting))
			return hexagonShapes.flatMap((hexagon) => {
				const found =
					wanted === undefined || wanted === hexagon.w
						? hexagons(setting, there, hexagon)
						: undefined;
				return found ? [found] : [];
			});
		const sizes = wanted ? [wanted] : [6, 5, 4, 3, 2, 1, 9, 8, 7];
		return sizes.flatMap((s) => squaresLayout(setting, there, s) ?? []);
	}
});

function squaresLayout(setting: Setting, there: Size, s: number): PageLayout | undefined {
	const { days } = setting.month;
	const top = titleRows(setting);
	const across = Math.min(days, Math.floor(there.w / s));
	if (across < 1) return undefined;
	const down = Math.ceil(days / across);
	const key = keyIn(setting, across * s);
	if (!key) return undefined;
	const last = days - across * (down - 1);
	const size = { w: across * s, h: top + down * s + gap + key.h };
	return {
		size,
		discomfort: [60, 15, 5][s - 1] ?? 0,
		generous: squareCell.of(setting) === undefined && s > largest,
		facts: { cell: { w: s, h: s }, across, down, days, title: top, capacity: days },
		why: [
			`${across} × ${s} = ${size.w} of ${there.w} across`,
			`${titleSum(top)}${down} × ${s} + ${gap} + key ${key.h} = ${size.h} of ${there.h} down`
		],
		marks: () => [
			...titleMarks(setting, size.w, false),
			...daysFrom(1, days).flatMap((day) => {
				const at = { x: ((day - 1) % across) * s, y: top + Math.floor((day - 1) / across) * s };
				const cell = { ...at, w: s, h: s };
				return [...dateIn(setting, day, cell), field(cell, { day }, 'level', levelsOf(setting))];
			}),
			...(down > 1 ? grid({ x: 0, y: top }, { w: s, h: s }, across, down - 1) : []),
			...grid({ x: 0, y: top + (down - 1) * s }, { w: s, h: s }, last, 1),
			...keyMarks(key, { x: 0, y: top + down * s + gap })
		]
	};
}

function hexagons(setting: Setting, there: Size, hexagon: Hexagon): PageLayout | undefined {
	const { w: s, h: high, inset } = hexagon;
	const { days } = setting.month;
	const top = titleRows(setting);
	const key = keyIn(setting, there.w);
	if (!key) return undefined;
	const honeycomb = hexagonField({ w: there.w, h: there.h - top - gap - key.h }, hexagon);
	if (honeycomb.places < days) return undefined;
	const columns = Math.min(honeycomb.columns, days);
	const rows = rowsFor(days, columns);
	const places = placesIn(days, columns);
	const across = s + (columns - 1) * columnStep(hexagon);
	const width = Math.max(key.w, across);
	const height =
		columns > 1 && places.some(([column, row]) => column % 2 === 1 && row === rows - 1)
			? rows * high + high / 2
			: rows * high;
	if (top + height + gap + key.h > there.h) return undefined;
	const size = { w: width, h: top + height + gap + key.h };
	return {
		size,
		discomfort: 0,
		generous: squareCell.of(setting) === undefined && s > usualHexagon,
		facts: {
			cell: { w: s, h: high },
			across: columns,
			down: rows,
			days,
			title: top,
			capacity: days
		},
		why: [
			`${columns} columns of hexagons ${columnStep(hexagon)} apart = ${across} of ${there.w} across`,
			`${titleSum(top)}${height} + ${gap} + key ${key.h} = ${size.h} of ${there.h} down; ${days} of ${honeycomb.places} places used`
		],
		marks: () => [
			...titleMarks(setting, size.w, false),
			...places.flatMap(([column, row], index): Mark[] => {
				const at = hexagonAt(column, row, hexagon);
				const middle = { x: at.x + s / 2 - 0.5, y: at.y + high / 2 - 0.5 };
				return [
					...hexagonLines({ x: at.x, y: top + at.y }, hexagon),
					text(String(index + 1), { x: middle.x, y: top + middle.y, w: 1, h: 1 }, 'figure'),
					// Hexagons reach into each other's rectangles, but not into the middle of their sides.
					{
						...field(
							{ x: at.x + inset, y: top + at.y, w: s - 2 * inset, h: high },
							{ day: index + 1 },
							'level',
							levelsOf(setting)
						),
						beyond: inset
					}
				];
			}),
			...keyMarks(key, { x: 0, y: top + height + gap })
		]
	};
}

function rowsFor(days: number, columns: number): number {
	return Math.ceil(days / columns);
}

/** Column and row of each day, row by row. */
function placesIn(days: number, columns: number): [column: number, row: number][] {
	return daysFrom(0, days - 1).map((index) => [index % columns, Math.floor(index / columns)]);
}
