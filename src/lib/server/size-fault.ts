import type { Fault } from '$lib/core/formats';
import { allWishes, type Wish } from '$lib/core/wish';

/** So many blocks are planned at once; a full year of weekly spreads has some sixty. */
export const mostBlocks = 400;
const weeksOfMonth = 6;

/** What is too much about some wishes: every week of a set, and every page of a week of four, is a block. */
export function sizeFault(wishes: readonly Wish[]): Fault | undefined {
	const blocks = allWishes(wishes).reduce((sum, { weeks }) => {
		if (!weeks) return sum + 1;
		return sum + weeksOfMonth * (weeks.pagesPerWeek === 4 ? 4 : 1);
	}, 0);
	if (blocks <= mostBlocks) return undefined;
	return {
		path: 'wishes',
		message: `may ask for at most ${mostBlocks} blocks, each week of a weekly set counted; these ask for up to ${blocks}`
	};
}
