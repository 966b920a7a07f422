import { allWishes, type Wish } from '../../wish';
import type { Prices } from '../plan/aims';
import { importanceOf, leftBy, type Choice } from '../choices/choices';
import type { Part } from '../choices/parts';

/** How many blocks parts come to with their members. */
export function blocksIn(parts: readonly Part[]): number {
	return parts.reduce((sum, { wish }) => sum + allWishes([wish]).length, 0);
}

/** What the members that a choice leaves out cost. */
export function lossOf(choice: Choice, prices: Prices): number {
	return leftBy(choice).reduce((sum, member) => sum + lossWith(member, prices), 0);
}

/** What it costs to leave a part out: of equally many weeks those go first that have the fewest days. */
export function lossOfPart({ wish, lacking }: Part, prices: Prices): number {
	const days = importanceOf(wish) === 'spare' ? 0 : lacking;
	return lossWith(wish, prices) - days * prices.day;
}

/** How many days short weeks lack together, of those that are missed before pages count. */
export function daysLacking(parts: readonly Part[]): number {
	return parts.reduce((sum, { lacking }) => sum + lacking, 0);
}

/** What it costs to leave a wish out: its members go with it. */
export function lossWith(wish: Wish, prices: Prices): number {
	return allWishes([wish]).reduce((sum, one) => sum + prices[importanceOf(one)], 0);
}
