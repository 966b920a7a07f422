import { marginMm, pageOf, type Dot, type Notebook, type Rect, type Size } from '../paper';
import { frontOf, frontsOf, type Cut } from './cut';
import { edgesOf, overlap, takesOf, type Edges } from './inside';
import { rectsOf, stretches, type Mask } from './mask';
import { mirrored, removals, type Outline } from './removed';

/** What of a page's grid can be written on. */
export interface Usable {
	/** The largest rectangles of whole squares, the largest first; none lies inside another. */
	readonly rects: readonly Rect[];
	/** All other squares, as rectangles that do not overlap. */
	readonly lost: readonly Rect[];
}

/** More rectangles than these are crumbs around a curve. */
const mostRects = 8;

/** The usable squares of a page: wholly inside what its leaf has left, on the page's own dots, and not glued. */
export function usableOf(notebook: Notebook, cuts: readonly Cut[], number: number): Usable {
	const page = pageOf(notebook, number);
	const size = { w: page.columns, h: page.rows };
	const taking = takenOutlines(notebook, cuts, number);
	if (taking.length === 0) return { rects: [{ x: 0, y: 0, ...size }], lost: [] };
	const lost = mask(notebook, number, size, taking);
	return { rects: largest(lost, size), lost: rectsOf(lost) };
}

/** Outlines that take from a page, cut out or glued, in mm from the page's own upper left paper corner. */
export function takenOutlines(notebook: Notebook, cuts: readonly Cut[], number: number): Outline[] {
	const front = frontOf(number);
	const cut = removals(notebook, cuts, front).flatMap(({ outlines }) => outlines);
	const glued = cuts.flatMap((cut) => {
		const fronts = frontsOf(cut);
		// A leaf's back is glued to the next one's front: the first front and the last back stay free.
		const [first, last] = [fronts[0], fronts.at(-1)];
		const free = number === first || number === (last ?? 0) + 1;
		return cut.kind === 'glue' && cut.rect && fronts.includes(front) && !free
			? [rectMm(notebook, cut.rect)]
			: [];
	});
	const all = [...cut, ...glued];
	return number === front ? all : all.map((outline) => mirrored(notebook, outline));
}

function rectMm(notebook: Notebook, { x, y, w, h }: Rect): Outline {
	const margin = marginMm(notebook, 'right');
	const mm = (dot: Dot) => ({
		x: margin.x + dot.x * notebook.pitchMm,
		y: margin.y + dot.y * notebook.pitchMm
	});
	return [
		{ x, y },
		{ x: x + w, y },
		{ x: x + w, y: y + h },
		{ x, y: y + h }
	].map(mm);
}

/** A square of a page in mm from that page's own upper left paper corner. */
export function squareMm(notebook: Notebook, page: number, { x, y }: Dot): Edges {
	const margin = marginMm(notebook, page % 2 === 1 ? 'right' : 'left');
	const { pitchMm } = notebook;
	const [left, top] = [margin.x + x * pitchMm, margin.y + y * pitchMm];
	return { left, top, right: left + pitchMm, bottom: top + pitchMm };
}

/** Which squares are taken; only those near an outline are looked at. */
function mask(notebook: Notebook, page: number, { w, h }: Size, taking: readonly Outline[]): Mask {
	const lost = Array.from({ length: h }, () => new Array<boolean>(w).fill(false));
	const first = squareMm(notebook, page, { x: 0, y: 0 });
	for (const outline of taking) {
		const around = edgesOf(outline);
		const upright = outline.length === 4 && outline.every((point) => isCorner(point, around));
		const from = (mm: number, start: number) =>
			Math.max(0, Math.floor((mm - start) / notebook.pitchMm));
		for (let y = from(around.top, first.top); y < h; y++)
			for (let x = from(around.left, first.left); x < w; x++) {
				const square = squareMm(notebook, page, { x, y });
				if (square.left >= around.right) break;
				const row = lost[y];
				if (row && !row[x]) row[x] = upright ? overlap(around, square) : takesOf(outline, square);
			}
	}
	return lost;
}

function isCorner({ x, y }: Dot, { left, right, top, bottom }: Edges): boolean {
	return (x === left || x === right) && (y === top || y === bottom);
}

/** All rectangles of free squares that cannot grow. */
function largest(lost: Mask, { w, h }: Size): Rect[] {
	const free = (y: number, from: number, to: number) => {
		for (let x = from; x < to; x++) if (lost[y]?.[x] !== false) return false;
		return true;
	};
	const found: Rect[] = [];
	for (let top = 0; top < h; top++) {
		const blocked = new Array<boolean>(w).fill(false);
		for (let bottom = top + 1; bottom <= h; bottom++) {
			lost[bottom - 1]?.forEach((is, x) => {
				if (is) blocked[x] = true;
			});
			for (const { from, to } of stretches(blocked, false)) {
				// A row above or below that is free as well makes it a part of a larger one.
				if (free(top - 1, from, to) || free(bottom, from, to)) continue;
				found.push({ x: from, y: top, w: to - from, h: bottom - top });
			}
		}
	}
	return found.sort((a, b) => b.w * b.h - a.w * a.h).slice(0, mostRects);
}
