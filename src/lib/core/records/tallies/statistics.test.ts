import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
	circularMean,
	clockText,
	discoveries,
	minorOf,
	moneyTally,
	moneyText,
	numberTally,
	quantileOf,
	twoFigures
} from '..';

describe('times of the day', () => {
	test('23:30, 0:30 and 1:00 average 0:20, not 8:20', () => {
		const found = circularMean([23 * 60 + 30, 30, 60]);
		expect(clockText(found?.mean ?? NaN)).toBe('00:20');
	});

	test('by rotating: a mean turns along with its times', () => {
		const anyTimes = fc.array(fc.integer({ min: 0, max: 359 }), { minLength: 1, maxLength: 30 });
		fc.assert(
			fc.property(anyTimes, fc.integer({ min: 0, max: 1439 }), (times, turn) => {
				// Within six hours of each other the arithmetic mean is near, and both turn alike.
				const still = circularMean(times);
				const turned = circularMean(times.map((time) => (time + turn) % 1440));
				if (!still || !turned) throw new Error('times within six hours have a mean');
				const apart = Math.abs(((still.mean + turn) % 1440) - turned.mean);
				expect(Math.min(apart, 1440 - apart)).toBeLessThan(1e-6);
				expect(turned.spread).toBeCloseTo(still.spread, 3);
				expect(still.mean).toBeGreaterThanOrEqual(Math.min(...times) - 1e-6);
				expect(still.mean).toBeLessThanOrEqual(Math.max(...times) + 1e-6);
			})
		);
		expect(circularMean([0, 720])).toBeUndefined();
	});
});

describe('numbers', () => {
	test('aim a fifth above the average, to two figures: 7,500 → 9,000', () => {
		expect(numberTally([{ day: 1, value: 7500 }], true)?.next).toBe(9000);
		expect(numberTally([{ day: 1, value: 75 }])?.next).toBeUndefined();
		expect([9012, 0.0234, 105].map(twoFigures)).toEqual([9000, 0.023, 110]);
		expect(numberTally([])).toBeUndefined();
	});

	test('by brute force: mean, median, slope', () => {
		const anyValues = fc.uniqueArray(
			fc.record({
				day: fc.integer({ min: 1, max: 31 }),
				value: fc.integer({ min: 0, max: 20_000 })
			}),
			{ selector: ({ day }) => day, minLength: 2, maxLength: 31 }
		);
		fc.assert(
			fc.property(anyValues, (values) => {
				const tally = numberTally(values);
				if (!tally || tally.weekly === undefined) throw new Error('there are values');
				const all = values.map(({ value }) => value).sort((a, b) => a - b);
				const mean = all.reduce((sum, value) => sum + value, 0) / all.length;
				expect(tally.mean).toBeCloseTo(mean, 6);
				const middle = [all[Math.floor((all.length - 1) / 2)], all[Math.floor(all.length / 2)]];
				expect(tally.median).toBeCloseTo(((middle[0] ?? 0) + (middle[1] ?? 0)) / 2, 6);
				// Least squares: no other slope through the mean point leaves less.
				const day = values.reduce((sum, one) => sum + one.day, 0) / values.length;
				const left = (slope: number) =>
					values.reduce(
						(sum, one) => sum + (one.value - mean - (slope / 7) * (one.day - day)) ** 2,
						0
					);
				const best = left(tally.weekly);
				for (const other of [-1, -0.01, 0.01, 1])
					expect(left(tally.weekly + other)).toBeGreaterThanOrEqual(best - 1e-3);
			})
		);
	});

	test('a quantile has the share of values below it', () => {
		const values = Array.from({ length: 100 }, (_, at) => at + 1);
		expect(quantileOf(values, 0.95)).toBeGreaterThanOrEqual(95);
		expect(quantileOf(values, 0.95)).toBeLessThanOrEqual(96);
		expect(quantileOf([], 0.5)).toBeUndefined();
	});
});

describe('what goes with what', () => {
	// Y. Benjamini, Y. Hochberg, “Controlling the false discovery rate” (1995), the example of 15 comparisons; p-values
	// written down from memory. At 5 % four are told.
	test('the worked example of 15 comparisons', () => {
		const chances = [
			0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719,
			0.6528, 0.759, 1
		];
		expect(discoveries(chances).map(Number)).toEqual([
			1,
			1,
			1,
			1,
			...Array.from({ length: 11 }, () => 0)
		]);
	});
});

test('sums of ten thousand rows are exact to the cent', () => {
	const anyRows = fc.array(
		fc.record({
			minor: fc.integer({ min: -99_999, max: 999_999 }),
			category: fc.constantFrom('food', 'reeds', ''),
			day: fc.integer({ min: 1, max: 31 })
		}),
		{ minLength: 10_000, maxLength: 10_000 }
	);
	fc.assert(
		fc.property(anyRows, (rows) => {
			const { total, byCategory, byDay } = moneyTally(rows);
			const exact = rows.reduce((sum, { minor }) => sum + BigInt(minor), 0n);
			expect(BigInt(total)).toBe(exact);
			expect(byCategory.reduce((sum, [, minor]) => sum + BigInt(minor), 0n)).toBe(exact);
			expect([...byDay.values()].reduce((sum, minor) => sum + BigInt(minor), 0n)).toBe(exact);
			for (const { minor } of rows.slice(0, 50)) expect(minorOf(moneyText(minor))).toBe(minor);
		}),
		{ numRuns: 3 }
	);
	expect(['12.5', '12', 'x', '1e9', '-0.00'].map(minorOf)).toEqual([
		undefined,
		undefined,
		undefined,
		undefined,
		0
	]);
});
