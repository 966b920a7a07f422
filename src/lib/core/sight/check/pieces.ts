import type { Dot, Rect } from '../../paper';

/** A straight piece of a page from dot to dot, downwards or to the right. */
export interface Piece {
	readonly from: Dot;
	readonly to: Dot;
}

export type Way = 'right' | 'below';

/** A unit edge of the page, from its upper or left dot. */
export interface Edge {
	readonly way: Way;
	readonly x: number;
	readonly y: number;
}

export const keyOf = ({ way, x, y }: Edge) => `${way} ${x} ${y}`;
export const shifted = ({ way, x, y }: Edge, by: Dot): Edge => ({ way, x: x + by.x, y: y + by.y });
export const ends = ({ way, x, y }: Edge): readonly [Dot, Dot] => [
	{ x, y },
	way === 'right' ? { x: x + 1, y } : { x, y: y + 1 }
];

/** Whether an edge bounds a rectangle, or lies in it. */
export function touches({ x, y, w, h }: Rect, edge: Edge): boolean {
	return ends(edge).every((dot) => dot.x >= x && dot.x <= x + w && dot.y >= y && dot.y <= y + h);
}

/** Whether an edge lies in a rectangle or at its rim, where letters reach to. */
export const inside = (rect: Rect, edge: Edge) =>
	touches({ x: rect.x - 1, y: rect.y - 1, w: rect.w + 2, h: rect.h + 2 }, edge);

/** Edges that hang together, dot by dot. */
export function drawingsOf(edges: readonly Edge[]): Edge[][] {
	const at = new Map<string, Edge[]>();
	for (const edge of edges)
		for (const { x, y } of ends(edge)) {
			const own = at.get(`${x} ${y}`);
			if (own) own.push(edge);
			else at.set(`${x} ${y}`, [edge]);
		}
	const left = new Set(edges);
	const found: Edge[][] = [];
	for (const start of edges) {
		if (!left.delete(start)) continue;
		const drawing = [start];
		for (let next = 0; next < drawing.length; next++) {
			const edge = drawing[next];
			if (!edge) break;
			for (const { x, y } of ends(edge))
				for (const other of at.get(`${x} ${y}`) ?? []) if (left.delete(other)) drawing.push(other);
		}
		found.push(drawing);
	}
	return found;
}

/** Edges joined to straight lines. */
export function linesOf(edges: readonly Edge[]): Piece[] {
	const left = new Map(edges.map((edge) => [keyOf(edge), edge]));
	const found: Piece[] = [];
	const sorted = edges.toSorted((a, b) => a.y - b.y || a.x - b.x);
	for (const edge of sorted) {
		if (!left.delete(keyOf(edge))) continue;
		let [, to] = ends(edge);
		while (left.delete(keyOf({ way: edge.way, ...to })))
			to = edge.way === 'right' ? { x: to.x + 1, y: to.y } : { x: to.x, y: to.y + 1 };
		found.push({ from: { x: edge.x, y: edge.y }, to });
	}
	return found;
}

export function edgesOf({ from, to }: Piece): Edge[] {
	const [right, count] = [from.y === to.y, Math.max(to.x - from.x, to.y - from.y)];
	return Array.from({ length: count }, (_, by) => ({
		way: right ? 'right' : 'below',
		x: from.x + (right ? by : 0),
		y: from.y + (right ? 0 : by)
	}));
}

export function around(edges: readonly Edge[]): Rect {
	const dots = edges.flatMap(ends);
	const [x, y] = [Math.min(...dots.map((dot) => dot.x)), Math.min(...dots.map((dot) => dot.y))];
	return {
		x,
		y,
		w: Math.max(...dots.map((dot) => dot.x)) - x,
		h: Math.max(...dots.map((dot) => dot.y)) - y
	};
}
