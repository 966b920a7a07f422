import type { DrawnEdges, UnitEdges } from './unit-edges';

/** Quarters of a circle to the right by which a page lies turned in a picture. */
export const turns = [0, 1, 2, 3] as const;
export type Turn = (typeof turns)[number];

/** Where a page's first dot lies in a lattice, in squares, and how the page is turned there. */
export interface Placement {
	readonly turn: Turn;
	readonly column: number;
	readonly row: number;
}

/** A page that a picture may show: its number, and its ruled unit edges. */
export interface Candidate {
	readonly page: number;
	readonly planned: UnitEdges;
}

/** What a picture shows: pages that are ruled alike, where they lie, and how well they agree with it, up to 1. */
export interface Found extends Agreement {
	readonly pages: readonly number[];
	readonly placement: Placement;
	/** Unit edges of the picture, as far as they tell of a page that lies so. */
	readonly drawn: DrawnEdges;
	/** Whether dots of only a part of the page were found. */
	readonly partial: boolean;
	/** The same page elsewhere in the picture, where it agrees second best. */
	readonly elsewhere?: Agreement;
}

/** Whether a part of a page is seen that may as well be another part of it. */
export function isElsewhere({ partial, elsewhere, ...first }: Found): boolean {
	return partial && elsewhere !== undefined && !isAhead(first, elsewhere);
}

/** With a lower agreement a page is not taken for found. */
export const leastScore = 0.65;
/** The next other layout agrees so much less, or has so many more errors and so many times as many. */
const lead = { score: 0.1, errors: 15, times: 3 };

/** How well something agrees with a picture. */
export interface Agreement {
	readonly score: number;
	/** Unit edges that are drawn and not planned, or planned and not drawn. */
	readonly errors: number;
}

/** Whether a picture shows one thing rather than another, beyond what chance does. */
export function isAhead(first: Agreement, second: Agreement): boolean {
	return (
		first.score - second.score >= lead.score ||
		(second.errors - first.errors >= lead.errors && second.errors >= lead.times * first.errors)
	);
}
/** A page with fewer unit edges has too few lines to be told by. */
const leastEdges = 24;

const steps: Readonly<Record<Turn, readonly [ux: number, uy: number, vx: number, vy: number]>> = {
	// Lattice column = column + ux · x + uy · y of the page, row = row + vx · x + vy · y.
	0: [1, 0, 0, 1],
	1: [0, -1, 1, 0],
	2: [-1, 0, 0, -1],
	3: [0, 1, -1, 0]
};

/** Where a dot of the page, in squares, lies in the lattice. */
export function inLattice({ turn, column, row }: Placement, x: number, y: number) {
	const [ux, uy, vx, vy] = steps[turn];
	return { column: column + ux * x + uy * y, row: row + vx * x + vy * y };
}

/** A lattice has at most so many columns and rows more than its page: the grain of the table goes on there. */
const mostMore = 2;
/** Of a page that is in view as a whole at most so many outer columns and rows are not found. */
const mostLost = 3;

/** How far the lattice must be moved: it may have lost rows and columns, or be a part of the page. */
function shifts(lattice: number, page: number): number[] {
	if (lattice - page > mostMore) return [];
	const [first, last] = [Math.min(0, lattice - page) - 1, Math.max(0, lattice - page) + 1];
	return Array.from({ length: last - first + 1 }, (_, at) => first + at);
}

/** Where the lattice is narrower than the page, its dots may be hidden under lines: there nothing is known to have ended. */
function endedFor(drawn: DrawnEdges, lattice: Lattice, wide: number, high: number): DrawnEdges {
	const [across, down] = [wide - lattice.columns <= mostLost, high - lattice.rows <= mostLost];
	const { left, right, top, bottom } = drawn.ended;
	return {
		...drawn,
		ended: {
			left: left && across,
			right: right && across,
			top: top && down,
			bottom: bottom && down
		}
	};
}

/** Squares of the lattice that was found. */
interface Lattice {
	readonly columns: number;
	readonly rows: number;
}

