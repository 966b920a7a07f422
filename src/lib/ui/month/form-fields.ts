import type { Facts, FieldName, FormParameters, Wish } from '$lib/core/forms';

/** A parameter that is one number: how it is asked for. */
export interface NumberParameter {
	readonly name: FieldName;
	readonly label: string;
	readonly least: number;
	readonly most: number;
	readonly unit?: string;
	readonly value: (wish: Wish) => number | undefined;
	/** What the form has chosen where the wish says nothing. */
	readonly chosen: (facts: Facts) => number | undefined;
	readonly set: (value: number | undefined) => Partial<FormParameters>;
}

/** All parameters that are one number, in the order in which they are asked for. */
export const numberParameters: readonly NumberParameter[] = [
	{
		name: 'square',
		label: 'Squares a day',
		least: 1,
		most: 12,
		value: (wish) => wish.cell?.w,
		chosen: (facts) => facts.cell?.w,
		set: (value) => ({ cell: value === undefined ? undefined : { w: value, h: value } })
	},
	{
		name: 'split',
		label: 'Columns left of the fold',
		least: 1,
		most: 6,
		value: (wish) => wish.split,
		chosen: (facts) => facts.split?.[0],
		set: (split) => ({ split })
	},
	{
		name: 'across',
		label: 'Side by side',
		least: 1,
		most: 40,
		value: (wish) => wish.across,
		chosen: (facts) => facts.across,
		set: (across) => ({ across })
	},
	{
		name: 'gap',
		label: 'Gap',
		least: 1,
		most: 20,
		unit: 'squares',
		value: (wish) => wish.gap,
		chosen: (facts) => facts.gap,
		set: (gap) => ({ gap })
	},
	{
		name: 'header',
		label: 'Header',
		least: 0,
		most: 10,
		unit: 'squares',
		value: (wish) => wish.header,
		chosen: (facts) => facts.header,
		set: (header) => ({ header })
	},
	{
		name: 'lineHeight',
		label: 'From line to line',
		least: 1,
		most: 20,
		unit: 'squares',
		value: (wish) => wish.lineHeight,
		chosen: (facts) => facts.lineHeight,
		set: (lineHeight) => ({ lineHeight })
	},
	{
		name: 'letter',
		label: 'Letters wide',
		least: 1,
		most: 60,
		unit: 'squares',
		value: (wish) => wish.letter,
		chosen: (facts) => facts.letter,
		set: (letter) => ({ letter })
	},
	{
		name: 'tables',
		label: 'Tables side by side',
		least: 1,
		most: 10,
		value: (wish) => wish.tables,
		chosen: (facts) => facts.abreast,
		set: (tables) => ({ tables })
	},
	{
		name: 'entries',
		label: 'Must last for',
		least: 1,
		most: 2000,
		unit: 'entries',
		value: (wish) => wish.entries,
		chosen: (facts) => facts.capacity,
		set: (entries) => ({ entries })
	},
	{
		name: 'from',
		label: 'First hour',
		least: 0,
		most: 23,
		unit: 'o’clock',
		value: (wish) => wish.from,
		chosen: () => undefined,
		set: (from) => ({ from })
	},
	{
		name: 'hours',
		label: 'Hours',
		least: 1,
		most: 24,
		value: (wish) => wish.hours,
		chosen: (facts) => facts.hours,
		set: (hours) => ({ hours })
	},
	{
		name: 'week',
		label: 'Week of the month',
		least: 1,
		most: 6,
		value: (wish) => wish.week,
		chosen: () => 1,
		set: (week) => ({ week })
	},
	{
		name: 'frame',
		label: 'Stands in from the outer edge',
		least: 0,
		most: 50,
		unit: 'squares',
		value: (wish) => wish.frame,
		chosen: () => 0,
		set: (frame) => ({ frame })
	},
	{
		name: 'shift',
		label: 'Every other column lower by',
		least: 0,
		most: 20,
		unit: 'squares',
		value: (wish) => wish.shift,
		chosen: (facts) => facts.shift,
		set: (shift) => ({ shift })
	}
];
