import type { Grid } from './collect';

/** Where dots lie in a picture, those some squares around the known ones as well: numbered row by row. */
export interface Net {
	/** Column and row of the first dot in the net, counted from the grid's own first dot. */
	readonly first: number;
	/** Dots across and down. */
	readonly across: number;
	readonly down: number;
	readonly xs: Float32Array;
	readonly ys: Float32Array;
}

/** The dots of a grid and so many squares around it. */
export function netOf({ columns, rows, warp }: Grid, beyond: number): Net {
	const [across, down] = [columns + 1 + 2 * beyond, rows + 1 + 2 * beyond];
	const [xs, ys] = [new Float32Array(across * down), new Float32Array(across * down)];
	for (let row = 0; row < down; row++)
		for (let column = 0; column < across; column++) {
			const { x, y } = warp.at(column - beyond, row - beyond);
			xs[row * across + column] = x;
			ys[row * across + column] = y;
		}
	return { first: -beyond, across, down, xs, ys };
}
