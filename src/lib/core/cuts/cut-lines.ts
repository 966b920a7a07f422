import { marginMm, type Dot, type Notebook } from '../paper';
import type { Cut } from './cut';
import { edgesOf, type Edges } from './inside';
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

/**
 * Lines to cut along on a leaf, cut by cut; what runs along the paper's edge is no cut, nor what an earlier one has taken away by
 * then.
 */
export function leafLines(notebook: Notebook, cuts: readonly Cut[], front: number): LeafLines[] {
	const all = removals(notebook, cuts, front);
	return all.map(({ cut, outlines }, at) => {
		const gone = all
			.slice(0, at)
			.filter(({ cut }) => straight.includes(cut.kind))
			.flatMap(({ outlines }) => outlines);
		const seen = (side: 'left' | 'right', turned: (outline: Outline) => Outline) =>
			outlines.flatMap((outline) =>
				lines(
					notebook,
					turned(outline),
					side,
					gone.map((one) => edgesOf(turned(one)))
				)
			);
		return {
			cut,
			front: seen('right', (outline) => outline),
			back: seen('left', (outline) => mirrored(notebook, outline))
		};
	});
}

/** Cuts that take a leaf's edge off in one straight line. */
const straight: readonly Cut['kind'][] = ['strip', 'top', 'bottom', 'waterfall'];

type Ends = readonly [from: Dot, to: Dot];

/** The parts of an upright or level line that lie in no such rectangle; an oblique one stays whole. */
function outside(from: Dot, to: Dot, gone: readonly Edges[]): Ends[] {
	return gone.reduce<Ends[]>(
		(parts, rect) => parts.flatMap((ends) => without(ends, rect)),
		[[from, to]]
	);
}

function without([from, to]: Ends, { left, right, top, bottom }: Edges): Ends[] {
	const upright = from.x === to.x && from.x > left && from.x < right;
	const level = from.y === to.y && from.y > top && from.y < bottom;
	if (!upright && !level) return [[from, to]];
	const along = upright ? 'y' : 'x';
	const [low, high] = upright ? [top, bottom] : [left, right];
	const forward = from[along] < to[along];
	const [enters, leaves] = forward ? [low, high] : [high, low];
	const isBefore = (one: number, other: number) => (forward ? one < other : one > other);
	const before = isBefore(enters, to[along]) ? { ...to, [along]: enters } : to;
	const after = isBefore(leaves, from[along]) ? from : { ...from, [along]: leaves };
	const parts: Ends[] = [
		[from, before],
		[after, to]
	];
	return parts.filter(([begin, end]) => isBefore(begin[along], end[along]));
}

function lines(
	notebook: Notebook,
	outline: Outline,
	side: 'left' | 'right',
	gone: readonly Edges[]
): CutLine[] {
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
		return outside(from, to, gone).map(([from, to]) => ({
			from,
			to,
			offDots: Math.round(offDots * 1000) / 1000
		}));
	});
}
