import { pageOf, spreadOf, type Dot, type Notebook, type Rect, type Side } from '../paper';
import { frontOf, type Cut } from './cut';
import { isInside, takesOf } from './inside';
import { maskOf, rectsOf } from './mask';
import { mirrored, removals, type Outline } from './removed';
import { squareMm } from './usable';

/** A page in an opening: what its leaf has lost, in mm from the page's own upper left paper corner. */
export interface SeenPage {
	readonly page: number;
	readonly removed: readonly Outline[];
}

/** What lies open on one side of a spread: the page on top first, then those seen through its cuts. */
export type Stack = readonly [SeenPage, ...SeenPage[]];

/** A book lying open at a spread, with what is seen through its cuts on both sides. */
export interface Opening {
	readonly left: Stack;
	readonly right: Stack;
}

/** The opening at the spread of a page. Through the right page one sees later leaves, through the left earlier ones. */
export function openingAt(notebook: Notebook, cuts: readonly Cut[], page: number): Opening {
	const { left, right } = spreadOf(page);
	return {
		left: stack(notebook, cuts, left, 'left'),
		right: stack(notebook, cuts, right, 'right')
	};
}

function stack(notebook: Notebook, cuts: readonly Cut[], top: number, side: Side): Stack {
	const seen = (page: number): SeenPage => {
		const outlines = removals(notebook, cuts, frontOf(page)).flatMap(({ outlines }) => outlines);
		return {
			page,
			removed: side === 'right' ? outlines : outlines.map((outline) => mirrored(notebook, outline))
		};
	};
	const first = seen(top);
	const below: SeenPage[] = [];
	let last = first;
	const by = side === 'right' ? 2 : -2;
	while (last.removed.length > 0 && last.page + by > 0) {
		last = seen(last.page + by);
		below.push(last);
	}
	return [first, ...below];
}

/** Which page is seen at a point of a stack, in mm from the paper's upper left corner on that side. */
export function seenAt(pages: Stack, point: Dot): number | undefined {
	return pages.find(({ removed }) => !removed.some((outline) => isInside(point, outline)))?.page;
}

/** How much of a rectangle of squares is seen of a page that lies in a stack. */
export function viewOf(
	notebook: Notebook,
	pages: Stack,
	page: number,
	rect: Rect
): 'whole' | 'part' | 'hidden' {
	let [shown, covered] = [0, 0];
	for (let y = rect.y; y < rect.y + rect.h; y++)
		for (let x = rect.x; x < rect.x + rect.w; x++) {
			const view = squareView(notebook, pages, page, { x, y });
			if (view === 'part') return 'part';
			if (view === 'whole') shown++;
			else covered++;
		}
	if (shown === 0) return 'hidden';
	return covered === 0 ? 'whole' : 'part';
}

function squareView(
	notebook: Notebook,
	pages: Stack,
	page: number,
	square: Dot
): 'whole' | 'part' | 'hidden' {
	const edges = squareMm(notebook, page, square);
	const middle = { x: (edges.left + edges.right) / 2, y: (edges.top + edges.bottom) / 2 };
	for (const seen of pages) {
		if (seen.page === page)
			return seen.removed.some((outline) => takesOf(outline, edges)) ? 'part' : 'whole';
		const around = seen.removed.find((outline) => isInside(middle, outline));
		const touched = seen.removed.some((outline) => takesOf(outline, edges));
		if (!touched) return 'hidden';
		if (!around || !covers(around, edges)) return 'part';
	}
	return 'hidden';
}

/** Whether an outline takes a whole square whose middle it takes: its corners as well. */
function covers(outline: Outline, { left, top, right, bottom }: ReturnType<typeof squareMm>) {
	const slack = 1e-6;
	return [left + slack, right - slack].every((x) =>
		[top + slack, bottom - slack].every((y) => isInside({ x, y }, outline))
	);
}

/** Squares of a page that are wholly seen in a stack, as rectangles that do not overlap. */
export function seenRects(notebook: Notebook, pages: Stack, page: number): Rect[] {
	const { columns, rows } = pageOf(notebook, page);
	const seen = maskOf(
		{ w: columns, h: rows },
		(x, y) => squareView(notebook, pages, page, { x, y }) === 'whole'
	);
	return rectsOf(seen);
}

/**
 * Squares of a page that stay in view through the cuts of all leaves above it, whichever of them is turned:
 * the place for what a whole set shares. None where no cut leaf lies on it.
 */
export function alwaysSeen(notebook: Notebook, cuts: readonly Cut[], page: number): Rect[] {
	const side = page % 2 === 1 ? 'right' : 'left';
	const above = side === 'right' ? -2 : 2;
	const stacks: Stack[] = [];
	for (let top = page + above; top > 0; top += above) {
		const pages = stack(notebook, cuts, top, side);
		if (pages[0].removed.length === 0) break;
		stacks.push(pages);
	}
	if (stacks.length === 0) return [];
	const { columns, rows } = pageOf(notebook, page);
	return rectsOf(
		maskOf({ w: columns, h: rows }, (x, y) =>
			stacks.every((pages) => squareView(notebook, pages, page, { x, y }) === 'whole')
		)
	);
}
