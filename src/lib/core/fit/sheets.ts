import { plannablePages, type Page, type Size } from '../paper';
import type { Plan } from './plan';

/** A page that may still be filled. */
export interface Sheet {
	readonly page: Page;
	readonly size: Size;
}

/** Pages that a month may still fill, in order: free in the book and not drawn by the month itself. */
export function sheetsOf(plan: Plan): Sheet[] {
	const drawn = new Set(plan.drawn?.pages);
	return plannablePages(plan.notebook)
		.filter(({ number }) => !drawn.has(number))
		.map((page) => ({ page, size: { w: page.columns, h: page.rows } }));
}

/** The facing right page of a left page, when both may be filled. */
export function facing(sheets: readonly Sheet[], index: number): [Sheet, Sheet] | undefined {
	const left = sheets[index];
	const right = sheets[index + 1];
	if (!left || !right || left.page.side !== 'left') return undefined;
	return right.page.number === left.page.number + 1 ? [left, right] : undefined;
}
