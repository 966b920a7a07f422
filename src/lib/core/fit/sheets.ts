import type { Page, Rect, Size } from '../paper';

/** A page while it is being filled. */
export interface Sheet {
	readonly page: Page;
	readonly size: Size;
	readonly rects: Rect[];
}

/** The facing right page of an empty left page, when both can take a block over the spread. */
export function facing(sheets: readonly Sheet[], index: number): [Sheet, Sheet] | undefined {
	const left = sheets[index];
	const right = sheets[index + 1];
	if (!left || !right || left.page.side !== 'left') return undefined;
	return right.page.number === left.page.number + 1 ? [left, right] : undefined;
}
