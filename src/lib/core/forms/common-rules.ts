import { choiceRule, flagRule, numberRule, openChoice, sizeRule } from './rule';

/** Rules that several forms have; each of them lists those that it reads. */

/** Whether the title is drawn letter by letter, or written on one row. */
export const titleStyle = openChoice({
	name: 'titleStyle',
	label: 'The title is',
	options: [
		['lettered', 'drawn, 4 rows'],
		['written', 'written, 1 row']
	]
});

/** Side of a day's square cell. */
export const squareCell = numberRule({
	name: 'cell',
	label: 'Squares a day',
	least: 1,
	most: 40,
	chosen: ({ cell }) => cell?.w
});

/** A cell of any width and height. */
export const cellSize = sizeRule({
	name: 'cell',
	label: 'Cell',
	least: 1,
	most: 300,
	chosen: ({ cell }) => cell
});

/** Squares between neighbours. */
export const gapBetween = numberRule({
	name: 'gap',
	label: 'Gap',
	least: 0,
	most: 50,
	unit: 'squares',
	more: true,
	chosen: ({ gap }) => gap
});

/** How many stand side by side. */
export const sideBySide = numberRule({
	name: 'across',
	label: 'Side by side',
	least: 1,
	most: 100,
	chosen: ({ across }) => across
});

/** Squares from line to line. */
export const lineHeight = numberRule({
	name: 'lineHeight',
	label: 'From line to line',
	least: 1,
	most: 20,
	unit: 'squares',
	chosen: ({ lineHeight }) => lineHeight
});

/** How many entries it must last for. */
export const entries = numberRule({
	name: 'entries',
	label: 'Must last for',
	least: 1,
	most: 2000,
	unit: 'entries',
	chosen: ({ capacity }) => capacity
});

/** First hour of an axis. */
export const firstHour = numberRule({
	name: 'from',
	label: 'First hour',
	least: 0,
	most: 23,
	unit: 'o’clock'
});

/** Length of an axis. */
export const hoursShown = numberRule({
	name: 'hours',
	label: 'Hours',
	least: 1,
	most: 24,
	chosen: ({ hours }) => hours
});

/** Which week of the month a page shows, where it is not part of a set. */
export const weekOfMonth = numberRule({
	name: 'week',
	label: 'Week of the month',
	least: 1,
	most: 6,
	chosen: () => 1
});

/** Which days are tinted as days of rest. */
export const restDays = choiceRule({
	name: 'restDays',
	label: 'Days of rest',
	more: true,
	options: [
		['weekend', 'Saturday and Sunday'],
		['sunday', 'Sunday'],
		['friday', 'Friday'],
		['none', 'none tinted']
	],
	usual: 'weekend'
});

/** Cells without their dates, to be filled in or left. */
export const withoutNumbers = flagRule({
	name: 'withoutNumbers',
	label: 'without numbers',
	more: true
});

/** Every second line lightly coloured. */
export const everySecond = flagRule({ name: 'everySecond', label: 'every second line tinted' });
