import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyMonth, anyWeekStart } from '../../../../../tests/support/arbitraries';
import type { Item } from '../../forms';
import { cellOf, monthShape, weekdayOf } from '../../month';
import { habitTally, rateOf, type Marks } from '..';

const may = monthShape({ year: 2027, month: 5 }, 'monday');
const marked = (days: readonly (readonly [number, string])[]): Marks => ({
	days: new Map(days),
	weeks: new Map(),
	month: 0
});
const done = (...days: number[]) => marked(days.map((day) => [day, 'x']));

describe('how a habit went (common practice, counted by hand)', () => {
	test('31 days, 20 done: 65 %', () => {
		const tally = habitTally(
			{ name: 'Walk' },
			may,
			done(...Array.from({ length: 20 }, (_, at) => at + 1)),
			31
		);
		expect(tally).toMatchObject({ met: 20, due: 31, longest: 20, present: 0 });
		expect(Math.round(100 * (rateOf(tally) ?? 0))).toBe(65);
	});

	test('3 a week in May 2027 from Monday: due 2 + 3 + 3 + 3 + 3 + 1 = 15', () => {
		const item: Item = { name: 'Scales', rhythm: 'times-a-week', goal: 3 };
		expect(habitTally(item, may, done(), 31).due).toBe(15);
		// Five times in the week from 3 May on are no more than the three that were due.
		const tally = habitTally(item, may, done(3, 4, 5, 6, 7), 31);
		expect(tally).toMatchObject({ met: 3, longest: 1, present: 0, period: 'week' });
		// Until the 9th only two weeks are due.
		expect(habitTally(item, may, done(1, 2, 3, 4, 5), 9)).toMatchObject({ met: 5, due: 5 });
	});

	test('a threshold is met by what reaches it, and due on days that have a value', () => {
		const item: Item = { name: 'Steps', rhythm: 'threshold', goal: 8000 };
		const tally = habitTally(
			item,
			may,
			marked([
				[1, '8000'],
				[2, '7999'],
				[3, 'x'],
				[5, '-'],
				[6, 'o'],
				[7, '12000']
			]),
			31
		);
		expect(tally).toMatchObject({ met: 3, due: 5, longest: 1, present: 1 });
	});

	test('a monthly habit is not due before it begins', () => {
		const item: Item = { name: 'Oil the bellows', rhythm: 'monthly' };
		expect(habitTally(item, may, done(), 9, 20)).toMatchObject({ met: 0, due: 0 });
		expect(habitTally(item, may, done(), 20, 20)).toMatchObject({ met: 0, due: 1 });
		expect(habitTally(item, may, done(25), 31, 20)).toMatchObject({ met: 1, due: 1 });
	});

	test('a day that was not due counts for nothing and ends no row', () => {
		const tally = habitTally(
			{ name: 'Walk' },
			may,
			marked([
				[1, 'x'],
				[2, 'o'],
				[3, 'x'],
				[4, '-']
			]),
			4
		);
		expect(tally).toMatchObject({ met: 2, due: 3, longest: 2, present: 0 });
	});

	test('weekly, monthly, several times a day, so often a month, now and then', () => {
		expect(
			habitTally({ name: 'a', rhythm: 'weekly' }, may, { ...done(3), weeks: new Map([[3, 1]]) }, 31)
		).toMatchObject({ met: 2, due: 6 });
		expect(
			habitTally({ name: 'a', rhythm: 'monthly' }, may, { ...done(), month: 1 }, 31)
		).toMatchObject({ met: 1, due: 1 });
		expect(
			habitTally({ name: 'a', rhythm: 'times-a-day', goal: 3 }, may, marked([[1, '5']]), 2)
		).toMatchObject({ met: 3, due: 6 });
		expect(habitTally({ name: 'a', rhythm: 'daily', goal: 20 }, may, done(1, 2), 31)).toMatchObject(
			{ met: 2, due: 20 }
		);
		const counted = habitTally({ name: 'a', rhythm: 'now-and-then' }, may, done(7, 9), 31);
		expect(counted).toMatchObject({ met: 2, due: undefined });
		expect(rateOf(counted)).toBeUndefined();
	});

	test('a habit that began in mid-month is due from then on', () => {
		expect(habitTally({ name: 'Walk' }, may, done(20), 31, 16)).toMatchObject({ met: 1, due: 16 });
	});
});

test('by brute force over any month: due, met, weekdays, rows', () => {
	const anyMarks = fc.array(fc.constantFrom('x', '-', 'o', ''), { minLength: 31, maxLength: 31 });
	fc.assert(
		fc.property(
			anyMonth,
			anyWeekStart,
			anyMarks,
			fc.integer({ min: 1, max: 28 }),
			fc.integer({ min: 1, max: 6 }),
			(month, start, signs, until, goal) => {
				const shape = monthShape(month, start);
				const marks = marked(
					signs.flatMap((sign, at) => (sign === '' || at >= shape.days ? [] : [[at + 1, sign]]))
				);
				const days = Array.from({ length: until }, (_, at) => at + 1);
				const is = (day: number, sign: string) => signs[day - 1] === sign;
				const daily = habitTally({ name: 'a' }, shape, marks, until);
				expect(daily.met).toBe(days.filter((day) => is(day, 'x')).length);
				expect(daily.due).toBe(days.filter((day) => !is(day, 'o')).length);
				expect(daily.byWeekday).toEqual(
					[0, 1, 2, 3, 4, 5, 6].map(
						(weekday) =>
							days.filter((day) => is(day, 'x') && weekdayOf(shape, day) === weekday).length
					)
				);
				const row = days
					.filter((day) => !is(day, 'o'))
					.map((day) => (is(day, 'x') ? 'x' : '.'))
					.join('');
				const rows = row.split('.').map(({ length }) => length);
				expect([daily.longest, daily.present]).toEqual([Math.max(...rows), rows.at(-1)]);
				let [due, met] = [0, 0];
				for (let week = 0; week < 6; week++) {
					const own = days.filter((day) => cellOf(shape, day).row === week);
					const wanted = Math.min(goal, own.filter((day) => !is(day, 'o')).length);
					due += wanted;
					met += Math.min(wanted, own.filter((day) => is(day, 'x')).length);
				}
				const weekly = habitTally({ name: 'a', rhythm: 'times-a-week', goal }, shape, marks, until);
				expect([weekly.met, weekly.due]).toEqual([met, due]);
			}
		)
	);
});
