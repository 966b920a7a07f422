import type { ShortWeek, WeekBelonging } from '../month';
import type { Dot, Side, Size } from '../paper';

/** How badly a wish is missed when it is left out. */
export type Importance = 'must' | 'want' | 'spare';

/** Whether a block stays on one page or lies over two facing ones. */
export type Span = 'page' | 'spread';

/** How often a habit is meant to be done. */
export type Rhythm =
	'daily' | 'times-a-day' | 'times-a-week' | 'weekly' | 'monthly' | 'now-and-then' | 'threshold';

/** How a tracker is marked: what stands for done, and what for missed. */
export type Marking = 'fill' | 'circle' | 'cross' | 'leave' | 'fill-and-cross';

/** How a title stands over its block. */
export type TitleStyle = 'lettered' | 'written';

/** A column of a table; its width follows from the hand where it is not given. */
export interface Column {
	readonly name: string;
	readonly width?: number;
	/** The longest value that is expected in it. */
	readonly longest?: string;
}

/** A goal from one day of the month to another, with days of slack after it. */
export interface Goal {
	readonly name: string;
	readonly from: number;
	readonly to: number;
	readonly slack?: number;
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
}

/** Page and place that a person fixed by hand; a pin to a page alone leaves the place open. */
export interface Pin extends Partial<Dot>, Partial<Size> {
	readonly page: number;
	/** The page is reserved: nothing else may lie on it. */
	readonly alone?: boolean;
}

/** A form for one week of the set, where it differs from the others. */
export interface WeekForm {
	/** Row of the month's grid, from 1. */
	readonly week: number;
	readonly form: string;
}

/** The month's weekly pages: which weeks, and how many pages each. */
export interface Weeks {
	readonly belong: WeekBelonging;
	readonly short: ShortWeek;
	readonly pagesPerWeek: 1 | 2 | 4;
	readonly forms?: readonly WeekForm[];
}

/** What a form can be told; each form reads what concerns it and has defaults for the rest. */
export interface FormParameters {
	readonly title?: string;
	/** Whether the title is drawn letter by letter, or written on one row; as it fits best where it is not said. */
	readonly titleStyle?: TitleStyle;
	/** Cell of a grid, in squares. */
	readonly cell?: Size;
	/** Squares between neighbours. */
	readonly gap?: number;
	/** How many stand side by side. */
	readonly across?: number;
	/** Weekday columns left of the fold. */
	readonly split?: number;
	readonly items?: readonly Item[];
	/** What counts as done, written below a tracker. */
	readonly note?: string;
	readonly marking?: Marking;
	/** Goals stand beside the names. */
	readonly showGoals?: boolean;
	/** Words of a quote or of a note on the page. */
	readonly text?: string;
	/** Squares from line to line. */
	readonly lineHeight?: number;
	/** Width of a drawn letter, in squares. */
	readonly letter?: number;
	/** Height of a header row. */
	readonly header?: number;
	readonly columns?: readonly Column[];
	/** Tables side by side. */
	readonly tables?: number;
	/** How many entries it must last for. */
	readonly entries?: number;
	/** Names of parts beside or below each other. */
	readonly parts?: readonly string[];
	/** Names of the moods or states of a key, 4 to 6. */
	readonly levels?: readonly string[];
	/** A form's own variant, such as `hexagon` cells or columns `over-fold`. */
	readonly shape?: 'square' | 'hexagon' | 'over-fold';
	/** First hour of a day's axis. */
	readonly from?: number;
	readonly hours?: number;
	readonly goals?: readonly Goal[];
	/** Which week of the month, from 1. */
	readonly week?: number;
	/** Days of a neighbouring short week that this one takes in. */
	readonly folded?: readonly number[];
	/** Squares that a frame stands in from the outer edge. */
	readonly frame?: number;
	/** Squares by which every other column of boxes stands lower. */
	readonly shift?: number;
	readonly events?: readonly PlannedEvent[];
	/** Events that find no room in their cell stand in a side column. */
	readonly overflow?: boolean;
}

/** What a person asks of the month: a kind, how it should look and where it must go. */
export interface Wish extends FormParameters {
	readonly id: string;
	readonly kind: string;
	readonly form?: string;
	readonly importance?: Importance;
	readonly span?: Span;
	readonly side?: Side;
	/** Exact size, but a minimum for fillers. */
	readonly size?: Size;
	readonly pin?: Pin;
	/** Id of the wish that must lie on the other page of the same spread; void when either is left out. */
	readonly facing?: string;
	/** Makes it a set with pages for each week. */
	readonly weeks?: Weeks;
	/** A filler may go anywhere and stretches over what is left. */
	readonly filler?: boolean;
}
