import type { BookIndex } from './forecast';
import type { PaperKind } from './paper-hints';
import type { Dot, Rect } from './squares';

/** Page numbers from `first` to `last`, both included. */
export interface PageRange {
	readonly first: number;
	readonly last: number;
}

/** `drawn` holds ink already, `reserved` is kept free on purpose, `spoilt` cannot be used. */
export type PageState = 'free' | 'drawn' | 'reserved' | 'spoilt';

/** A page that differs from the rest of the book. */
export interface PageException {
	readonly number: number;
	readonly columns?: number;
	readonly rows?: number;
	readonly state?: Exclude<PageState, 'free'>;
}

/** A dot's distances from two paper edges of its own page, in mm, as far as they were measured. */
export interface MarginsMm {
	readonly left?: Partial<Dot>;
	readonly right?: Partial<Dot>;
}

/** A dot-grid notebook as measured. Counts are squares unless the name ends in `Mm`. */
export interface Notebook {
	readonly name: string;
	readonly pageMm: { readonly width: number; readonly height: number };
	readonly pitchMm: number;
	readonly columns: number;
	readonly rows: number;
	/** Squares that the fold counts as when a block is drawn across it (common practice: 2). */
	readonly gutter: number;
	readonly freePages: readonly PageRange[];
	/** First dot's distance from that page's own left and top paper edge. */
	readonly marginsMm?: MarginsMm;
	/** Last dot's distance from that page's own right and lower paper edge, in mm: measured as a check. */
	readonly farMarginsMm?: MarginsMm;
	/** Pages in the book, where that was counted. */
	readonly totalPages?: number;
	readonly index?: BookIndex;
	readonly paper?: PaperKind;
	readonly pages?: readonly PageException[];
}

export type Side = 'left' | 'right';

/** One page of the book with its own grid. */
export interface Page {
	readonly number: number;
	readonly side: Side;
	readonly columns: number;
	readonly rows: number;
	readonly state: PageState;
}

/** Two facing pages; a book that opens on page 1 has no page 0 on its left. */
export interface Spread {
	readonly left: number;
	readonly right: number;
}

/** Odd pages are right-hand pages. */
export function sideOf(page: number): Side {
	return page % 2 === 1 ? 'right' : 'left';
}

/** The spread on which a page lies: even page left, the next one right. */
export function spreadOf(page: number): Spread {
	const left = page - (page % 2);
	return { left, right: left + 1 };
}

/** The page with its own grid and state, exceptions applied. */
export function pageOf(notebook: Notebook, number: number): Page {
	const exception = notebook.pages?.find((page) => page.number === number);
	return {
		number,
		side: sideOf(number),
		columns: exception?.columns ?? notebook.columns,
		rows: exception?.rows ?? notebook.rows,
		state: exception?.state ?? 'free'
	};
}

/** Pages that may be planned, in order: inside a free range and neither drawn, reserved nor spoilt. */
export function plannablePages(notebook: Notebook): Page[] {
	const exceptions = new Map(notebook.pages?.map((page) => [page.number, page]));
	const numbers = new Set<number>();
	for (const range of notebook.freePages)
		for (let number = range.first; number <= range.last; number++) numbers.add(number);
	return [...numbers]
		.sort((a, b) => a - b)
		.filter((number) => exceptions.get(number)?.state === undefined)
		.map((number) => {
			const exception = exceptions.get(number);
			return {
				number,
				side: sideOf(number),
				columns: exception?.columns ?? notebook.columns,
				rows: exception?.rows ?? notebook.rows,
				state: 'free'
			};
		});
}

/** The notebook with only those pages free that come after a page. */
export function freeAfter(notebook: Notebook, page: number): Notebook {
	const freePages = notebook.freePages
		.filter((range) => range.last > page)
		.map((range) => ({ ...range, first: Math.max(range.first, page + 1) }));
	return { ...notebook, freePages };
}

/** The notebook with some pages closed because something is drawn on them. */
export function withDrawn(notebook: Notebook, numbers: readonly number[]): Notebook {
	if (numbers.length === 0) return notebook;
	const drawn = new Set(numbers);
	const others = notebook.pages?.filter(({ number }) => !drawn.has(number)) ?? [];
	const closed = [...drawn].map((number) => {
		const { columns, rows } = pageOf(notebook, number);
		return { number, columns, rows, state: 'drawn' as const };
	});
	return { ...notebook, pages: [...others, ...closed] };
}

/** The whole grid of a page as a rectangle. */
export function gridOf(page: Page): Rect {
	return { x: 0, y: 0, w: page.columns, h: page.rows };
}

/**
 * The first dot's place on a page in mm from that page's own left and top edge: as measured, or
 * until then the page minus the grid, halved.
 */
export function marginMm(notebook: Notebook, side: Side): Dot {
	const { pageMm, columns, rows, pitchMm } = notebook;
	const measured = notebook.marginsMm?.[side];
	return {
		x: measured?.x ?? (pageMm.width - columns * pitchMm) / 2,
		y: measured?.y ?? (pageMm.height - rows * pitchMm) / 2
	};
}

/** A dot's place in mm from the left and top paper edge of its page. */
export function dotMm(notebook: Notebook, side: Side, dot: Dot): Dot {
	const margin = marginMm(notebook, side);
	return { x: margin.x + dot.x * notebook.pitchMm, y: margin.y + dot.y * notebook.pitchMm };
}

/** Most squares of this pitch that lie on `lengthMm` of paper after a margin of `marginMm`. */
export function mostSquares(lengthMm: number, pitchMm: number, marginMm = 0): number {
	// The tolerance forgives binary rounding (0.1 + 0.2), not measuring.
	return Math.max(0, Math.floor((lengthMm - marginMm) / pitchMm + 1e-9));
}
