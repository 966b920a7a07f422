import type { Grey } from '../picture/image';
import { gridOf, type Grid } from './collect';
import type { Node } from './lattice';

/** Paper is so much lighter than what it lies on; within a page light changes less from one row to the next but one. */
const darker = 0.82;
/** So many rows and columns of what lies under a page may have been taken for its own. */
const mostOff = 10;
/** How far around a dot its paper is looked for, in squares. */
const around = 0.4;

/**
 * A grid without the outer rows and columns that lie on something darker than the paper: checks of a cloth go on where the dots
 * have ended. The same grid where none do.
 */
export function onPaper(picture: Grey, grid: Grid): Grid {
	const light = new Map(grid.nodes.map((node) => [node, lightAt(picture, grid, node)]));
	const middles = (of: (node: Node) => number, count: number) =>
		Array.from({ length: count + 1 }, (_, at) => {
			const own = grid.nodes.filter((node) => of(node) === at).map((node) => light.get(node) ?? 0);
			return own.sort((a, b) => a - b)[own.length >> 1] ?? 0;
		});
	const across = paperIn(middles(({ column }) => column, grid.columns));
	const down = paperIn(middles(({ row }) => row, grid.rows));
	const inside = grid.nodes.filter(
		({ column, row }) =>
			column >= across.first && column <= across.last && row >= down.first && row <= down.last
	);
	return inside.length === grid.nodes.length ? grid : gridOf(inside);
}

/** Between which rows or columns the paper lies, by how light each is. */
function paperIn(lights: readonly number[]): { readonly first: number; readonly last: number } {
	const last = lights.length - 1;
	const steps = (from: number, way: 1 | -1) => {
		let off = 0;
		for (let at = 0; at < Math.min(mostOff, last / 4); at++) {
			const [here = 0, inner = 0] = [lights[from + way * at], lights[from + way * (at + 2)]];
			if (here < darker * inner) off = at + 1;
		}
		return off;
	};
	return { first: steps(0, 1), last: last - steps(last, -1) };
}

/** How light it is where it is lightest around a dot. */
function lightAt(picture: Grey, { warp }: Grid, { column, row, x, y }: Node): number {
	const here = warp.at(column, row);
	const next = warp.at(column + 1, row);
	const reach = around * Math.hypot(next.x - here.x, next.y - here.y);
	let most = 0;
	for (const dx of [-1, -0.5, 0, 0.5, 1])
		for (const dy of [-1, -0.5, 0, 0.5, 1]) {
			const [px, py] = [Math.round(x + dx * reach), Math.round(y + dy * reach)];
			if (px < 0 || py < 0 || px >= picture.width || py >= picture.height) continue;
			most = Math.max(most, picture.light[py * picture.width + px] ?? 0);
		}
	return most;
}
