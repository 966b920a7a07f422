import type { Notebook, Side } from '../../paper';
import { gridIn } from '../grid/grid-in';
import type { Grey } from '../picture/image';
import { edgeNames, paperEdges, type EdgeName, type PaperEdge } from './paper-edges';
import type { Warp } from '../grid/warp';

/** A page as it was measured in a picture; lengths in mm. */
export interface MeasuredPage {
	readonly side: Side;
	readonly columns: number;
	readonly rows: number;
	readonly pitchMm: number;
	/** First dot from the paper's left and top edge, as far as these are known. */
	readonly firstDot: { readonly x?: number; readonly y?: number };
	/** Last dot from the paper's right and lower edge. */
	readonly lastDot: { readonly x?: number; readonly y?: number };
	/** By how much a length to an edge may be wrong. */
	readonly errorMm: number;
	readonly edges: readonly EdgeName[];
	/** From squares of the page to pixels of the picture. */
	readonly warp: Warp;
	/** Dots that were found, in pixels. */
	readonly dots: readonly { readonly x: number; readonly y: number }[];
}

/** Why a picture is not measured, and what would help. */
export interface NotMeasured {
	readonly says: string;
}

/** What an edge found by light leaves open, by simulated photographs. */
const leastErrorMm = 0.2;

/** What a file says of itself, and who hears how much of the work is done. */
export interface Measuring {
	/** Pixels in a mm of paper, as a scan says; believed only where a side of the paper agrees. */
	readonly perMm?: number | undefined;
	readonly progress?: (share: number) => void;
}

/** A side of a picture as long as the paper's, within so many mm, is the paper's. */
const sameSideMm = 1;

/** The edges at which a scan ends with its paper: those of a side that its resolution makes as long as the paper's. */
function endsWithPicture(
	{ width, height }: Grey,
	pageMm: Notebook['pageMm'],
	perMm: number | undefined
): ReadonlySet<EdgeName> {
	const isSame = (pixels: number, mm: number) =>
		perMm !== undefined && Math.abs(pixels / perMm - mm) <= sameSideMm;
	return new Set<EdgeName>([
		...(isSame(width, pageMm.width) ? (['left', 'right'] as const) : []),
		...(isSame(height, pageMm.height) ? (['top', 'bottom'] as const) : [])
	]);
}

/**
 * A page measured in a picture of it, in grey and upright: pitch, squares across and down and where its first dot lies. The
 * paper's size says what a pixel is; the fold's side is reckoned from the others.
 */
export function measurePage(
	picture: Grey,
	side: Side,
	pageMm: Notebook['pageMm'],
	{ perMm, progress = () => undefined }: Measuring = {}
): MeasuredPage | NotMeasured {
	const grid = gridIn(picture, progress);
	if (!grid)
		return {
			says: 'No dots were found. Take the picture from straight above, in even light, so that the page fills it.'
		};
	const { columns, rows, nodes, warp } = grid;
	progress(0.9);
	const edges = paperEdges(picture, warp, grid, endsWithPicture(picture, pageMm, perMm));
	const fold: EdgeName = side === 'left' ? 'right' : 'left';
	const outer: EdgeName = side === 'left' ? 'left' : 'right';
	const { top, bottom } = edges;
	if (!top || !bottom)
		return {
			says: `The ${top ? 'lower' : 'upper'} edge of the paper is not to be seen. Lay the book on something plain and darker or lighter than the paper, with all edges in the picture.`
		};
	const pitchMm = pageMm.height / (grid.rows + top.outside + bottom.outside);
	const mm = (edge: PaperEdge) => edge.outside * pitchMm;
	const far = edges[outer];
	const near = far && pageMm.width - grid.columns * pitchMm - mm(far);
	const x = far && near !== undefined ? { [outer]: mm(far), [fold]: near } : {};
	const spreads = edgeNames.flatMap((name) => edges[name]?.spread ?? []);
	return {
		side,
		columns,
		rows,
		pitchMm,
		firstDot: { x: x.left, y: mm(top) },
		lastDot: { x: x.right, y: mm(bottom) },
		errorMm: Math.max(leastErrorMm, ...spreads.map((spread) => spread * pitchMm)),
		edges: edgeNames.filter((name) => edges[name] !== undefined),
		warp,
		dots: nodes
	};
}
