import type { Size } from '../../paper';

/** A form's numbers under plain names, in squares unless they count something. */
export interface Facts {
	readonly cell?: Size;
	readonly across?: number;
	readonly down?: number;
	readonly gap?: number;
	/** Squares by which every other column stands lower. */
	readonly shift?: number;
	/** Rows of weeks or of data, headers not counted. */
	readonly rows?: number;
	readonly header?: number;
	/** Height of the page title's band. */
	readonly title?: number;
	readonly days?: number;
	readonly weeks?: number;
	readonly lead?: number;
	/** Weekday columns on the left and the right page. */
	readonly split?: readonly [number, number];
	/** Squares left at the side, or on the left and the right page. */
	readonly over?: number | readonly [number, number];
	/** Squares from line to line. */
	readonly lineHeight?: number;
	/** Width of a drawn letter, and of the whole word. */
	readonly letter?: number;
	readonly used?: number;
	/** Separate strips or tables side by side. */
	readonly abreast?: number;
	/** How wide each of them is. */
	readonly width?: number;
	/** Days in the first line of a strip, and squares left for the name before them. */
	readonly first?: number;
	readonly free?: number;
	/** Height or width of the labels. */
	readonly label?: number;
	readonly hours?: number;
	/** Number of the week, or its place in the month. */
	readonly week?: number;
	/** Sum of goals under way on the fullest day. */
	readonly load?: number;
	/** How many separate grids or entries it holds. */
	readonly capacity?: number;
}
