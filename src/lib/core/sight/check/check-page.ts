import type { Mark } from '../../draw';
import type { Dot, Rect } from '../../paper';
import {
	around,
	drawingsOf,
	edgesOf,
	inside,
	keyOf,
	linesOf,
	shifted,
	touches,
	type Edge,
	type Piece,
	type Way
} from './pieces';
import { drawnAt, type Placement } from '../find/registration';
import type { DrawnEdges, UnitEdges } from '../find/unit-edges';

/** What is not as it is planned. */
export type Finding =
	/** Lines that hang together stand so many squares away from where they should. */
	| {
			readonly kind: 'moved';
			readonly rect: Rect;
			readonly by: Dot;
			readonly pieces: readonly Piece[];
	  }
	/** A line stands so many squares away. */
	| { readonly kind: 'off'; readonly piece: Piece; readonly by: Dot }
	| { readonly kind: 'missing'; readonly piece: Piece }
	| { readonly kind: 'extra'; readonly piece: Piece };

/** Whether what stands in a rectangle of the page is drawn: as planned, otherwise, or not at all yet. */
export type PartState = 'right' | 'off' | 'not begun' | 'no lines';

/** A page that was compared with its plan. */
export interface CheckedPage {
	/** What is wrong, but for parts that are not begun. */
	readonly findings: readonly Finding[];
	/** Of the parts that were asked about, in their order. */
	readonly parts: readonly PartState[];
	/** Whether all of a line that can be seen is drawn. */
	readonly isDrawn: (piece: Piece) => boolean;
	/** Unit edges that cannot be judged: beside something that is filled in, or out of the picture. */
	readonly unseen: number;
}

/** How far a drawing may have been moved, in squares. */
const furthest = 2;
/** Of a drawing that stands elsewhere so much is missing where it should be, and so much is found where it stands. */
const moved = { missing: 0.35, found: 0.8 };
/** A part of which less is drawn is not begun. */
const begun = 0.1;
/** A line counts as drawn from this share of its edges on: a pen leaves gaps. */
const drawnShare = 0.75;
/** Shorter lines than this that nobody planned are letters or a slip of the pen, in squares. */
const shortestExtra = 3;

/**
 * A page's ruled lines against its plan, by unit edges of which it is known whether they are drawn. `filled` are rectangles in
 * which something is filled in: nothing is said of what lies beside them. Whole drawings that were moved come first, then lines.
 */
export function checkPage(
	drawn: DrawnEdges,
	placement: Placement,
	planned: UnitEdges,
	marks: readonly Mark[],
	filled: readonly Rect[],
	parts: readonly Rect[]
): CheckedPage {
	const [columns, rows] = [planned.across - 1, planned.down - 1];
	const isPlanned = ({ way, x, y }: Edge) =>
		x >= 0 && y >= 0 && x <= columns && y <= rows && planned[way][y * planned.across + x] === 1;
	const writing = marks.flatMap((mark) => (mark.kind === 'text' ? [mark] : []));
	/** 1 drawn, 0 not, not a number where it cannot be seen. */
	const seen = (edge: Edge) =>
		filled.some((rect) => touches(rect, edge))
			? NaN
			: drawnAt(drawn, placement, edge.way, edge.x, edge.y);
	const edges: Edge[] = [];
	for (let y = 0; y <= rows; y++)
		for (let x = 0; x <= columns; x++) {
			if (x < columns) edges.push({ way: 'right', x, y });
			if (y < rows) edges.push({ way: 'below', x, y });
		}
	const wanted = edges.filter(isPlanned);
	const missing = new Set(wanted.filter((edge) => seen(edge) === 0).map(keyOf));
	const extra = new Set(
		edges
			.filter((edge) => !isPlanned(edge) && seen(edge) === 1)
			.filter((edge) => !writing.some((rect) => inside(rect, edge)))
			.map(keyOf)
	);
	const findings: Finding[] = [];
	const partOf = (rect: Rect): PartState => {
		const told = wanted
			.filter((edge) => touches(rect, edge))
			.map(seen)
			.filter((one) => !Number.isNaN(one));
		if (told.length === 0) return 'no lines';
		const share = told.reduce((sum, one) => sum + one, 0) / told.length;
		return share < begun ? 'not begun' : 'right';
	};
	const states = parts.map(partOf);
	// What is not begun is not missing line by line.
	for (const [at, rect] of parts.entries())
		if (states[at] === 'not begun')
			for (const edge of wanted) if (touches(rect, edge)) missing.delete(keyOf(edge));

	for (const drawing of drawingsOf(wanted)) {
		const visible = drawing.filter((edge) => !Number.isNaN(seen(edge)));
		const gone = visible.filter((edge) => missing.has(keyOf(edge)));
		if (visible.length === 0 || gone.length < moved.missing * visible.length) continue;
		const by = bestShift(visible, (edge) => isPlanned(edge) || extra.has(keyOf(edge)), seen);
		if (!by) continue;
		findings.push({ kind: 'moved', rect: around(drawing), by, pieces: linesOf(drawing) });
		for (const edge of drawing) {
			missing.delete(keyOf(edge));
			extra.delete(keyOf(shifted(edge, by)));
		}
	}
	for (const piece of linesOf(edges.filter((edge) => missing.has(keyOf(edge))))) {
		const own = edgesOf(piece);
		const isThere = (edge: Edge) => !isPlanned(edge) && seen(edge) === 1;
		const by = shiftsOf(own[0]?.way ?? 'right').find(
			(by) => own.filter((edge) => isThere(shifted(edge, by))).length >= moved.found * own.length
		);
		if (by) for (const edge of own) extra.delete(keyOf(shifted(edge, by)));
		findings.push(by ? { kind: 'off', piece, by } : { kind: 'missing', piece });
	}
	for (const piece of linesOf(edges.filter((edge) => extra.has(keyOf(edge)))))
		if (edgesOf(piece).length >= shortestExtra) findings.push({ kind: 'extra', piece });
	const joined = joinedUp(findings, (edge) => isPlanned(edge));
	return {
		findings: joined,
		parts: states.map((state, at) => {
			const rect = parts[at];
			const isOff =
				rect &&
				joined.some((finding) =>
					piecesOf(finding).some((piece) => edgesOf(piece).some((edge) => touches(rect, edge)))
				);
			return state === 'right' && isOff ? 'off' : state;
		}),
		isDrawn: (piece) => {
			const told = edgesOf(piece)
				.map(seen)
				.filter((one) => !Number.isNaN(one));
			return told.length > 0 && told.reduce((sum, one) => sum + one, 0) >= drawnShare * told.length;
		},
		unseen: wanted.filter((edge) => Number.isNaN(seen(edge))).length
	};
}

