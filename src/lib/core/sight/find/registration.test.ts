import fc from 'fast-check';
import { expect, test } from 'vitest';
import { grid, line, type Mark } from '../../draw';
import { inLattice, isAhead, leastScore, placements, turns, type Turn } from './registration';
import { edgesPlanned, type DrawnEdges, type UnitEdges } from './unit-edges';

const [columns, rows] = [16, 20];
const beyond = 2;

/** The unit edges of a page as a picture shows them in which it lies turned, every dot of it found. */
function turned(planned: UnitEdges, turn: Turn): DrawnEdges {
	const [wide, high] = turn % 2 === 1 ? [rows, columns] : [columns, rows];
	const [across, down] = [wide + 1 + 2 * beyond, high + 1 + 2 * beyond];
	const right = new Float32Array(across * down);
	const below = new Float32Array(across * down);
	const placement = {
		turn,
		column: turn === 1 ? rows : turn === 2 ? columns : 0,
		row: turn === 3 ? columns : turn === 2 ? rows : 0
	};
	for (let y = 0; y <= rows; y++)
		for (let x = 0; x <= columns; x++)
			for (const way of ['right', 'below'] as const) {
				if (planned[way][y * planned.across + x] !== 1) continue;
				const a = inLattice(placement, x, y);
				const b = inLattice(placement, way === 'right' ? x + 1 : x, way === 'right' ? y : y + 1);
				const at =
					(Math.min(a.row, b.row) + beyond) * across + Math.min(a.column, b.column) + beyond;
				(a.row === b.row ? right : below)[at] = 1;
			}
	const ended = { left: true, right: true, top: true, bottom: true };
	return { across, down, right, below, beyond, ended };
}

/** Pages of a grid and a line of its own each, so that no two are alike and none looks the same when it is turned. */
const anyPages = fc
	.uniqueArray(
		fc.record({
			x: fc.integer({ min: 0, max: 3 }),
			y: fc.integer({ min: 0, max: 3 }),
			across: fc.integer({ min: 2, max: 4 }),
			down: fc.integer({ min: 2, max: 5 }),
			long: fc.integer({ min: 6, max: 13 })
		}),
		{ minLength: 2, maxLength: 5, selector: ({ long }) => long }
	)
	.map((pages) =>
		pages.map(({ x, y, across, down, long }): readonly Mark[] => [
			...grid({ x, y }, { w: 3, h: 3 }, across, down),
			line(1, 19, 1 + long, 19),
			line(1, 18, 1 + long, 18)
		])
	);

test('a page is found however it lies, as itself and nothing else', () => {
	fc.assert(
		fc.property(anyPages, fc.constantFrom(...turns), (pages, turn) => {
			const candidates = pages.map((marks, page) => ({
				page,
				planned: edgesPlanned(marks, columns, rows)
			}));
			const wanted = candidates[0];
			if (!wanted) return;
			const lattice = turn % 2 === 1 ? { columns: rows, rows: columns } : { columns, rows };
			const [first, second] = placements(turned(wanted.planned, turn), lattice, candidates);
			expect(first).toMatchObject({ pages: [0], placement: { turn }, errors: 0 });
			expect(first?.score).toBeCloseTo(1, 9);
			expect(second?.errors).toBeGreaterThan(0);
			for (const [x, y] of [
				[0, 0],
				[columns, rows]
			] as const) {
				const { column, row } = inLattice(first?.placement ?? { turn: 0, column: 0, row: 0 }, x, y);
				expect(column >= 0 && row >= 0 && column <= lattice.columns && row <= lattice.rows).toBe(
					true
				);
			}
		})
	);
});

test('pages that are ruled alike are one, and a page without lines is none', () => {
	const marks = grid({ x: 1, y: 1 }, { w: 4, h: 3 }, 3, 5);
	const planned = edgesPlanned(marks, columns, rows);
	const empty = edgesPlanned([line(0, 0, 5, 0)], columns, rows);
	const candidates = [
		{ page: 7, planned },
		{ page: 8, planned: empty },
		{ page: 9, planned }
	];
	const found = placements(turned(planned, 0), { columns, rows }, candidates);
	expect(found.map(({ pages }) => pages)).toEqual([[7, 9]]);
});

test('a lead is one of agreement, or of many more errors', () => {
	const at = (score: number, errors: number) => ({ score, errors });
	expect(isAhead(at(0.9, 10), at(0.79, 12))).toBe(true);
	expect(isAhead(at(0.95, 4), at(0.9, 40))).toBe(true);
	expect(isAhead(at(0.95, 20), at(0.9, 40))).toBe(false);
	expect(isAhead(at(0.95, 0), at(0.93, 8))).toBe(false);
	expect(leastScore).toBe(0.65);
});
