import type { Blob } from './blobs';

/** A blob that is known to be the dot in a column and row, counted from some dot. */
export interface Node {
	readonly column: number;
	readonly row: number;
	readonly x: number;
	readonly y: number;
	readonly strength: number;
}

interface Step {
	readonly x: number;
	readonly y: number;
}

/** A dot may lie so far from where it is expected, as a share of the step to it. */
const tolerance = 0.16;
/** So far from the middle of its opposite neighbours a dot may lie. */
const bent = 0.07;
/** What is longer than wide is a line, and no beginning. */
const leastRound = 0.08;
/** So many blobs, the strongest, are tried as a beginning. */
const mostSeeds = 60;

/** Integer keys for cells and nodes that may be negative. */
const keyOf = (column: number, row: number) => (row + 2048) * 4096 + (column + 2048);

/** Blobs by cells of a side, to find those near a place. */
class Places {
	private readonly cells = new Map<number, Blob[]>();

	constructor(
		blobs: readonly Blob[],
		private readonly side: number
	) {
		for (const blob of blobs) {
			const key = this.key(blob.x, blob.y);
			const cell = this.cells.get(key);
			if (cell) cell.push(blob);
			else this.cells.set(key, [blob]);
		}
	}

	/** The strongest blob within a distance of a place. */
	near(x: number, y: number, within: number): Blob | undefined {
		let best: Blob | undefined;
		for (let down = -1; down <= 1; down++)
			for (let across = -1; across <= 1; across++)
				for (const blob of this.cells.get(this.key(x + across * this.side, y + down * this.side)) ??
					[]) {
					if (Math.hypot(blob.x - x, blob.y - y) > within) continue;
					if (!best || blob.strength > best.strength) best = blob;
				}
		return best;
	}

	private key(x: number, y: number): number {
		return keyOf(Math.floor(x / this.side), Math.floor(y / this.side));
	}
}

/**
 * The largest lattice of blobs that stand about so many pixels apart, its columns to the right and its rows down: grown from
 * blobs with four neighbours in a cross. Empty where there is none.
 */
export function latticeOf(blobs: readonly Blob[], squarePx: number): Node[] {
	const round = blobs.filter(({ roundness }) => roundness > leastRound);
	let best = largestOf(round, squarePx, everyDot);
	for (const shows of everySecond)
		if (best.length < leastShare * round.length) {
			const other = largestOf(round, squarePx, shows);
			if (other.length > best.length) best = other;
		}
	return best;
}

/** Of how many squares across and down one shows its dot. */
interface Shows {
	readonly across: number;
	readonly down: number;
}

const everyDot: Shows = { across: 1, down: 1 };
/** Lines on every second row or column of dots hide these: a table with rows two squares high shows the others only. */
const everySecond: readonly Shows[] = [
	{ across: 1, down: 2 },
	{ across: 2, down: 1 }
];
/** A lattice of a smaller share of all round blobs is hardly the page's. */
const leastShare = 0.25;

function largestOf(round: readonly Blob[], squarePx: number, shows: Shows): Node[] {
	const places = new Places(round, squarePx);
	let best: Node[] = [];
	const tried = new Set<Blob>();
	const seeds = round.toSorted((a, b) => b.strength - a.strength);
	let left = mostSeeds;
	for (const seed of seeds) {
		if (tried.has(seed)) continue;
		const steps = crossAt(seed, places, squarePx, shows);
		if (!steps) continue;
		if (left-- === 0) break;
		const grown = grow(seed, steps, places);
		for (const { blob } of grown) tried.add(blob);
		const nodes = pruned(
			grown.map(({ column, row, blob: { x, y, strength } }) => ({ column, row, x, y, strength })),
			shows
		);
		if (nodes.length > best.length) best = nodes;
		// Most of the page is found: no other lattice can be larger.
		if (best.length > round.length / 2) break;
	}
	return best;
}

/** Steps of a square to the right and down from a blob that has neighbours on all four sides, equally far on opposite ones. */
function crossAt(
	seed: Blob,
	places: Places,
	squarePx: number,
	shows: Shows
): { right: Step; down: Step } | undefined {
	for (const length of [
		squarePx,
		0.85 * squarePx,
		1.15 * squarePx,
		0.72 * squarePx,
		1.32 * squarePx
	]) {
		const find = (x: number, y: number) =>
			places.near(
				seed.x + x * shows.across * length,
				seed.y + y * shows.down * length,
				0.22 * length
			);
		const [right, left, down, up] = [find(1, 0), find(-1, 0), find(0, 1), find(0, -1)];
		if (!right || !left || !down || !up) continue;
		const across = { x: (right.x - left.x) / 2, y: (right.y - left.y) / 2 };
		const along = { x: (down.x - up.x) / 2, y: (down.y - up.y) / 2 };
		const off = Math.max(
			Math.hypot(right.x + left.x - 2 * seed.x, right.y + left.y - 2 * seed.y),
			Math.hypot(down.x + up.x - 2 * seed.x, down.y + up.y - 2 * seed.y)
		);
		const corner = places.near(
			seed.x + across.x + along.x,
			seed.y + across.y + along.y,
			tolerance * length
		);
		if (off < 2 * bent * length && corner)
			return { right: shared(across, shows.across), down: shared(along, shows.down) };
	}
	return undefined;
}

