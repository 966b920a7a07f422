import type { Size } from '../paper';
import type { Tally, Tracker } from '../records';
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
}