/** So many squares between two faults of one line are the same fault: something was written there. */
const shortGap = 3;

/** Faults of the same line joined, where little lies between them. */
function joinedUp(findings: readonly Finding[], isPlanned: (edge: Edge) => boolean): Finding[] {
	const found: Finding[] = [];
	for (const finding of findings) {
		const at = found.findIndex((other) => isSameLine(other, finding, isPlanned));
		const before = found[at];
		if (!before || before.kind === 'moved' || finding.kind === 'moved') found.push(finding);
		else found[at] = { ...before, piece: { from: before.piece.from, to: finding.piece.to } };
	}
	return found;
}

function isSameLine(a: Finding, b: Finding, isPlanned: (edge: Edge) => boolean): boolean {
	if (a.kind === 'moved' || b.kind === 'moved' || a.kind !== b.kind) return false;
	if (a.kind === 'off' && b.kind === 'off' && (a.by.x !== b.by.x || a.by.y !== b.by.y))
		return false;
	const [from, to] = [a.piece.to, b.piece.from];
	const isUpright = (piece: Piece) => piece.from.x === piece.to.x;
	if (isUpright(a.piece) !== isUpright(b.piece)) return false;
	const inLine = isUpright(a.piece) ? from.x === to.x : from.y === to.y;
	const gap = to.x - from.x + to.y - from.y;
	return (
		inLine &&
		gap > 0 &&
		gap <= shortGap &&
		(a.kind === 'extra' || edgesOf({ from, to }).every(isPlanned))
	);
}

/** The lines that a finding is about. */
export function piecesOf(finding: Finding): readonly Piece[] {
	return finding.kind === 'moved' ? finding.pieces : [finding.piece];
}

/** Where a drawing stands, if it stands nearly whole some squares away. */
function bestShift(
	drawing: readonly Edge[],
	mayBe: (edge: Edge) => boolean,
	seen: (edge: Edge) => number
): Dot | undefined {
	let best: { by: Dot; share: number } | undefined;
	for (let y = -furthest; y <= furthest; y++)
		for (let x = -furthest; x <= furthest; x++) {
			if (x === 0 && y === 0) continue;
			const there = drawing.map((edge) => shifted(edge, { x, y }));
			const share = there.filter((edge) => seen(edge) === 1 && mayBe(edge)).length / drawing.length;
			if (share >= moved.found && (!best || share > best.share)) best = { by: { x, y }, share };
		}
	return best?.by;
}

/** How a line may have been miscounted: across itself, the nearest first. */
function shiftsOf(way: Way): Dot[] {
	return [1, -1, 2, -2].map((by) => (way === 'right' ? { x: 0, y: by } : { x: by, y: 0 }));
}
