import type { Notebook, Side } from '../paper';
import { blobsOf } from './blobs';
import type { Grey } from './image';
import { latticeOf, type Node } from './lattice';
import { edgeNames, paperEdges, type EdgeName, type PaperEdge } from './paper-edges';
import { warpOf, type Warp } from './warp';

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

/** Page widths in squares that are tried: small, usual and large books. */
const triedWidths = [24, 34, 48, 68] as const;
/** A page has at least so many dots. */
const leastNodes = 150;
/** An outermost row or column counts where at least this share of its dots were found. */
const leastFull = 0.4;

/**
 * A page measured in a picture of it, in grey and upright: pitch, squares across and down and where its first dot lies. The
 * paper's size says what a pixel is; the fold's side is reckoned from the others. `shape` is called before each step.
 */
export function measurePage(
	picture: Grey,
	side: Side,
	pageMm: Notebook['pageMm'],
	progress: (share: number) => void = () => undefined
): MeasuredPage | NotMeasured {
	const nodes = bestLattice(picture, progress);
	if (nodes.length < leastNodes)
		return {
			says: 'No dots were found. Take the picture from straight above, in even light, so that the page fills it.'
		};
	const { grid, inGrid } = gridOf(nodes);
	const warp = warpOf(inGrid);
	progress(0.9);
	const edges = paperEdges(picture, warp, grid);
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
		...grid,
		pitchMm,
		firstDot: { x: x.left, y: mm(top) },
		lastDot: { x: x.right, y: mm(bottom) },
		errorMm: Math.max(0.05, ...spreads.map((spread) => spread * pitchMm)),
		edges: edgeNames.filter((name) => edges[name] !== undefined),
		warp,
		dots: inGrid
	};
}

function bestLattice(picture: Grey, progress: (share: number) => void): Node[] {
	let best: Node[] = [];
	for (const [at, width] of triedWidths.entries()) {
		progress((0.8 * at) / triedWidths.length);
		const squarePx = picture.width / width;
		if (squarePx < 9) break;
		const nodes = latticeOf(blobsOf(picture, squarePx), squarePx);
		if (nodes.length > best.length) best = nodes;
		// A page that is found whole needs no other scale.
		else if (best.length > 600) break;
	}
	return best;
}

/** The grid of a lattice from its first full row and column on; what hangs out beyond is the paper's edge, or dirt. */
function gridOf(nodes: readonly Node[]) {
	const counted = (of: (node: Node) => number) => {
		const counts = new Map<number, number>();
		for (const node of nodes) counts.set(of(node), (counts.get(of(node)) ?? 0) + 1);
		const most = Math.max(...counts.values());
		const full = [...counts].filter(([, count]) => count >= leastFull * most).map(([at]) => at);
		return { first: Math.min(...full), last: Math.max(...full) };
	};
	const across = counted(({ column }) => column);
	const down = counted(({ row }) => row);
	const inGrid = nodes
		.filter(
			({ column, row }) =>
				column >= across.first && column <= across.last && row >= down.first && row <= down.last
		)
		.map((node) => ({ ...node, column: node.column - across.first, row: node.row - down.first }));
	return {
		grid: { columns: across.last - across.first, rows: down.last - down.first },
		inGrid
	};
}
