import { choiceRule } from '../form/rule';
import { datePlace, titleStyle, squareCell } from '../form/common-rules';
import { dateIn } from '../parts/date-square';
import { field, grid, text, type Mark } from '../../draw';
import type { Size } from '../../paper';
import { pageForm, type PageLayout, type Setting } from '../form/form';
import { daysFrom } from '../parts/day-labels';
import { hexagonAt, hexagonField, hexagonLines } from '../parts/hexagon';
import { keyIn, keyMarks, levelsOf } from '../parts/key';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const gap = 1;
/** Larger cells than these are for pages that are free anyway. */
const largest = 6;

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
 * A cell for each day of the month, square or dot hexagon (`shape`), above a key of 4 to 6 levels. Cells
 * of s squares; a hexagon's s is a multiple of 4. Default: the largest up to 6. (Common practice.)
 */
export const dayCells = pageForm({
	id: 'day-cells',
	name: 'A cell a day',
	content: ['title', 'levels'],
	rules: [titleStyle, shape, squareCell, datePlace],
	layouts: (setting, there) => {
		const wanted = squareCell.of(setting);
		const sizes = wanted ? [wanted] : isHexagon(setting) ? [8, 4] : [6, 5, 4, 3, 2, 1, 9, 8, 7];
		return sizes.flatMap((s) => {
			const found = isHexagon(setting)
				? hexagons(setting, there, s)
				: squaresLayout(setting, there, s);
			return found ? [found] : [];
		});
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

function hexagons(setting: Setting, there: Size, s: number): PageLayout | undefined {
	if (s % 4 !== 0) return undefined;
	const { days } = setting.month;
	const top = titleRows(setting);
	const key = keyIn(setting, there.w);
	if (!key) return undefined;
	const honeycomb = hexagonField({ w: there.w, h: there.h - top - gap - key.h }, s);
	if (honeycomb.places < days) return undefined;
	const columns = Math.min(honeycomb.columns, days);
	const rows = rowsFor(days, columns);
	const places = placesIn(days, columns);
	const width = Math.max(key.w, s + ((columns - 1) * 3 * s) / 4);
	const height =
		columns > 1 && places.some(([column, row]) => column % 2 === 1 && row === rows - 1)
			? rows * s + s / 2
			: rows * s;
	if (top + height + gap + key.h > there.h) return undefined;
	const size = { w: width, h: top + height + gap + key.h };
	return {
		size,
		discomfort: 0,
		facts: { cell: { w: s, h: s }, across: columns, down: rows, days, title: top, capacity: days },
		why: [
			`${columns} columns of hexagons ${(3 * s) / 4} apart = ${s + ((columns - 1) * 3 * s) / 4} of ${there.w} across`,
			`${titleSum(top)}${height} + ${gap} + key ${key.h} = ${size.h} of ${there.h} down; ${days} of ${honeycomb.places} places used`
		],
		marks: () => [
			...titleMarks(setting, size.w, false),
			...places.flatMap(([column, row], index): Mark[] => {
				const at = hexagonAt(column, row, s);
				const middle = { x: at.x + s / 2 - 0.5, y: at.y + s / 2 - 0.5 };
				return [
					...hexagonLines({ x: at.x, y: top + at.y }, s),
					text(String(index + 1), { x: middle.x, y: top + middle.y, w: 1, h: 1 }, 'figure'),
					// Hexagons reach into each other's rectangles, but not into the middle of their sides.
					{
						...field(
							{ x: at.x + s / 4, y: top + at.y, w: s / 2, h: s },
							{ day: index + 1 },
							'level',
							levelsOf(setting)
						),
						hexagon: true
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
