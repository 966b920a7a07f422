import { sortOf, type ProblemItem } from '../solve';

/**
 * At most so many different fillers keep their freedom; every one more doubles the states of a run. The
 * others stand in their place in the order, like wishes that are no fillers.
 */
const mostFillers = 4;

/** Items of which at most so many sorts of fillers are free. */
export function fewFillers(items: readonly ProblemItem[]): ProblemItem[] {
	const sorts = new Set<string>();
	return items.map((item) => {
		if (!item.filler) return item;
		const sort = sortOf(item);
		if (sorts.size < mostFillers) sorts.add(sort);
		return sorts.has(sort) ? item : { ...item, filler: false, stretch: undefined };
	});
}
