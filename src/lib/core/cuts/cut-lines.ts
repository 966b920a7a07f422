import { marginMm, type Dot, type Notebook } from '../paper';
import type { Cut } from './cut';
import { mirrored, removals, type Outline } from './removed';

/** A straight cut on one side of a leaf, in mm from that side's own left and upper paper edge. */
export interface CutLine {
	readonly from: Dot;
	readonly to: Dot;
	/** How far the cut lies from the nearest line of this side's own dots, in mm; 0 where it is on dots. */
	readonly offDots: number;
}

/** The cuts through one leaf as they are measured on its front and on its back. */
export interface LeafLines {
	readonly cut: Cut;
	readonly front: readonly CutLine[];
	readonly back: readonly CutLine[];
}

/** Lines to cut along on a leaf; what runs along the paper's edge is no cut. */
export function leafLines(notebook: Notebook, cuts: readonly Cut[], front: number): LeafLines[] {
	return removals(notebook, cuts, front).map(({ cut, outlines }) => ({
		cut,
		front: outlines.flatMap((outline) => lines(notebook, outline, 'right')),
		back: outlines.flatMap((outline) => lines(notebook, mirrored(notebook, outline), 'left'))
	}));
}

function lines(notebook: Notebook, outline: Outline, side: 'left' | 'right'): CutLine[] {
	const { width, height } = notebook.pageMm;
	const margin = marginMm(notebook, side);
	const off = (mm: number, first: number) => {
		const squares = (mm - first) / notebook.pitchMm;
		return Math.abs(squares - Math.round(squares)) * notebook.pitchMm;
	};
	return outline.flatMap((from, index): CutLine[] => {
		const to = outline[(index + 1) % outline.length] ?? from;
		const onEdge =
			(from.x === to.x && (from.x <= 0 || from.x >= width)) ||
			(from.y === to.y && (from.y <= 0 || from.y >= height));
		if (onEdge) return [];
		const upright = from.x === to.x ? off(from.x, margin.x) : undefined;
		const level = from.y === to.y ? off(from.y, margin.y) : undefined;
		const offDots = upright ?? level ?? Math.hypot(off(from.x, margin.x), off(from.y, margin.y));
		return [{ from, to, offDots: Math.round(offDots * 1000) / 1000 }];
	});
}
