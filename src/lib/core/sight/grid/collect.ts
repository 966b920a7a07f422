import type { Blob } from './blobs';
import type { Node } from './lattice';
import { median, warpOf, type Warp } from './warp';

/** The grid of a page's dots: their nodes counted from the first dot, and the map that they agree on. */
export interface Grid {
	readonly columns: number;
	readonly rows: number;
	readonly nodes: readonly Node[];
	readonly warp: Warp;
}

/** So far beyond a lattice its dots are looked for, and so near to where the map has them they must lie, in squares. */
const [outwards, within] = [3, 0.12];
/** A row or column counts where at least this share of its dots is there, and the outermost where most of them are round. */
const [leastFull, leastRound] = [0.4, 0.22];
const mostRounds = 4;
/** Strength of the faintest dot, as a share of that which four in five of the known ones have. */
const faintest = 0.4;

/**
 * A lattice with the dots that growing left out: collected where the map has them, three squares outwards, until it grows no
 * more. What hangs out beyond the full rows and columns, or is as flat as the edge of a paper, is no dot of the page.
 */
export function collected(nodes: readonly Node[], blobs: readonly Blob[]): Grid {
	let grid = counted(nodes);
	// What is much fainter than the dots that are known is the grain of the picture.
	const known = nodes.map(({ strength }) => strength).sort((a, b) => a - b);
	const bar = faintest * (known[Math.floor(known.length / 5)] ?? 0);
	const spots = blobs.filter(({ strength }) => strength >= bar);
	for (let round = 0; round < mostRounds; round++) {
		const next = counted(along(grid, spots));
		const grows = next.nodes.length > grid.nodes.length;
		grid = next;
		if (!grows) break;
	}
	return grid;
}

interface Found extends Node {
	readonly roundness?: number;
}

/** The blobs that lie where the map of a grid has dots, around it as well. */
function along({ columns, rows, warp }: Grid, blobs: readonly Blob[]): Found[] {
	const at = new Map<string, Blob[]>();
	const middle = warp.at(columns / 2, rows / 2);
	const next = warp.at(columns / 2 + 1, rows / 2);
	const side = Math.max(2, Math.hypot(next.x - middle.x, next.y - middle.y));
	const key = (x: number, y: number) => `${Math.floor(x / side)} ${Math.floor(y / side)}`;
	for (const blob of blobs) {
		const own = key(blob.x, blob.y);
		const cell = at.get(own);
		if (cell) cell.push(blob);
		else at.set(own, [blob]);
	}
	const found: Found[] = [];
	for (let row = -outwards; row <= rows + outwards; row++)
		for (let column = -outwards; column <= columns + outwards; column++) {
			const place = warp.at(column, row);
			const beside = warp.at(column + 1, row);
			const reach = within * Math.hypot(beside.x - place.x, beside.y - place.y);
			let best: Blob | undefined;
			for (const dx of [-side, 0, side])
				for (const dy of [-side, 0, side])
					for (const blob of at.get(key(place.x + dx, place.y + dy)) ?? []) {
						if (Math.hypot(blob.x - place.x, blob.y - place.y) > reach) continue;
						if (!best || blob.strength > best.strength) best = blob;
					}
			if (best) {
				const { x, y, strength, roundness } = best;
				found.push({ column, row, x, y, strength, roundness });
			}
		}
	return found;
}

/** The grid of some nodes, counted from their first full column and row on. */
export const gridOf = (nodes: readonly Node[]): Grid => counted(nodes);

/** Nodes counted from the first full column and row on. */
function counted(nodes: readonly Found[]): Grid {
	const across = fullOf(nodes, ({ column }) => column);
	const down = fullOf(nodes, ({ row }) => row);
	const inside = nodes
		.filter(
			({ column, row }) =>
				column >= across.first && column <= across.last && row >= down.first && row <= down.last
		)
		.map((node) => ({ ...node, column: node.column - across.first, row: node.row - down.first }));
	return {
		columns: across.last - across.first,
		rows: down.last - down.first,
		nodes: inside,
		warp: warpOf(inside)
	};
}

function fullOf(nodes: readonly Found[], of: (node: Found) => number) {
	const lines = new Map<number, Found[]>();
	for (const node of nodes) lines.set(of(node), [...(lines.get(of(node)) ?? []), node]);
	const usual = median([...lines.values()].map((line) => line.length));
	const full = [...lines]
		.filter(([, line]) => line.length >= leastFull * usual)
		.map(([at]) => at)
		.sort((a, b) => a - b);
	const isFlat = (at: number | undefined) => {
		const rounds = (lines.get(at ?? NaN) ?? []).flatMap(({ roundness }) => roundness ?? []);
		return rounds.length > 0 && median(rounds) < leastRound;
	};
	while (full.length > 2 && isFlat(full[0])) full.shift();
	while (full.length > 2 && isFlat(full.at(-1))) full.pop();
	return { first: full[0] ?? 0, last: full.at(-1) ?? 0 };
}
