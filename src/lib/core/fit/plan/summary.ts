import type { Size } from '../../paper';
import type { Run } from './plan';

/** What one compares two runs by. */
export interface Summary {
	readonly pagesUsed: number;
	/** Wishes, or parts of weekly pages, that found no place. */
	readonly leftOut: number;
	readonly smallestCell?: Size;
	readonly largestCell?: Size;
	/** Squares in places that are large enough for art. */
	readonly artSquares: number;
	readonly discomfort: number;
}

/** A run in a few numbers. */
export function summaryOf(run: Run): Summary {
	const cells = run.blocks
		.flatMap(({ facts }) => facts.cell ?? [])
		.sort((a, b) => a.w * a.h - b.w * b.h);
	return {
		pagesUsed: run.pagesUsed,
		leftOut: run.unplaced.length,
		smallestCell: cells[0],
		largestCell: cells.at(-1),
		artSquares: run.art.reduce((sum, { rect }) => sum + rect.w * rect.h, 0),
		discomfort: run.blocks.reduce((sum, { discomfort }) => sum + discomfort, 0)
	};
}
