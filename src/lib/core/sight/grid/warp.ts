import type { Node } from './lattice';
import { leastSquares } from './least-squares';

/** Where a place on the page, in squares, lies in the picture, in pixels. */
export interface Warp {
	readonly at: (column: number, row: number) => { readonly x: number; readonly y: number };
	/** Median distance of the dots from where the map has them, in pixels. */
	readonly error: number;
}

/** How often what lies off is given less weight and all is fitted anew. */
const rounds = 4;

/**
 * The map from squares to pixels that the dots of a lattice agree on: a homography, then a polynomial of the third degree in
 * what is left of curl and lens, both by least squares in which outliers count less each round (Tukey's weights; from memory).
 */
export function warpOf(nodes: readonly Node[]): Warp {
	const columns = nodes.map(({ column }) => column);
	const rows = nodes.map(({ row }) => row);
	const middle = { x: mid(columns), y: mid(rows) };
	const half = { x: Math.max(1, span(columns) / 2), y: Math.max(1, span(rows) / 2) };
	const place = (column: number, row: number) =>
		[(column - middle.x) / half.x, (row - middle.y) / half.y] as const;
	const size = Math.max(1, span(nodes.map(({ x }) => x)), span(nodes.map(({ y }) => y)));
	let weights = nodes.map(() => 1);
	let flat = [1, 0, 0, 0, 1, 0, 0, 0];
	let bent: readonly [readonly number[], readonly number[]] = [[], []];
	const seen = (column: number, row: number) => {
		const [u, v] = place(column, row);
		const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = flat;
		const under = 1 + g * u + h * v;
		// Outside the dots the polynomial holds on to its last value: it would run away there.
		const terms = cubic(Math.min(1.06, Math.max(-1.06, u)), Math.min(1.06, Math.max(-1.06, v)));
		const more = bent.map((own) => own.reduce((sum, k, i) => sum + k * (terms[i] ?? 0), 0));
		return {
			x: (size * (a * u + b * v + c)) / under + (more[0] ?? 0),
			y: (size * (d * u + e * v + f)) / under + (more[1] ?? 0)
		};
	};
	for (let round = 0; round < rounds; round++) {
		bent = [[], []];
		const equations: number[][] = [];
		const values: number[] = [];
		const twice: number[] = [];
		for (const [index, { column, row, x, y }] of nodes.entries()) {
			const [u, v] = place(column, row);
			const [px, py] = [x / size, y / size];
			equations.push([u, v, 1, 0, 0, 0, -u * px, -v * px], [0, 0, 0, u, v, 1, -u * py, -v * py]);
			values.push(px, py);
			twice.push(weights[index] ?? 1, weights[index] ?? 1);
		}
		flat = leastSquares(equations, values, twice);
		const left = nodes.map(({ column, row, x, y }) => {
			const own = seen(column, row);
			return { x: x - own.x, y: y - own.y };
		});
		if (nodes.length > 40) {
			const terms = nodes.map(({ column, row }) => cubic(...place(column, row)));
			bent = [
				leastSquares(
					terms,
					left.map(({ x }) => x),
					weights
				),
				leastSquares(
					terms,
					left.map(({ y }) => y),
					weights
				)
			];
		}
		const off = offOf(nodes, seen);
		const scale = 6 * Math.max(0.15, median(off));
		weights = off.map((distance) => (distance >= scale ? 0 : (1 - (distance / scale) ** 2) ** 2));
	}
	return { at: seen, error: median(offOf(nodes, seen)) };
}

function offOf(nodes: readonly Node[], at: Warp['at']): number[] {
	return nodes.map(({ column, row, x, y }) => {
		const own = at(column, row);
		return Math.hypot(own.x - x, own.y - y);
	});
}

const cubic = (u: number, v: number) => [
	1,
	u,
	v,
	u * u,
	u * v,
	v * v,
	u * u * u,
	u * u * v,
	u * v * v,
	v * v * v
];
const span = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
const mid = (values: readonly number[]) => (Math.max(...values) + Math.min(...values)) / 2;

/** The middle one of some numbers; 0 of none. */
export function median(values: readonly number[]): number {
	const sorted = values.toSorted((a, b) => a - b);
	const at = (sorted.length - 1) / 2;
	return ((sorted[Math.floor(at)] ?? 0) + (sorted[Math.ceil(at)] ?? 0)) / 2;
}
