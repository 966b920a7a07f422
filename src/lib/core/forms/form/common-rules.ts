import { choiceRule, flagRule, numberRule, openChoice, sizeRule } from './rule';

/** Rules that several forms have; each of them lists those that it reads. */

/** Whether the title is drawn letter by letter, on one line or two or down the side, or written on one row. */
export const titleStyle = openChoice({
	name: 'titleStyle',
	label: 'Title style',
	options: [
		['lettered', 'drawn, 4 rows'],
		['two-lines', 'drawn on two lines, 8 rows'],
		['side', 'drawn down the side, 3 columns'],
		['written', 'written, 1 row'],
		['none', 'left out']
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

/** Which way the days of a chart run. */
export const daysRun = openChoice({
	name: 'days',
	label: 'Days run',
	options: [
		['across', 'across'],
		['down', 'down']
	]
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

/** Where a week's head stands: its title, number and dates. */
export const headed = openChoice({
	name: 'head',
	label: 'Head',
	options: [
		['top', 'across the top'],
		['place', 'in the first box'],
		['none', 'none']
	]
});

/** A week as it usually is, without dates. */
export const undated = flagRule({ name: 'undated', label: 'without dates', more: true });

/** Which days are tinted as days of rest. */
export const restDays = choiceRule({
	name: 'restDays',
	label: 'Days of rest',
	more: true,
	options: [
		['weekend', 'Saturday and Sunday'],
		['monday', 'Monday'],
		['tuesday', 'Tuesday'],
		['wednesday', 'Wednesday'],
		['thursday', 'Thursday'],
		['friday', 'Friday'],
		['saturday', 'Saturday'],
		['sunday', 'Sunday'],
		['none', 'none tinted']
	],
	usual: 'weekend'
});

/** Rows above what is ruled: for names, or free. */
export const headerRows = numberRule({
	name: 'header',
	label: 'Header',
	least: 0,
	most: 10,
	unit: 'rows',
	more: true,
	chosen: ({ header }) => header
});

/** Where the dates stand in their cells. */
export const datePlace = choiceRule({
	name: 'dates',
	label: 'Dates stand',
	more: true,
	options: [
		['top-left', 'top left'],
		['top-right', 'top right'],
		['bottom-left', 'bottom left'],
		['bottom-right', 'bottom right'],
		['bottom-middle', 'bottom middle'],
		['middle', 'in the middle'],
		['painted', 'top left, on a painted square'],
		['none', 'nowhere']
	],
	usual: 'top-left'
});

/** How the weekdays are named over their columns. */
export const weekdayStyle = openChoice({
	name: 'weekdays',
	label: 'Weekdays',
	more: true,
	options: [
		['narrow', 'one letter'],
		['short', 'short names'],
		['long', 'full names'],
		['none', 'not named']
	]
});

/** On which side of their rows the names stand. */
export const nameSide = choiceRule({
	name: 'names',
	label: 'Names',
	more: true,
	options: [
		['left', 'at the left'],
		['right', 'at the right']
	],
	usual: 'left'
});

/** Every second line lightly coloured. */
export const everySecond = flagRule({ name: 'everySecond', label: 'every second line tinted' });
