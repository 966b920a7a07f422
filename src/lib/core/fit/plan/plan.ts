import type { Cut } from '../../cuts';
import type { Hand } from '../../hand';
import { parseMonth, type WeekStart, type YearMonth } from '../../month';
import type { Notebook, Rect, Page } from '../../paper';
import type { Facts, Room } from '../../forms';
import type { Theme } from '../../theme';
import type { Wish } from '../../wish';
import type { Aim, Gap } from './aims';

/** Where a wish lay when a hand last moved something. */
export interface Lay {
	readonly wish: string;
	readonly page: number;
}

/** What a page's names and counts followed from when it was drawn. */
export type DrawnWith = Pick<Plan, 'month' | 'weekStart' | 'hand' | 'locale' | 'theme'>;

/** The wish in whose room a member stands, and the room's name. */
export interface Host {
	readonly wish: string;
	readonly room: string;
}

/** A block that is in the book already, as it was drawn: no later change of its wish or of the plan touches it. */
export interface DrawnBlock {
	readonly wish: Wish;
	/** Missing in what was drawn before this was kept: that is shown as the plan has it now. */
	readonly drawnWith?: DrawnWith;
	readonly host?: Host;
	readonly letters?: number;
	readonly form: string;
	/** One piece, or two over a spread. */
	readonly pieces: readonly Piece[];
}

/** How all titles of a month are done, but for those that ask otherwise. */
export type Titles = 'lettered' | 'side' | 'written' | 'none';

/**
 * Which sizes of things are tried: those of whole pages, halves and quarters; united with the least height at each width; or
 * every height at which something becomes more comfortable. Each holds all of the one before.
 */
export const sizeSteps = ['usual', 'united', 'every'] as const;
export type Sizes = (typeof sizeSteps)[number];

/** Everything a run is computed from. */
export interface Plan {
	readonly notebook: Notebook;
	readonly month: YearMonth;
	readonly weekStart: WeekStart;
	readonly hand: Hand;
	/** Language of the names written on pages, a BCP 47 tag. */
	readonly locale: string;
	readonly aim: Aim;
	/** United unless it says otherwise. */
	readonly sizes?: Sizes;
	/** Drawn unless it says otherwise. */
	readonly titles?: Titles;
	/** Colours of the month, where it has its own. */
	readonly theme?: Theme;
	readonly wishes: readonly Wish[];
	/** Where wishes lay when a hand last moved something: equally good runs keep them there. */
	readonly lately?: readonly Lay[];
	/** Pages of this month that are drawn already, and what stands on them. */
	readonly drawn?: Drawn;
	/** Cuts through the month's leaves. */
	readonly cuts?: readonly Cut[];
	/** Cuts that are in the book already: a month before this one made them. */
	readonly earlierCuts?: readonly Cut[];
	/** First days of weeks that are drawn whole in the book already: a month before this one shows them. */
	readonly earlierWeeks?: readonly string[];
}

/** What of a month is drawn already. */
export interface Drawn {
	readonly pages: readonly number[];
	readonly blocks: readonly DrawnBlock[];
}

/** The part of a block that lies on one page. */
export interface Piece {
	readonly page: number;
	readonly rect: Rect;
}

/** One piece, or two over a spread, the left one first. */
export type Pieces = readonly [Piece] | readonly [Piece, Piece];

/** A wish with a form, a size and a place. */
export interface Block {
	/** Id of the wish; weekly pages have several blocks. */
	readonly wish: string;
	/** The wish as this block is ruled: a week of a set, or as it was when it was drawn. */
	readonly as: Wish;
	/** Of a block that is drawn: what it was drawn with. */
	readonly drawnWith?: DrawnWith;
	/** Of a member: the wish in whose room it stands. */
	readonly host?: Host;
	/** How high the letters of its title are at most: those of the titles that are seen with it. */
	readonly letters?: number;
	readonly form: string;
	readonly room: Room;
	readonly pieces: Pieces;
	readonly discomfort: number;
	readonly facts: Facts;
	readonly why: readonly string[];
}

/** A wish, or a part of one, that found no place, and what is missing. */
export interface Unplaced {
	readonly wish: string;
	/** Which part of it, such as a week of the set. */
	readonly part?: string;
	readonly reason: string;
}

/** The month's pages in order. */
export interface Run {
	/** Pages from the first free one to the last one used. */
	readonly pages: readonly Page[];
	readonly blocks: readonly Block[];
	readonly unplaced: readonly Unplaced[];
	/** Larger places that are left free, for art. */
	readonly art: readonly Piece[];
	/** Last used − first free + 1, blank pages inside the run included. */
	readonly pagesUsed: number;
	/** The sizes of which this run is the best, but for its bound. */
	readonly sizes: Sizes;
	/** Whether no run is better for the aim, of whatever sizes. */
	readonly optimal: boolean;
	/** How much lower the aim's cost could be at most. */
	readonly bound: number;
	/** The same in pages, things left out and comfort. */
	readonly gap: Gap;
}

/** Where the wishes of a run lie, but for weekly pages, which have many places. */
export function laysOf(plan: Plan, run: Run): Lay[] {
	const single = new Set(plan.wishes.filter(({ weeks }) => !weeks).map(({ id }) => id));
	return ownBlocks(run).flatMap(({ wish, pieces: [{ page }] }) =>
		single.has(wish) ? [{ wish, page }] : []
	);
}

/** Blocks of a run that stand on its pages by themselves: no members. */
export function ownBlocks({ blocks }: Pick<Run, 'blocks'>): Block[] {
	return blocks.filter(({ host }) => host === undefined);
}

/** A plan with what the months before it in the book have to do with it: their cuts, and the weeks that they show. */
export function withEarlier(
	plan: Plan,
	earlierCuts: readonly Cut[],
	earlierWeeks: readonly string[]
): Plan {
	return {
		...plan,
		...(earlierCuts.length > 0 ? { earlierCuts } : {}),
		...(earlierWeeks.length > 0 ? { earlierWeeks } : {})
	};
}

/** The run of a month without wishes. */
export const emptyRun: Run = {
	pages: [],
	blocks: [],
	unplaced: [],
	art: [],
	pagesUsed: 0,
	sizes: 'every',
	optimal: true,
	bound: 0,
	gap: { pages: 0, leftOut: 0, comfort: 0 }
};

/** What is kept of a month: everything a plan needs but its notebook and the person's language. */
export interface KeptMonth extends Pick<
	Plan,
	'weekStart' | 'aim' | 'sizes' | 'titles' | 'theme' | 'wishes' | 'lately' | 'drawn' | 'cuts'
> {
	/** "2027-05" */
	readonly month: string;
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
		wishes: kept.wishes,
		...(kept.sizes ? { sizes: kept.sizes } : {}),
		...(kept.titles ? { titles: kept.titles } : {}),
		...(kept.theme ? { theme: kept.theme } : {}),
		...(kept.lately ? { lately: kept.lately } : {}),
		...(kept.drawn && kept.drawn.pages.length > 0 ? { drawn: kept.drawn } : {}),
		...(kept.cuts && kept.cuts.length > 0 ? { cuts: kept.cuts } : {})
	};
}
