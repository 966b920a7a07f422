import type { Rect, Size } from '../paper';

/** Squares of a page, row by row, each in it or not. */
export type Mask = readonly (readonly boolean[])[];

/** A mask of a size, asked square by square. */
export function maskOf({ w, h }: Size, is: (x: number, y: number) => boolean): Mask {
	return Array.from({ length: h }, (_, y) => Array.from({ length: w }, (_, x) => is(x, y)));
}

/** Stretches of a row that are in the mask, or that are not. */
export function stretches(
	row: readonly boolean[],
	wanted: boolean
): { readonly from: number; readonly to: number }[] {
	const found: { from: number; to: number }[] = [];
	let from = 0;
	for (let x = 0; x <= row.length; x++)
		if (x === row.length || row[x] !== wanted) {
			if (x > from) found.push({ from, to: x });
			from = x + 1;
		}
	return found;
}

/** The squares of a mask as rectangles that do not overlap: stretches of a row, joined with equal ones below. */
export function rectsOf(mask: Mask): Rect[] {
	const done: Rect[] = [];
	let open: Rect[] = [];
	for (const [y, row] of [...mask, []].entries()) {
		const next = stretches(row, true).map(({ from, to }): Rect => {
			const above = open.find(({ x, w }) => x === from && w === to - from);
			return above ? { ...above, h: above.h + 1 } : { x: from, y, w: to - from, h: 1 };
		});
		done.push(...open.filter(({ x, w }) => !next.some((rect) => rect.x === x && rect.w === w)));
		open = next;
	}
	return done;
}
