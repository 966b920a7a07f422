/** How often a habit is meant to be done. */
export type Rhythm =
	'daily' | 'times-a-day' | 'times-a-week' | 'weekly' | 'monthly' | 'now-and-then' | 'threshold';

/** What a column of a table may hold. */
export const columnHolds = ['text', 'number', 'money', 'date', 'tick'] as const;

export type ColumnHolds = (typeof columnHolds)[number];

/** A column of a table; its width follows from the hand where it is not given. */
export interface Column {
	readonly name: string;
	readonly width?: number;
	/** The longest value that is expected in it. */
	readonly longest?: string;
	/** What is written in it: words where it is not said. */
	readonly holds?: ColumnHolds;
}

/** A goal from one day of the month to another, with days of slack after it. */
export interface Goal {
	readonly name: string;
	readonly from: number;
	readonly to: number;
	readonly slack?: number;
	/** What it takes. */
	readonly hours?: number;
}

/** Something that happens on a day of the month. */
export interface PlannedEvent {
	readonly day: number;
	readonly text: string;
	/** "19:30" */
	readonly time?: string;
}

/** One thing to keep track of inside a wish, such as a habit. */
export interface Item {
	readonly name: string;
	/** Shorter label for where the name does not fit. */
	readonly short?: string;
	/** One sign for the narrowest grids. */
	readonly symbol?: string;
	readonly group?: string;
	readonly rhythm?: Rhythm;
	/** How often it is meant to be done in the month, or times a week for that rhythm. */
	readonly goal?: number;
	/** The most it is meant to be done: “3 to 4 a week” is a goal of 3, up to 4. */
	readonly upTo?: number;
	/** The day of the month on which it was begun, where that is not the first. */
	readonly begins?: number;
	/** The last day on which it was kept up, where that is not the month's last. */
	readonly ends?: number;
}

/** Whether an item is kept up on a day of the month. */
export function isKeptOn({ begins = 1, ends = 31 }: Item, day: number): boolean {
	return begins <= day && day <= ends;
}

/** What people write themselves. It is shared by all forms that a wish may take, and survives a change of form. */
export interface Content {
	readonly title?: string;
	/** Words of a quote. */
	readonly text?: string;
	/** What a scale counts, such as kg. */
	readonly unit?: string;
	/** Of a table with sums: no more than this is meant to be spent in the month. */
	readonly limit?: number;
	/** What counts as done, written below a tracker. */
	readonly note?: string;
	readonly items?: readonly Item[];
	readonly columns?: readonly Column[];
	/** Names of parts beside or below each other. */
	readonly parts?: readonly string[];
	/** Names of the moods or states of a key. */
	readonly levels?: readonly string[];
	readonly goals?: readonly Goal[];
	/** Hours that one has for goals on each weekday, Sunday first. */
	readonly goalHours?: readonly number[];
	readonly events?: readonly PlannedEvent[];
}

export type ContentName = keyof Content;

/** All of it, in the order in which it is asked for. */
export const contentNames: readonly ContentName[] = [
	'title',
	'text',
	'unit',
	'items',
	'note',
	'columns',
	'parts',
	'levels',
	'goals',
	'events'
];
