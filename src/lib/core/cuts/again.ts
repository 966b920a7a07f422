import type { PageRange } from '../paper';
import { frontsOf, type Cut } from './cut';

/** Leaves with both pages inside a range of pages, by their fronts; undefined where there are none. */
export function leavesWithin({ first, last }: PageRange): PageRange | undefined {
	const from = first % 2 === 1 ? first : first + 1;
	const to = last % 2 === 0 ? last - 1 : last - 2;
	return from <= to ? { first: from, last: to } : undefined;
}

/**
 * The cuts of sets that earlier months made, for the leaves of another set: of each kind the latest, but none of a kind
 * that the month has. A window or a corner of a single leaf belongs to its page and is not offered again.
 */
export function cutsAgain(
	earlier: readonly Cut[],
	own: readonly Cut[],
	set: PageRange | undefined
): Cut[] {
	const leaves = set && leavesWithin(set);
	if (!leaves) return [];
	const latest = new Map(
		earlier
			.filter((cut) => cut.kind !== 'glue' && frontsOf(cut).length > 1)
			.toSorted((a, b) => a.leaves.first - b.leaves.first)
			.map((cut) => [cut.kind, cut] as const)
	);
	return [...latest.values()]
		.filter(({ kind }) => !own.some((cut) => cut.kind === kind))
		.map(({ for: _, made: __, ...cut }) => ({ ...cut, id: cut.kind, leaves }));
}