/**
 * The pages that agree best with the unit edges that are drawn (1) or not (0, not a number out of view), over four turns and
 * the shifts that are possible, the best first; pages that are ruled alike are one. The agreement is Matthews' correlation
 * (1975). `columns` and `rows` are the lattice's own.
 */
export function placements(
	drawn: DrawnEdges,
	lattice: Lattice,
	candidates: readonly Candidate[]
): Found[] {
	return alike(candidates)
		.flatMap(({ pages, planned }): Found[] => {
			let best: Found | undefined;
			const [columns, rows] = [planned.across - 1, planned.down - 1];
			for (const turn of turns) {
				const [wide, high] = turn % 2 === 1 ? [rows, columns] : [columns, rows];
				const seen = endedFor(drawn, lattice, wide, high);
				const partial = wide - lattice.columns > mostLost || high - lattice.rows > mostLost;
				for (const dx of shifts(lattice.columns, wide))
					for (const dy of shifts(lattice.rows, high)) {
						const placement: Placement = {
							turn,
							column: dx + (turn === 1 ? rows : turn === 2 ? columns : 0),
							row: dy + (turn === 3 ? columns : turn === 2 ? rows : 0)
						};
						const found = agreement(seen, planned, placement);
						if (!best || found.score > best.score)
							best = { pages, placement, drawn: seen, partial, elsewhere: best, ...found };
						else if (!best.elsewhere || found.score > best.elsewhere.score)
							best = { ...best, elsewhere: found };
					}
			}
			return best ? [best] : [];
		})
		.sort((a, b) => b.score - a.score);
}

/** Candidates with lines to be told by, those that are ruled alike together. */
function alike(candidates: readonly Candidate[]) {
	const groups = new Map<string, { pages: number[]; planned: UnitEdges }>();
	for (const { page, planned } of candidates) {
		const ruled = [planned.right, planned.below].map((values) => values.join(''));
		if (ruled.join('').replaceAll('0', '').length < leastEdges) continue;
		const key = ruled.join(' ');
		const group = groups.get(key);
		if (group) group.pages.push(page);
		else groups.set(key, { pages: [page], planned });
	}
	return [...groups.values()];
}

/** Whether the unit edge from a page's dot is drawn: 1, 0, or not a number where it is out of view. */
export function drawnAt(
	drawn: DrawnEdges,
	{ turn, column, row }: Placement,
	way: 'right' | 'below',
	x: number,
	y: number
): number {
	const [ux, uy, vx, vy] = steps[turn];
	const [du, dv] = way === 'right' ? [ux, vx] : [uy, vy];
	// The edge's left or upper dot in the lattice, whichever way the page lies there.
	const { beyond, ended } = drawn;
	const u = column + beyond + ux * x + uy * y + (du < 0 ? du : 0);
	const v = row + beyond + vx * x + vy * y + (dv < 0 ? dv : 0);
	if (u < 0) return ended.left ? 0 : NaN;
	if (v < 0) return ended.top ? 0 : NaN;
	if (u >= drawn.across) return ended.right ? 0 : NaN;
	if (v >= drawn.down) return ended.bottom ? 0 : NaN;
	return (dv === 0 ? drawn.right : drawn.below)[v * drawn.across + u] ?? NaN;
}

function agreement(drawn: DrawnEdges, planned: UnitEdges, placement: Placement) {
	// Right and wrong, drawn and left out.
	let [both, extra, missing, neither] = [0, 0, 0, 0];
	const { across, down } = planned;
	for (const way of ['right', 'below'] as const) {
		const [columns, rows] = way === 'right' ? [across - 1, down] : [across, down - 1];
		for (let y = 0; y < rows; y++)
			for (let x = 0; x < columns; x++) {
				const seen = drawnAt(drawn, placement, way, x, y);
				const wanted = planned[way][y * across + x] === 1;
				if (seen === 1 && wanted) both += 1;
				else if (seen === 1) extra += 1;
				else if (seen === 0 && wanted) missing += 1;
				else if (seen === 0) neither += 1;
			}
	}
	const under = Math.sqrt(
		(both + extra) * (both + missing) * (neither + extra) * (neither + missing)
	);
	const score = under === 0 ? 0 : (both * neither - extra * missing) / under;
	return { score, errors: extra + missing };
}
