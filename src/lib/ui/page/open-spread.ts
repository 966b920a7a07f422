import type { Run } from '$lib/core/fit';
import { spreadOf, type Spread } from '$lib/core/paper';

/** Where one is in a run: the page asked for, its spread, and the spreads before and after. */
export interface OpenSpread {
	readonly page: number;
	readonly spread: Spread;
	/** First planned page of the spread before, if there is one. */
	readonly before: number | undefined;
	readonly after: number | undefined;
}

/** The spread of a page in the address ("14", or "first"); undefined when the run has no such page. */
export function openSpread(run: Run, address: string | undefined): OpenSpread | undefined {
	const numbers = run.pages.map((page) => page.number);
	const page = address === 'first' ? numbers[0] : Number(address);
	if (page === undefined) return undefined;
	const spread = spreadOf(page);
	if (!numbers.some((number) => spreadOf(number).left === spread.left)) return undefined;
	return {
		page,
		spread,
		before: numbers.findLast((number) => number < spread.left),
		after: numbers.find((number) => number > spread.right)
	};
}