const shared = ({ x, y }: Step, squares: number): Step => ({ x: x / squares, y: y / squares });

interface Grown {
	readonly column: number;
	readonly row: number;
	readonly blob: Blob;
	readonly right: Step;
	readonly down: Step;
}

const ways = [
	[1, 0],
	[-1, 0],
	[0, 1],
	[0, -1]
] as const;

/** Breadth first from a seed: each neighbour is looked for where the local step leads; up to two that are missing are bridged. */
function grow(seed: Blob, steps: { right: Step; down: Step }, places: Places): Grown[] {
	const known = new Map<number, Grown>();
	const used = new Set<Blob>([seed]);
	const first: Grown = { column: 0, row: 0, blob: seed, ...steps };
	known.set(keyOf(0, 0), first);
	const waiting = [first];
	for (let at = 0; at < waiting.length; at++) {
		const node = waiting[at];
		if (!node) break;
		for (const [across, along] of ways) {
			const step = across !== 0 ? node.right : node.down;
			const sign = across + along;
			for (let far = 1; far <= 3; far++) {
				const [column, row] = [node.column + far * across, node.row + far * along];
				if (Math.abs(column) > 400 || Math.abs(row) > 400) break;
				if (known.has(keyOf(column, row))) break;
				const x = node.blob.x + far * sign * step.x;
				const y = node.blob.y + far * sign * step.y;
				const blob = places.near(x, y, tolerance * Math.hypot(step.x, step.y));
				if (!blob || used.has(blob)) continue;
				used.add(blob);
				// The step that led here is carried along, half as it was and half as it is.
				const own = {
					x: (sign * (blob.x - node.blob.x)) / far,
					y: (sign * (blob.y - node.blob.y)) / far
				};
				const mixed = { x: (own.x + step.x) / 2, y: (own.y + step.y) / 2 };
				const grown: Grown = {
					column,
					row,
					blob,
					right: across !== 0 ? mixed : node.right,
					down: across !== 0 ? node.down : mixed
				};
				known.set(keyOf(column, row), grown);
				waiting.push(grown);
				break;
			}
		}
	}
	return [...known.values()];
}

/** Nodes that lie in the middle of their opposite neighbours, as far as they have them, and the largest connected part of these. */
function pruned(nodes: readonly Node[], shows: Shows): Node[] {
	const all = new Map(nodes.map((node) => [keyOf(node.column, node.row), node]));
	const at = (column: number, row: number) => all.get(keyOf(column, row));
	const good = nodes.filter(({ column, row, x, y }) =>
		(
			[
				[1, 0],
				[0, 1]
			] as const
		).every(([across, along]) => {
			const [a, b] = [at(column - across, row - along), at(column + across, row + along)];
			if (!a || !b) return true;
			const step = Math.hypot(b.x - a.x, b.y - a.y) / 2;
			return Math.hypot((a.x + b.x) / 2 - x, (a.y + b.y) / 2 - y) < bent * step;
		})
	);
	return connected(good, shows);
}

function connected(nodes: readonly Node[], shows: Shows): Node[] {
	const near = [1, 2].flatMap((far) =>
		ways.flatMap(([across, along]) =>
			far <= (across === 0 ? shows.down : shows.across) ? [[far * across, far * along]] : []
		)
	);
	const left = new Map(nodes.map((node) => [keyOf(node.column, node.row), node]));
	let best: Node[] = [];
	while (left.size > best.length) {
		const [start] = left.values();
		if (!start) break;
		left.delete(keyOf(start.column, start.row));
		const part = [start];
		for (let at = 0; at < part.length; at++) {
			const node = part[at];
			if (!node) break;
			for (const [across = 0, along = 0] of near) {
				const key = keyOf(node.column + across, node.row + along);
				const next = left.get(key);
				if (!next) continue;
				left.delete(key);
				part.push(next);
			}
		}
		if (part.length > best.length) best = part;
	}
	return best;
}
