import { plannablePages, type Notebook } from '$lib/core/paper';

/** Pages of a book side by side that are of one sort. */
export interface Segment {
	readonly first: number;
	readonly last: number;
	/** Index of the month that stands there, or whether they are free or kept out. */
	readonly what: number | 'free' | 'out';
}

/** The last page of a book that is known of. */
export function lastPage({ totalPages, freePages }: Notebook): number {
	return totalPages ?? Math.max(...freePages.map(({ last }) => last));
}

/** A book from its first page to its last, in pages that belong together. */
export function segmentsOf(
	notebook: Notebook,
	months: readonly { readonly pages: readonly number[] }[]
): Segment[] {
	const free = new Set(plannablePages(notebook).map(({ number }) => number));
	const month = new Map(
		months.flatMap(({ pages }, at) => pages.map((page) => [page, at] as const))
	);
	const segments: Segment[] = [];
	for (let page = 1; page <= lastPage(notebook); page++) {
		const what = month.get(page) ?? (free.has(page) ? 'free' : 'out');
		const before = segments.at(-1);
		if (before?.what === what) segments[segments.length - 1] = { ...before, last: page };
		else segments.push({ first: page, last: page, what });
	}
	return segments;
}
