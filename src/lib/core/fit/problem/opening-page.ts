import type { Wish } from '../../wish';
import { isFiller, kindOf } from '../choices/choices';
import type { Part } from '../choices/parts';
import type { Fixed } from './pinned';
import type { Plan } from '../plan/plan';
import type { Sheet } from '../choices/sheets';

/**
 * The page of what opens the month, liked on the right: where it is drawn or held, or else the first right page of
 * those that are free. None where the month opens with something else.
 */
export function pageOfCover(
	plan: Plan,
	sheets: readonly Sheet[],
	free: readonly Part[],
	fixed: readonly Fixed[]
): number | undefined {
	const opening = openingOf(plan);
	if (!opening || kindOf(opening).likes !== 'right') return undefined;
	const drawn = plan.drawn?.blocks.find(({ wish }) => wish.id === opening.id)?.pieces[0]?.page;
	const held = fixed.find(({ part }) => part.wish.id === opening.id)?.pieces[0].page;
	if (drawn !== undefined || held !== undefined) return drawn ?? held;
	if (!free.some(({ wish }) => wish.id === opening.id)) return undefined;
	return (
		opening.pin?.page ?? sheets.slice(0, 2).find(({ page }) => page.side === 'right')?.page.number
	);
}

/** What opens the month: the first of the list that is no filler, but for what only faces a cover after it. */
export function openingOf(plan: Plan): Wish | undefined {
	const [first, next] = plan.wishes.filter((wish) => !isFiller(plan, wish));
	if (!first || !next || kindOf(first).likes === 'right') return first;
	const faces = first.facing === next.id || next.facing === first.id;
	return faces && kindOf(next).likes === 'right' ? next : first;
}

/** Where a page lies to another one. */
export function placeTo(other: number, page: number): 'before' | 'at' | 'after' {
	if (page === other) return 'at';
	return page < other ? 'before' : 'after';
}
