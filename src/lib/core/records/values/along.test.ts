import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reachOf, spanOf, stretchesOf, withSpan } from './along';

const night = { from: 21 * 60, per: 60, squares: 14 };

describe('times along a scale', () => {
	test('a night from 21 to 11: 22:45 to 6:40 begins 1¾ squares in', () => {
		const [stretch] = stretchesOf(night, [{ from: 22 * 60 + 45, to: 30 * 60 + 40 }]);
		expect(stretch?.from).toBe(1.75);
		expect(stretch?.to).toBeCloseTo(9 + 2 / 3);
	});

	test('what begins after the scale is not shown, what ends after it is cut', () => {
		expect(stretchesOf(night, [{ from: 15 * 60, to: 16 * 60 }])).toEqual([]);
		expect(stretchesOf(night, [{ from: 10 * 60, to: 13 * 60 }])).toEqual([{ from: 13, to: 14 }]);
	});

	test('every stretch of squares comes back from its span, either way round', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 13 }),
				fc.integer({ min: 1, max: 14 }),
				fc.boolean(),
				(at, length, back) => {
					const scale = { ...night, ...(back ? { back } : {}) };
					const stretch = { from: at, to: Math.min(14, at + length) };
					expect(stretchesOf(scale, [spanOf(scale, stretch)])).toEqual([stretch]);
				}
			)
		);
	});

	test('a nap stands beside a night; a new night takes the place of the old one', () => {
		const old = { from: 23 * 60, to: 31 * 60 };
		const nap = { from: 14 * 60, to: 15 * 60 };
		expect(withSpan([old], nap)).toEqual([old, nap]);
		// From half past midnight: the same night, told from the other side of midnight.
		expect(withSpan([old, nap], { from: 30, to: 7 * 60 })).toEqual([nap, { from: 30, to: 7 * 60 }]);
	});
});

test('a number reaches as far as the scale goes', () => {
	const steps = { from: 0, per: 1000, squares: 12 };
	expect(reachOf(steps, 8430)).toBeCloseTo(8.43);
	expect(reachOf(steps, 20_000)).toBe(12);
	expect(reachOf(steps, -5)).toBe(0);
});
