import type { Host } from '../problem/company';
import type { Group } from '../pages/group';
import type { Member } from '../pages/groups';

/** How far a run has got: what stands on the pages before `page` is decided. */
export interface State {
	readonly page: number;
	/** How many of the ordered items are decided. */
	readonly next: number;
	/** How many fillers of each sort are still to be placed, as a code. */
	readonly fillers: number;
	/** Of each facing pair: 0 free, 1 its second item belongs on `page`, 2 it must be left out. */
	readonly pairs: readonly number[];
	/** What a spread from the page before takes of `page`: rows at its top, or a shape. */
	readonly top: number;
	/** What that spread is for; nothing where there is none. */
	readonly host: Host;
	/** Sorts of fillers whose stretch is over, as bits. */
	readonly closed: number;
	/** The page before could hold something and is blank. */
	readonly blank: boolean;
}

/** A spread over two pages, as part of a move. */
interface Carried {
	readonly item: Member;
	readonly option: number;
}

/** One step of a run: to leave an item out, to fill or skip a page, or to end. */
export interface Move {
	readonly to: State | 'end';
	/** What it costs besides the price of its group. */
	readonly cost: number;
	/** The page whose group is priced, and its members. */
	readonly page: number;
	readonly members: readonly Member[];
	readonly group: Group | undefined;
	readonly carried: Carried | undefined;
}

/** Whether a move of this price may lead to a run that is wanted, from what it leaves to be done. */
export type Worth = (
	price: number,
	page: number,
	next: number,
	fillers: number,
	top: number,
	host: Host
) => boolean;

/** What a spread takes of the page after its first: rows or a shape, and what it is for. */
export type Over = Pick<State, 'top' | 'host'>;
export const nothingOver: Over = { top: 0, host: 0 };
