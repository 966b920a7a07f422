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
	const opening = plan.wishes.find((wish) => !isFiller(wish));
	if (!opening || kindOf(opening).likes !== 'right') return undefined;
	const drawn = plan.drawn?.blocks.find(({ wish }) => wish.id === opening.id)?.pieces[0]?.page;
	const held = fixed.find(({ part }) => part.wish.id === opening.id)?.pieces[0].page;
	if (drawn !== undefined || held !== undefined) return drawn ?? held;
	if (!free.some(({ wish }) => wish.id === opening.id)) return undefined;
	return (
		opening.pin?.page ?? sheets.slice(0, 2).find(({ page }) => page.side === 'right')?.page.number
	);
}

/** Where a page lies to another one. */
export function placeTo(other: number, page: number): 'before' | 'at' | 'after' {
	if (page === other) return 'at';
	return page < other ? 'before' : 'after';
}
