import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyMonth, anyWeekStart } from '../../../../tests/support/arbitraries';
import { monthShape, weeklySet, type WeekBelonging } from '.';

const belongings = ['touching', 'first-day', 'middle-day'] as const;

describe('which weeks belong to a month', () => {
	// Counted by hand from the calendar (common practice).
	test.each([
		[2027, 5, 6, 5, 4],
		[2027, 2, 4, 4, 4],
		[2021, 6, 5, 4, 4]
	])('%i-%i from Monday', (year, month, touching, first, middle) => {
		const shape = monthShape({ year, month }, 'monday');
		const count = (belong: WeekBelonging) => weeklySet(shape, belong, 'own').length;
		expect(belongings.map(count)).toEqual([touching, first, middle]);
	});

	test('by their middle day every week of a year belongs to one month', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1900, max: 2200 }), anyWeekStart, (year, start) => {
				const ofMonths = Array.from({ length: 12 }, (_, index) =>
					weeklySet(monthShape({ year, month: index + 1 }, start), 'middle-day', 'own')
				);
				const weeks = ofMonths.flat();
				expect(weeks.every(({ short }) => !short)).toBe(true);
				// A year has 52 or 53 weeks (ISO 8601, for weeks from Monday).
				expect([52, 53]).toContain(weeks.length);
			})
		);
	});

	test('no day of the month is lost when weeks touch it, and none is double', () => {
		fc.assert(
			fc.property(anyMonth, anyWeekStart, (month, start) => {
				const shape = monthShape(month, start);
				const days = (short: 'own' | 'fold') =>
					weeklySet(shape, 'touching', short).reduce(
						(sum, { days, folded }) => sum + days + folded.length,
						0
					);
				expect(days('own')).toBe(shape.days);
				expect(days('fold')).toBe(shape.days);
			})
		);
	});

	test('a short week is kept, folded into its neighbour, or skipped', () => {
		const may = monthShape({ year: 2027, month: 5 }, 'monday');
		const weeks = (short: 'own' | 'fold' | 'skip') =>
			weeklySet(may, 'touching', short).map(({ week, short, folded }) => [week, short, folded]);
		expect(weeks('own').filter(([, short]) => short)).toEqual([
			[1, true, []],
			[6, true, []]
		]);
		expect(weeks('fold')).toEqual([
			[2, false, [1, 2]],
			[3, false, []],
			[4, false, []],
			[5, false, [31]]
		]);
		expect(weeks('skip').map(([week]) => week)).toEqual([2, 3, 4, 5]);
	});
});
