import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyGoals } from '../../../../tests/support/any-goals';
import type { Goal } from '../forms';
import { monthShape } from '../month';
import { bandwidthOf, leveled, minutesOf, overloads, workedOff } from '.';

const may = monthShape({ year: 2027, month: 5 }, 'monday');
const daily = (hours: number, days = 31) => Array.from({ length: days }, () => 60 * hours);

describe('goals in time', () => {
	test('two goals of 10 h from 1 to 5 with 2 h a day cannot both be met before day 10 (worked by hand)', () => {
		const goals: Goal[] = [
			{ name: 'Reels', from: 1, to: 5, hours: 10 },
			{ name: 'Letters', from: 1, to: 5, hours: 10 }
		];
		expect(overloads(goals, daily(2))).toEqual([{ from: 1, to: 5, wanted: 1200, there: 600 }]);
		const found = leveled(goals, daily(2));
		expect(found).toMatchObject({ moved: 5, proven: true });
		expect(found?.goals.map(({ to }) => to).sort()).toEqual([10, 5]);
		// With slack behind it in a month of ten days there is no way.
		const late = goals.map((goal) => ({ ...goal, slack: 1 }));
		expect(leveled(late, daily(2, 10))).toBeUndefined();
	});

	test('weekdays have their own hours, and an event of a whole day takes them all', () => {
		// 1 May 2027 is a Saturday.
		const weekly = [3, 1, 1, 1, 1, 0, 2.5];
		const events = [
			{ day: 2, text: 'Ferry inspection', time: 'all day' },
			{ day: 3, text: 'Choir', time: '19:30' }
		];
		expect(bandwidthOf(weekly, may, events).slice(0, 9)).toEqual([
			150, 0, 60, 60, 60, 60, 0, 150, 180
		]);
	});

	test('what is worked off stays in its days and in the time, and all is met if nothing is too full', () => {
		fc.assert(
			fc.property(anyGoals, fc.integer({ min: 0, max: 6 }), (goals, half) => {
				const bandwidth = daily(half / 2);
				const { days, unmet } = workedOff(goals, bandwidth);
				for (const [at, done] of days.entries()) {
					expect(done.reduce((sum, one) => sum + one, 0)).toBeLessThanOrEqual(bandwidth[at] ?? 0);
					for (const [index, minutes] of done.entries()) {
						const goal = goals[index];
						if (minutes > 0 && goal) expect(goal.from <= at + 1 && at + 1 <= goal.to).toBe(true);
					}
				}
				for (const [index, goal] of goals.entries())
					expect(days.reduce((sum, done) => sum + (done[index] ?? 0), unmet[index] ?? 0)).toBe(
						minutesOf(goal)
					);
				const met = unmet.every((minutes) => minutes === 0);
				expect(met).toBe(overloads(goals, bandwidth).length === 0);
			})
		);
	});

	test('leveled goals are met, only wider, inside the month, and the sum of the moves is told', () => {
		fc.assert(
			fc.property(anyGoals, fc.integer({ min: 2, max: 6 }), (goals, half) => {
				const bandwidth = daily(half / 2);
				const found = leveled(goals, bandwidth);
				if (!found) {
					const whole = goals.map((goal) => ({ ...goal, from: 1, to: 31 - (goal.slack ?? 0) }));
					expect(workedOff(whole, bandwidth).unmet.some((minutes) => minutes > 0)).toBe(true);
					return;
				}
				expect(workedOff(found.goals, bandwidth).unmet.every((minutes) => minutes === 0)).toBe(
					true
				);
				let moved = 0;
				for (const [at, { from, to, slack = 0 }] of found.goals.entries()) {
					const was = goals[at];
					if (!was) throw new Error('a goal more');
					expect(from >= 1 && from <= was.from && to >= was.to && to + slack <= 31).toBe(true);
					moved += was.from - from + to - was.to;
				}
				expect(found.moved).toBe(moved);
			})
		);
	});
});
