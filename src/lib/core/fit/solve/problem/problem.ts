import type { Rect, Side, Size } from '../../../paper';
import type { Company } from './company';

/** A size that an item can take on one page, in squares, and its price. */
export interface PageOption extends Size {
	readonly cost: number;
}

/** Rows that an item takes at the top of a left page and of the right page facing it, and its price. */
export interface SpreadOption {
	readonly left: number;
	readonly right: number;
	readonly cost: number;
	/**
	 * What it covers on each page, where others may stand beside it: it keeps clear of obstacles by itself. All of these
	 * rows where it is not said.
	 */
	readonly covers?: Covers;
}

/** Squares of a left page and of the right page facing it. */
export type Covers = readonly [readonly Rect[], readonly Rect[]];

/** Whether a spread's option keeps clear of obstacles on its pages. */
export function clearOf(
	{ left, right, covers }: SpreadOption,
	onLeft: readonly Rect[],
	onRight: readonly Rect[]
): boolean {
	if (covers) return true;
	return onLeft.every(({ y }) => y >= left) && onRight.every(({ y }) => y >= right);
}

/** A page that may be filled. Pages stand in the order of the book. */
export interface ProblemPage extends Size {
	readonly side: Side;
	/** Which of its items' lists of page options hold here. */
	readonly options: number;
	/** Which of its items' lists of spread options hold here: only on a left page that the next one faces. */
	readonly pair?: number;
	/** Rectangles that are taken already. */
	readonly obstacles: readonly Rect[];
	/** How many wishes are among these; the rest is cut away and counts for none. */
	readonly held?: number;
	/** Purposes of what is held there, as bits. */
	readonly purposes?: number;
	/** Nothing but items that are bound to this page may lie on it. */
	readonly exclusive?: boolean;
	/** It may stay blank at no price: what opens the month stands on the next one. */
	readonly mayStayBlank?: boolean;
}

/** Something to be placed, or to be left out at a price. */
export interface ProblemItem {
	/** Lists of page options; a page says which of them holds. */
	readonly options: readonly (readonly PageOption[])[];
	/** Lists of spread options; a left page says which of them holds. */
	readonly spreads: readonly (readonly SpreadOption[])[];
	/** Price of leaving it out. */
	readonly loss: number;
	/** It may stand anywhere; all others keep their order from page to page. */
	readonly filler: boolean;
	/** Index of the one page it may stand on; it is outside the order. */
	readonly page?: number;
	/**
	 * Indices of items later in the order that must lie on the facing page of the same spread; void
	 * when either is left out. None of them is a filler or bound to a page.
	 */
	readonly facing?: readonly number[];
	/** What it is for, as one bit; company of several purposes on a page has a price. */
	readonly purpose?: number;
	/** Over a spread it keeps both pages for itself. */
	readonly keeps?: boolean;
	/** Nothing else may lie on its page; over a spread it takes both pages whole. It is no filler. */
	readonly alone?: boolean;
	/**
	 * Of a filler: it stands on no earlier page than any item of the order before the index `from`, and on no later page
	 * than any from the index `to` on.
	 */
	readonly stretch?: { readonly from: number; readonly to: number };
}

/** Which size and place for which item, so that the price is lowest. All prices are whole. */
export interface Problem {
	readonly pages: readonly ProblemPage[];
	readonly items: readonly ProblemItem[];
	/** Price of each page up to the last one used, blank ones included. */
	readonly pageCost: number;
	/** Pages up to this index are used in any case. */
	readonly usedAnyway: number;
	/** Prices of sharing pages; none where it is left out. */
	readonly company?: Company;
	/** Prices of blank pages inside the run, besides that of a page; none where it is left out. */
	readonly blank?: BlankPrices;
}

/** What pages cost that could hold something and on which nothing stands, up to the last on which something does. */
export interface BlankPrices {
	readonly each: number;
	/** Besides, where the page before is blank too. */
	readonly again: number;
}

/** Whether a page could hold anything: a blank one of these is priced. What is bound to it is not looked at. */
export function isOpen({ w, h, obstacles, held = 0 }: ProblemPage): boolean {
	return w * h > 0 && obstacles.length === 0 && held === 0;
}

/** More wishes than these make a page a patchwork (common practice). */
export const mostOnPage = 8;

/** Where an item went: its option, counted in the list that held there. */
export type Place =
	| {
			readonly span: 'page';
			readonly page: number;
			readonly option: number;
			readonly rect: Rect;
	  }
	| { readonly span: 'spread'; readonly page: number; readonly option: number };

/** Places of the items, none for those left out, and what they cost together. */
export interface Solution {
	readonly cost: number;
	readonly places: readonly (Place | undefined)[];
}
