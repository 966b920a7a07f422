import type { Summary } from '$lib/core/fit';
import type { Size } from '$lib/core/paper';

/** A line of the comparison: what is compared, and each column's value once it is known. */
export interface CompareLine {
	readonly label: string;
	readonly values: readonly (string | undefined)[];
	/** It is a number that one counts by. */
	readonly counted: boolean;
}

interface Compared {
	readonly summary: Summary;
	/** Pages of the book that are free for the month. */
	readonly free: number;
}

/** The lines of a comparison; a column that is still being worked out is undefined. */
export function compareLines(columns: readonly (Compared | undefined)[]): CompareLine[] {
	const line = (label: string, counted: boolean, valueOf: (column: Compared) => string) => ({
		label,
		counted,
		values: columns.map((column) => column && valueOf(column))
	});
	const cell = (size: Size | undefined) => (size ? `${size.w} × ${size.h} squares` : 'no cells');
	return [
		line('Pages used', true, ({ summary }) => String(summary.pagesUsed)),
		line('Free pages left after it', true, ({ summary, free }) => String(free - summary.pagesUsed)),
		line('Left out', false, ({ summary }) =>
			summary.leftOut === 0 ? 'nothing' : `${summary.leftOut} of the wishes or weeks`
		),
		line('Smallest cell', false, ({ summary }) => cell(summary.smallestCell)),
		line('Largest cell', false, ({ summary }) => cell(summary.largestCell)),
		line('Left for art', false, ({ summary }) => `${summary.artSquares} squares`)
	];
}
