import { marginMm, mostSquares, type Notebook, type Side } from './notebook';

/** Lengths and counts that follow from a measured notebook. */
export interface Geometry {
	/** From the last dot column of a left page over the fold to the first of the right page, in mm. */
	readonly gutterMm: number;
	/** The same in squares, not rounded. */
	readonly gutterSquares: number;
	/**
	 * How far the dots on the front of a leaf lie from those on its back, in mm: positive when those on
	 * the front are further from the fold, or further down.
	 */
	readonly registerMm: { readonly x: number; readonly y: number };
}

/** Something in the measurements that cannot be, or that disagrees, in words. */
export interface Contradiction {
	readonly severity: 'impossible' | 'disagrees';
	readonly message: string;
}

/** Pitch in mm from the measured length of 20 squares. */
export function pitchFrom20(lengthMm: number): number {
	return lengthMm / 20;
}

/** From a page's last dot to its right paper edge, in mm, by the other measurements. */
export function farMarginMm(notebook: Notebook, side: Side): { x: number; y: number } {
	const near = marginMm(notebook, side);
	return {
		x: notebook.pageMm.width - near.x - notebook.columns * notebook.pitchMm,
		y: notebook.pageMm.height - near.y - notebook.rows * notebook.pitchMm
	};
}

/**
 * Gutter and register error. A leaf's front is a right-hand page, its back the left-hand page after it;
 * turned over, the back's right edge is the fold's edge.
 */
export function geometryOf(notebook: Notebook): Geometry {
	const right = marginMm(notebook, 'right');
	const left = marginMm(notebook, 'left');
	const leftToFold = farMarginMm(notebook, 'left').x;
	const gutterMm = leftToFold + right.x;
	return {
		gutterMm,
		gutterSquares: gutterMm / notebook.pitchMm,
		registerMm: { x: right.x - leftToFold, y: right.y - left.y }
	};
}

/** What in the measurements cannot be, and how far those that were taken twice disagree. */
export function contradictions(notebook: Notebook): Contradiction[] {
	const { pageMm, pitchMm, columns, rows } = notebook;
	const found: Contradiction[] = [];
	for (const side of ['left', 'right'] as const) {
		const near = marginMm(notebook, side);
		const far = farMarginMm(notebook, side);
		if (far.x < 0)
			found.push(
				impossible(
					columns,
					'across',
					side,
					near.x,
					columns * pitchMm,
					pageMm.width,
					mostSquares(pageMm.width, pitchMm, near.x)
				)
			);
		if (far.y < 0)
			found.push(
				impossible(
					rows,
					'down',
					side,
					near.y,
					rows * pitchMm,
					pageMm.height,
					mostSquares(pageMm.height, pitchMm, near.y)
				)
			);
		const measured = notebook.farMarginsMm?.[side];
		if (!measured) continue;
		for (const [axis, edge] of [
			['x', 'right'],
			['y', 'lower']
		] as const) {
			const own = measured[axis];
			if (own === undefined) continue;
			const off = own - far[axis];
			// Half a millimetre is what a ruler and an eye leave open.
			if (Math.abs(off) > 0.5)
				found.push({
					severity: 'disagrees',
					message: `On the ${side} page the last dot was measured ${mm(own)} from the ${edge} edge; by the other numbers it lies ${mm(far[axis])} from it: they disagree by ${mm(Math.abs(off))}.`
				});
		}
	}
	return found;
}

function impossible(
	count: number,
	direction: string,
	side: Side,
	margin: number,
	grid: number,
	page: number,
	most: number
): Contradiction {
	return {
		severity: 'impossible',
		message: `${count} squares ${direction} are impossible on the ${side} page: ${mm(margin)} + ${mm(grid)} is more than the page’s ${mm(page)}. At most ${most} fit.`
	};
}

/** A length in words, to a hundredth of a millimetre. */
export function mm(length: number): string {
	return `${Math.round(length * 100) / 100} mm`;
}
