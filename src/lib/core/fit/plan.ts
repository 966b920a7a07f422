import type { Hand } from '../hand';
import { parseMonth, type WeekStart, type YearMonth } from '../month';
import type { Notebook, Rect, Page } from '../paper';
import type { Facts, Room, Wish } from '../forms';

/** What a run is judged by first: paper saved, a middle way, or room to write. */
export type Aim = 'fewest-pages' | 'balanced' | 'roomiest';

/** Everything a run is computed from. */
export interface Plan {
	readonly notebook: Notebook;
	readonly month: YearMonth;
	readonly weekStart: WeekStart;
	readonly hand: Hand;
	/** Language of the names written on pages, a BCP 47 tag. */
	readonly locale: string;
	readonly aim: Aim;
	readonly wishes: readonly Wish[];
}

/** The part of a block that lies on one page. */
export interface Piece {
	readonly page: number;
	readonly rect: Rect;
}

/** A wish with a form, a size and a place: one piece, or two over a spread, the left one first. */
export interface Block {
	readonly wish: string;
	readonly form: string;
	readonly room: Room;
	readonly pieces: readonly [Piece] | readonly [Piece, Piece];
	readonly discomfort: number;
	readonly facts: Facts;
	readonly why: readonly string[];
}

/** A wish that found no place, and what is missing. */
export interface Unplaced {
	readonly wish: string;
	readonly reason: string;
}

/** The month's pages in order. */
export interface Run {
	/** Pages from the first free one to the last one used. */
	readonly pages: readonly Page[];
	readonly blocks: readonly Block[];
	readonly unplaced: readonly Unplaced[];
	/** Last used − first free + 1, blank pages inside the run included. */
	readonly pagesUsed: number;
	/** Whether no run is better for the aim. */
	readonly optimal: boolean;
	/** How much lower the aim's cost could be at most. */
	readonly bound: number;
}

/** What is kept of a month: everything a plan needs but its notebook and the person's language. */
export interface KeptMonth {
	readonly month: string;
	readonly weekStart: WeekStart;
	readonly aim: Aim;
	readonly wishes: readonly Wish[];
}

/** What is known of the person who plans. */
export interface Person {
	readonly locale: string;
	readonly hand: Hand;
}

/** The plan of a kept month in a notebook. */
export function planOf(kept: KeptMonth, notebook: Notebook, person: Person): Plan {
	const month = parseMonth(kept.month);
	if (!month) throw new RangeError(`no month: ${kept.month}`);
	return {
		notebook,
		month,
		weekStart: kept.weekStart,
		hand: person.hand,
		locale: person.locale,
		aim: kept.aim,
		wishes: kept.wishes
	};
}
