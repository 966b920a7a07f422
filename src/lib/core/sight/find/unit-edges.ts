import type { Mark } from '../../draw';
import { lightAt, type Grey } from '../picture/image';
import type { Net } from '../grid/net';

/**
 * A value for each edge between two neighbouring dots: of a grid of `across` by `down` dots those to the right, row by row,
 * then those down, row by row. The last dot of a row, and those of the last row, have an edge that is never used.
 */
export interface UnitEdges {
	readonly across: number;
	readonly down: number;
	readonly right: Float32Array;
	readonly below: Float32Array;
}

/** Edges of a picture, drawn (1), not (0), or not a number where they are out of view. */
export interface DrawnEdges extends UnitEdges {
	/** How far they go on around the lattice, in squares. */
	readonly beyond: number;
	/** Sides beyond which the picture goes on: there the page has ended, and nothing is drawn. */
	readonly ended: Readonly<Record<'left' | 'right' | 'top' | 'bottom', boolean>>;
}

/** Contrasts as drawn or not, by Otsu's threshold; `beyond` is how far they go on around the lattice. */
export function drawnEdges(seen: UnitEdges, beyond: number): DrawnEdges {
	const { across, down, right, below } = seen;
	const bar = lineThreshold(seen);
	const told = (values: Float32Array) =>
		values.map((value) => (Number.isNaN(value) ? NaN : value >= bar ? 1 : 0));
	const inView = (values: number[]) =>
		2 * values.filter((value) => !Number.isNaN(value)).length > values.length;
	const row = (at: number) => [...right.subarray(at * across, at * across + across - 1)];
	const column = (at: number) =>
		Array.from({ length: down - 1 }, (_, y) => below[y * across + at] ?? NaN);
	return {
		across,
		down,
		right: told(right),
		below: told(below),
		beyond,
		ended: {
			left: inView(column(0)),
			right: inView(column(across - 1)),
			top: inView(row(0)),
			bottom: inView(row(down - 1))
		}
	};
}

/** Where along an edge it is looked at, how far beside it the line may lie, and where the paper beside it is seen; in squares. */
const along = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8] as const;
const beside = [-0.09, -0.06, -0.03, 0, 0.03, 0.06, 0.09] as const;
const clear = [0.24, 0.3, 0.36] as const;
/** Sides that differ by more than this: one is filled in, and the line is held against that. */
const unlike = 0.12;

/** How much darker each unit edge is than what lies beside it, as a share; not a number where it is out of the picture. */
export function edgesSeen(picture: Grey, net: Net): UnitEdges {
	const { across, down, xs, ys } = net;
	const right = new Float32Array(across * down).fill(NaN);
	const below = new Float32Array(across * down).fill(NaN);
	for (let row = 0; row < down; row++)
		for (let column = 0; column < across; column++) {
			const at = row * across + column;
			const own = [xs[at] ?? 0, ys[at] ?? 0] as const;
			const to = (other: number) => [xs[other] ?? 0, ys[other] ?? 0] as const;
			if (column + 1 < across) right[at] = contrast(picture, own, to(at + 1));
			if (row + 1 < down) below[at] = contrast(picture, own, to(at + across));
		}
	return { across, down, right, below };
}

type Spot = readonly [x: number, y: number];

function contrast(picture: Grey, [x1, y1]: Spot, [x2, y2]: Spot): number {
	const [dx, dy] = [x2 - x1, y2 - y1];
	const least = Math.min(x1, x2, y1, y2);
	if (least < 1 || Math.max(x1, x2) >= picture.width - 1 || Math.max(y1, y2) >= picture.height - 1)
		return NaN;
	const light = (by: number) =>
		middle(along.map((t) => lightAt(picture, x1 + t * dx - by * dy, y1 + t * dy + by * dx)));
	const line = Math.min(...beside.map(light));
	const sides = [middle(clear.map(light)), middle(clear.map((by) => light(-by)))];
	const [darker, lighter] = [Math.min(...sides), Math.max(...sides)];
	const paper = lighter - darker > unlike * lighter ? darker : (darker + lighter) / 2;
	return (paper - line) / Math.max(12, paper);
}

/** The middle one of an odd count of numbers. */
const middle = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1] ?? 0;

/** Unit edges of a page that marks rule along the dots: 1 where they do, 0 elsewhere. Columns and rows count squares. */
export function edgesPlanned(marks: readonly Mark[], columns: number, rows: number): UnitEdges {
	const [across, down] = [columns + 1, rows + 1];
	const right = new Float32Array(across * down);
	const below = new Float32Array(across * down);
	for (const mark of marks) {
		if (mark.kind !== 'line') continue;
		const { x1, y1, x2, y2 } = mark;
		if (y1 === y2 && Number.isInteger(y1))
			for (let x = Math.ceil(Math.min(x1, x2)); x + 1 <= Math.max(x1, x2); x++)
				if (x >= 0 && x < columns && y1 >= 0 && y1 <= rows) right[y1 * across + x] = 1;
		if (x1 === x2 && Number.isInteger(x1))
			for (let y = Math.ceil(Math.min(y1, y2)); y + 1 <= Math.max(y1, y2); y++)
				if (y >= 0 && y < rows && x1 >= 0 && x1 <= columns) below[y * across + x1] = 1;
	}
	return { across, down, right, below };
}

/** Otsu's threshold (1979): the cut with the largest variance between its two sides; held to where lines can be told. */
function lineThreshold({ right, below }: UnitEdges): number {
	const bins = 120;
	const counts = new Float64Array(bins);
	let total = 0;
	let sum = 0;
	for (const values of [right, below])
		for (const value of values) {
			if (Number.isNaN(value)) continue;
			const bin = Math.min(bins - 1, Math.max(0, Math.floor(value * bins)));
			counts[bin] = (counts[bin] ?? 0) + 1;
			total += 1;
			sum += bin;
		}
	let [best, most, weight, part] = [0, -1, 0, 0];
	for (let bin = 0; bin < bins; bin++) {
		weight += counts[bin] ?? 0;
		part += bin * (counts[bin] ?? 0);
		if (weight === 0 || weight === total) continue;
		const between =
			weight * (total - weight) * (part / weight - (sum - part) / (total - weight)) ** 2;
		if (between > most) [best, most] = [bin + 1, between];
	}
	return Math.min(0.2, Math.max(0.035, best / bins));
}
