import type { Size } from '../../../paper';
import type { PageOption } from './problem';

/** Options of one member of a group, the cheapest first; kept once for each content. */
export interface OptionList {
	readonly key: number;
	readonly options: readonly (PageOption & { readonly index: number })[];
	/** Price of leaving the member out, where that is allowed. */
	readonly loss: number | undefined;
	/** What the member is for, as a bit. */
	readonly purpose: number;
	/** Least area that it takes. */
	readonly least: number;
	/** Area of its cheapest option. */
	readonly usual: number;
	/** Least width and least height of its options, unless it may be left out. */
	readonly smallest: Size | undefined;
}

/** What a member costs at least. */
export function leastCost({ options, loss }: OptionList): number {
	return Math.min(options[0]?.cost ?? Infinity, loss ?? Infinity);
}
