import type { Size } from '../paper';
import type { Full, Tally, Tracker } from '../records';
import type { Wish } from '../wish';

/** A tracker of a month that is over, what was recorded of it, and how it is ruled. */
export interface Kept {
	readonly tracker: Tracker;
	readonly tally: Tally;
	readonly form: string;
	readonly days: number;
	/** Of its block. */
	readonly size: Size;
	/** Lines that a whole page gives it. */
	readonly mostRows: number;
	/** Its cells, where all are alike. */
	readonly cell?: Size;
	/** Of the page that it lies on. */
	readonly page: Size;
	/** How full it became, where a person only said that. */
	readonly full?: Full;
	/** Squares that 95 of 100 numbers take in the person's hand, and those that there are. */
	readonly figures?: { readonly needed: number; readonly there: number };
}

/** A change to the next month's wishes, with what speaks for it. */
export interface Proposal {
	readonly id: string;
	readonly wish: string;
	/** What would change, in words. */
	readonly what: string;
	/** The sum or the evidence behind it, in words. */
	readonly why: string;
	readonly change: (wishes: readonly Wish[]) => readonly Wish[];
	/** Something is left out: that is never done unless a person says so. */
	readonly leavesOut?: boolean;
	/** Of rows: so many are needed; what is told is what the next month draws. */
	readonly rows?: { readonly name: string; readonly needed: number };
}
