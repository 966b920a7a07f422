import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyMonth, anyWeekStart } from '../../../../tests/support/arbitraries';
import {
	addMonths,
	cellOf,
	formatMonth,
	monthName,
	monthShape,
	nextToPlan,
	parseMonth,
	weekdayNames,
	weekdayOf,
	weekdayOrder,
	weekNumber,
	weekNumbers
} from '.';

// Check values: common practice.
describe('the shape of a month', () => {
	test.each([
		['monday', 2027, 2, 0, 4],
		['sunday', 2027, 2, 1, 5],
		['monday', 2027, 5, 5, 6],
		['sunday', 2027, 5, 6, 6],
		['saturday', 2027, 5, 0, 5]
	] as const)('weeks from %s, %i-%i: lead %i, %i weeks', (start, year, month, lead, weeks) => {
		expect(monthShape({ year, month }, start)).toMatchObject({ lead, weeks });
	});

	test('every date stands once, in the column of its weekday', () => {
		fc.assert(
			fc.property(anyMonth, anyWeekStart, (month, start) => {
				const shape = monthShape(month, start);
				const order = weekdayOrder(start);
				const cells = new Set<string>();
				for (let day = 1; day <= shape.days; day++) {
					const { row, column } = cellOf(shape, day);
					expect(order[column]).toBe(weekdayOf(month, day));
					expect(row).toBeLessThan(shape.weeks);
					cells.add(`${row} ${column}`);
				}
				expect(cells.size).toBe(shape.days);
				expect(cellOf(shape, shape.days).row).toBe(shape.weeks - 1);
			})
		);
	});
});

test('weeks that do not begin on Monday are counted from the one that holds 1 January', () => {
	expect(weekNumber(2027, 1, 3, 'sunday')).toBe(2);
	expect(weekNumber(2026, 12, 27, 'sunday')).toBe(1);
	expect(weekNumbers(monthShape({ year: 2027, month: 5 }, 'monday'))).toEqual([
		17, 18, 19, 20, 21, 22
	]);
});

test('months are read and written as text, within 1900 to 2200', () => {
	expect(parseMonth('2027-05')).toEqual({ year: 2027, month: 5 });
	for (const wrong of ['2027-13', '2027-5', '1899-12', '2201-01', 'May 2027', '', '2027-05-01'])
		expect(parseMonth(wrong)).toBeUndefined();
	fc.assert(
		fc.property(anyMonth, (month) => {
			expect(parseMonth(formatMonth(month))).toEqual(month);
		})
	);
});

test('adding months carries over years both ways', () => {
	expect(addMonths({ year: 2027, month: 12 }, 1)).toEqual({ year: 2028, month: 1 });
	expect(addMonths({ year: 2027, month: 1 }, -1)).toEqual({ year: 2026, month: 12 });
	expect(addMonths({ year: 2027, month: 5 }, -17)).toEqual({ year: 2025, month: 12 });
});

test('the month to plan next follows the latest planned one, or the present one', () => {
	const present = { year: 2026, month: 11 };
	expect(nextToPlan([], present)).toEqual({ year: 2026, month: 12 });
	expect(nextToPlan([{ year: 2020, month: 1 }], present)).toEqual({ year: 2026, month: 12 });
	expect(nextToPlan([{ year: 2027, month: 5 }], present)).toEqual({ year: 2027, month: 6 });
});

test('names follow the language and the week start', () => {
	expect(weekdayNames('en', 'sunday', 'short')).toEqual([
		'Sun',
		'Mon',
		'Tue',
		'Wed',
		'Thu',
		'Fri',
		'Sat'
	]);
	expect(weekdayNames('de', 'monday', 'long')[0]).toBe('Montag');
	expect(monthName('fr', { year: 2027, month: 8 })).toBe('août');
});
