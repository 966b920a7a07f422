import type { Dot, Side, Size } from '../paper';

/** How badly a wish is missed when it is left out. */
export type Importance = 'must' | 'want' | 'spare';

/** Whether a block stays on one page or lies over two facing ones. */
export type Span = 'page' | 'spread';

/** One thing to keep track of inside a wish, such as a habit. */
export interface Item {
	readonly name: string;
	/** Shorter label for where the name does not fit. */
	readonly short?: string;
}

/** Page and place that a person fixed by hand; a pin to a page alone leaves the place open. */
export interface Pin extends Partial<Dot>, Partial<Size> {
	readonly page: number;
}

/** What a form can be told; each form reads what concerns it and has defaults for the rest. */
export interface FormParameters {
	readonly title?: string;
	/** Cell of a grid, in squares. */
	readonly cell?: Size;
	/** Squares between neighbours. */
	readonly gap?: number;
	/** How many stand side by side. */
	readonly across?: number;
	/** Weekday columns left of the fold. */
	readonly split?: number;
	readonly items?: readonly Item[];
	/** Words of a quote or of a note on the page. */
	readonly text?: string;
	/** Squares from line to line. */
	readonly lineHeight?: number;
	/** Width of a drawn letter, in squares. */
	readonly letter?: number;
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
	/** A filler may go anywhere and stretches over what is left. */
	readonly filler?: boolean;
}
