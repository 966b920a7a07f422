import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyMonth, anyWeekStart, planWith } from '../../../../../tests/support/arbitraries';
import { planRun } from '../../fit';
import { monthShape, weekdayOf } from '../../month';
import { cashOf, sumsByWeek, tallyOf, trackersOf, type Entry } from '..';

test('each day’s money is in one week, and weeks begin where the calendar’s do', () => {
	fc.assert(
		fc.property(
			anyMonth,
			anyWeekStart,
			fc.array(fc.tuple(fc.integer({ min: 1, max: 31 }), fc.integer({ min: -99, max: 999 }))),
			(month, weekStart, sums) => {
				const shape = monthShape(month, weekStart);
				const byDay = new Map(sums.filter(([day]) => day <= shape.days));
				const weeks = sumsByWeek(byDay, shape);
				const begins = weekdayOf(shape, weeks[1]?.first ?? 8);
				let next = 1;
				for (const { first, last, minor } of weeks) {
					expect(first).toBe(next);
					if (first > 1) expect(weekdayOf(shape, first)).toBe(begins);
					const own = [...byDay].filter(([day]) => day >= first && day <= last);
					expect(minor).toBe(own.reduce((sum, [, one]) => sum + one, 0));
					next = last + 1;
				}
				expect(next).toBe(shape.days + 1);
			}
		)
	);
});

test('what came in less what went out is carried over', () => {
	const may = { year: 2027, month: 5 };
	const columns = [
		{ name: 'What', width: 6 },
		{ name: 'Sum ¤', width: 4 }
	];
	const plan = planWith([
		{ id: 'out', kind: 'spending', columns },
		{ id: 'in', kind: 'income', columns }
	]);
	const month = monthShape(may, 'monday');
	const trackers = trackersOf(plan, planRun(plan));
	const sum = (wish: string, row: number, value: string): Entry => ({
		wish,
		about: `row=${row}&column=${encodeURIComponent('Sum ¤')}`,
		holds: 'money',
		value
	});
	const cash = (entries: readonly Entry[]) =>
		cashOf(
			trackers.flatMap((tracker) => {
				const tally = tallyOf(tracker, entries, { month, hand: plan.hand, until: 31 });
				return tally ? [{ tracker, tally }] : [];
			})
		);
	expect(cash([sum('out', 1, '0.10'), sum('out', 2, '0.20'), sum('in', 1, '1000.00')])).toEqual({
		income: 100_000,
		spending: 30,
		left: 99_970
	});
	// Who says nothing of what came in has no balance.
	expect(cash([sum('out', 1, '5.00')])).toBeUndefined();
});

test('a table with columns for both ways is added up by the way that each column says', () => {
	const columns = [
		{ name: 'What', width: 8 },
		{ name: 'In ¤', width: 4, holds: 'money' as const },
		{ name: 'Out ¤', width: 4, holds: 'money' as const }
	];
	const plan = planWith([{ id: 'book', kind: 'spending', columns }]);
	const [tracker] = trackersOf(plan, planRun(plan));
	if (!tracker) throw new Error('no table');
	const sum = (row: number, column: string, value: string): Entry => ({
		wish: 'book',
		about: `row=${row}&column=${encodeURIComponent(column)}`,
		holds: 'money',
		value
	});
	const entries = [sum(1, 'In ¤', '2400.00'), sum(2, 'Out ¤', '4.20'), sum(3, 'Out ¤', '10.00')];
	const month = monthShape({ year: 2027, month: 5 }, 'monday');
	const tally = tallyOf(tracker, entries, { month, hand: plan.hand, until: 31 });
	if (tally?.of !== 'rows') throw new Error('no rows');
	expect(tally.money).toMatchObject({ total: 1420, against: 240_000 });
	expect(cashOf([{ tracker, tally }])).toEqual({ income: 240_000, spending: 1420, left: 238_580 });
});
