import fc from 'fast-check';
import { expect, test } from 'vitest';
import { both, cheapestFor, cheapestTogether, nothing, type Trade } from './trade';

const largest = 60;
const choices = fc.array(fc.tuple(fc.nat(largest), fc.nat(20)), { minLength: 1, maxLength: 6 });
const tradeOf = (pairs: readonly (readonly [number, number])[]): Trade =>
	both(
		{ areas: pairs.map(([area]) => area), costs: pairs.map(([, cost]) => cost) },
		nothing,
		largest
	);

test('two trades together are as cheap as any two choices that fit', () => {
	fc.assert(
		fc.property(choices, choices, fc.nat(largest), (first, second, area) => {
			const fitting = first.flatMap(([a, x]) =>
				second.flatMap(([b, y]) => (a + b <= area ? [x + y] : []))
			);
			const cheapest = Math.min(...fitting, Infinity);
			const [one, other] = [tradeOf(first), tradeOf(second)];
			expect(cheapestTogether(one, other, area)).toBe(cheapest);
			expect(cheapestFor(both(one, other, largest), area)).toBe(cheapest);
		})
	);
});
