import {
	field,
	frame,
	levels,
	line,
	text,
	type FieldMark,
	type Holds,
	type Mark,
	type Subject
} from '../../draw';
import { textWidth } from '../../hand';
import type { Dot, Rect, Size } from '../../paper';
import { choiceRule } from '../form/rule';
import type { Setting } from '../form/form';

const usual = ['bright', 'steady', 'tired', 'low', 'stormy'];
/** Whether a key of colours stands below a form of days. */
export const keyRule = choiceRule({
	name: 'key',
	label: 'Key of colours',
	options: [
		['none', 'none'],
		['below', 'below']
	],
	usual: 'none'
});

/** The field of a day: a state of the key where there is one, else what it holds without one. */
export function dayField(setting: Setting, rect: Rect, about: Subject, unkeyed: Holds): FieldMark {
	return keyRule.of(setting) === 'none'
		? field(rect, about, unkeyed)
		: field(rect, about, 'level', levelsOf(setting));
}

/** Side of a key's square. */
export const swatch = 2;

/** A key laid out in columns of equal width. */
export interface Key extends Size {
	readonly names: readonly string[];
	readonly columns: number;
	readonly entry: number;
}

/** Names of a key, 2 to 6: those of the wish, or usual ones. */
export function levelsOf({ content }: Setting): readonly string[] {
	const names = content.levels ?? usual;
	return names.length >= 2 ? names.slice(0, 6) : usual;
}

/**
 * The key in a width: a swatch of 2 × 2 squares and a name for each level, in as few rows as can be, and those as long as
 * each other; undefined when too narrow.
 */
export function keyIn(setting: Setting, width: number): Key | undefined {
	const names = levelsOf(setting);
	const entry = swatch + Math.max(...names.map((name) => textWidth(name, setting.hand))) + 1;
	const abreast = Math.floor((width + 1) / entry);
	if (abreast < 1) return undefined;
	const rows = Math.ceil(names.length / abreast);
	const columns = Math.ceil(names.length / rows);
	return {
		names,
		columns,
		entry,
		w: columns * entry - 1,
		h: rows * (swatch + 1) - 1
	};
}

/** The key's swatches with their patterns, so that they also tell apart in black ink, and names. */
export function keyMarks({ names, columns, entry }: Key, at: Dot): Mark[] {
	return names.flatMap((name, index): Mark[] => {
		const x = at.x + (index % columns) * entry;
		const y = at.y + Math.floor(index / columns) * (swatch + 1);
		const tone = levels[index] ?? 'level-1';
		return [
			{ kind: 'tint', tone, x, y, w: swatch, h: swatch },
			...frame({ x, y, w: swatch, h: swatch }),
			...pattern(index, x, y),
			text(name, { x: x + swatch, y, w: entry - swatch - 1, h: 1 }, 'hand', 'start')
		];
	});
}

/** Patterns from dot to dot inside 2 × 2 squares: none, a slant, a cross, a stroke, a plus, all. */
function pattern(index: number, x: number, y: number): Mark[] {
	const slant = line(x, y + 2, x + 2, y);
	const back = line(x, y, x + 2, y + 2);
	const across = line(x, y + 1, x + 2, y + 1);
	const down = line(x + 1, y, x + 1, y + 2);
	return (
		[[], [slant], [slant, back], [across], [across, down], [slant, back, across, down]][index] ?? []
	);
}
