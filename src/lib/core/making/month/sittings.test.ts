import fc from 'fast-check';
import { expect, test } from 'vitest';
import { often } from '../../../../../tests/support/effort';
import { dayAfter, seat, sittingsIn, usualEvenings, type Piece } from '..';

/** Every way to give pieces to sittings, tried one by one: without a place, late, sittings taken. */
function leastCost(pieces: readonly Piece[], rooms: readonly number[]): number[] {
	const count = (rooms.length + 1) ** pieces.length;
	let best: number[] = [pieces.length + 1];
	for (let way = 0; way < count; way++) {
		const at = pieces.map(
			(_, piece) => Math.floor(way / (rooms.length + 1) ** piece) % (rooms.length + 1)
		);
		const full = rooms.some(
			(room, sitting) =>
				pieces.reduce(
					(sum, { seconds }, piece) => (at[piece] === sitting ? sum + seconds : sum),
					0
				) > room
		);
		const tangled = pieces.some(({ after, only }, piece) => {
			if (only !== undefined && at[piece] !== rooms.length && at[piece] !== only) return true;
			if (after === undefined || at[piece] === rooms.length) return false;
			return after.some((other) => (at[other] ?? 0) > (at[piece] ?? 0));
		});
		if (full || tangled) continue;
		const placed = at.filter((sitting) => sitting < rooms.length);
		const cost = [
			pieces.length - placed.length,
			pieces.filter(
				({ latest }, piece) => (at[piece] ?? 0) < rooms.length && (at[piece] ?? 0) > latest
			).length,
			new Set(placed).size
		];
		const other = cost.findIndex((value, index) => value !== best[index]);
		if (other >= 0 && (cost[other] ?? 0) < (best[other] ?? Infinity)) best = cost;
	}
	return best;
}

const anyCase = fc
	.record({
		rooms: fc.array(fc.integer({ min: 3, max: 10 }), { minLength: 1, maxLength: 4 }),
		pieces: fc.array(
			fc.record({
				seconds: fc.integer({ min: 1, max: 9 }),
				latest: fc.integer({ min: -1, max: 3 }),
				follows: fc.integer({ min: 0, max: 5 }),
				only: fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined, freq: 4 })
			}),
			{ minLength: 1, maxLength: 5 }
		)
	})
	.map(({ rooms, pieces }) => ({
		rooms,
		pieces: pieces
			.toSorted((a, b) => a.latest - b.latest)
			.map(({ seconds, latest, follows, only }, index): Piece => {
				const after =
					follows < 2 && index > follows
						? { after: Array.from({ length: follows + 1 }, (_, back) => index - 1 - back) }
						: {};
				return { seconds, latest, ...after, ...(only === undefined ? {} : { only }) };
			})
	}));

test('no way to give work to sittings is better, by trying all', () => {
	fc.assert(
		fc.property(anyCase, ({ pieces, rooms }) => {
			const { at, proven } = seat(pieces, rooms);
			expect(proven).toBe(true);
			for (const [sitting, room] of rooms.entries()) {
				const used = pieces.reduce(
					(sum, { seconds }, piece) => (at[piece] === sitting ? sum + seconds : sum),
					0
				);
				expect(used).toBeLessThanOrEqual(room);
			}
			const placed = at.filter((sitting) => sitting !== undefined);
			expect([
				pieces.length - placed.length,
				pieces.filter(({ latest }, piece) => (at[piece] ?? -1) > latest).length,
				new Set(placed).size
			]).toEqual(leastCost(pieces, rooms));
		}),
		{ numRuns: often(600) }
	);
});

test('evenings follow from the days that one has', () => {
	// 24 April 2027 is a Saturday.
	const from = (today: string, days = [1, 5]) =>
		sittingsIn({ ...usualEvenings, days }, '2027-05', today).map(({ day }) => day);
	expect(from('2026-11-28').slice(0, 3)).toEqual(['2027-04-26', '2027-04-30', '2027-05-03']);
	expect(from('2027-04-27').slice(0, 2)).toEqual(['2027-04-30', '2027-05-03']);
	// A month that is over is shown as it could have been.
	expect(from('2027-08-01')[0]).toBe('2027-04-26');
	expect(from('2026-11-28', [])).toEqual([]);
	expect(dayAfter('2028-02-28', 2)).toBe('2028-03-01');
});
