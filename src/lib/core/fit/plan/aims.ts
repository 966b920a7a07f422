import type { BlankPrices, Company } from '../solve';

/** What a run is judged by first: paper saved, a middle way, or room to write. */
export type Aim = 'fewest-pages' | 'balanced' | 'roomiest';

/** Whole prices that put an aim's list of numbers in one: what comes first outweighs all that follows. */
export interface Prices {
	/** One step of discomfort. */
	readonly comfort: number;
	readonly page: number;
	readonly spare: number;
	/** A day of a week. */
	readonly day: number;
	readonly want: number;
	readonly must: number;
}

/** Worst discomfort that a form gives a block. */
export const worstForm = 100;
/** What it costs, once a page, where something else shares a page of a spread that is liked alone there. */
const shared = 90;
/** What each purpose on a page costs beyond the first: more than a page. */
const stranger = 45;
/**
 * What a page costs that stays blank inside the run, and what it costs besides where the one before is blank too. Only where
 * there is room in plenty: elsewhere its price as a page does.
 */
const blankPage = { each: 20, again: 20 };
const worstBlank = 40;
/** Worst that one block can cost in comfort, company included. */
export const worst = worstForm + shared;

/** Prices of sharing pages. Where pages come first they are all shared. */
export function companyFor(aim: Aim, { comfort }: Prices): Company {
	return aim === 'fewest-pages'
		? { purpose: 0, kept: 0 }
		: { purpose: stranger * comfort, kept: shared * comfort };
}

/** Prices of blank pages. */
export function blanksFor(aim: Aim, { comfort }: Prices): BlankPrices {
	const { each, again } = aim === 'roomiest' ? blankPage : { each: 0, again: 0 };
	return { each: each * comfort, again: again * comfort };
}

/** A price in terms that a person can weigh. */
export interface Gap {
	readonly pages: number;
	/** Things left out. */
	readonly leftOut: number;
	/** Steps of comfort, of which a block has 100 at most. */
	readonly comfort: number;
}

/** A difference of prices in pages, things left out and comfort, as the aim weighs them. */
export function gapOf(aim: Aim, price: number, { want, spare, page, comfort }: Prices): Gap {
	const leftOut = Math.floor(price / want);
	const rest = price % want;
	switch (aim) {
		case 'fewest-pages':
			return {
				leftOut: leftOut + Math.floor((rest % page) / spare),
				pages: Math.floor(rest / page),
				comfort: (rest % page) % spare
			};
		case 'balanced':
			return { leftOut, pages: Math.floor(rest / page), comfort: rest % page };
		case 'roomiest':
			return {
				leftOut: leftOut + Math.floor(rest / spare),
				pages: (rest % spare) % comfort,
				comfort: Math.floor((rest % spare) / comfort)
			};
	}
}

/**
 * Prices for so many blocks on so many pages, where short weeks lack so many days together. Musts left out come first, then
 * wants, then days; then, for fewest
 * pages: pages, spares, discomfort; balanced: 40 × pages + 60 × spares + discomfort; roomiest: spares,
 * discomfort, pages. Throws when the sum could not be counted exactly (2^53).
 */
export function pricesFor(aim: Aim, blocks: number, pages: number, lacking = 0): Prices {
	const comforts = worst * blocks + worstBlank * pages;
	const lists = {
		'fewest-pages': { comfort: 1, spare: comforts + 1, page: (comforts + 1) * (blocks + 1) },
		balanced: { comfort: 1, spare: 60, page: 40 },
		roomiest: { comfort: pages + 1, spare: (comforts + 1) * (pages + 1), page: 1 }
	};
	const { comfort, spare, page } = lists[aim];
	// A squeezed cover costs a page more.
	const day = comfort * comforts + spare * blocks + page * (pages + 1) + 1;
	const want = day * (lacking + 1);
	const must = want * (blocks + 1);
	if (must * (blocks + 1) > Number.MAX_SAFE_INTEGER)
		throw new RangeError(`${blocks} blocks on ${pages} pages are more than can be weighed exactly`);
	return { comfort, page, spare, day, want, must };
}
