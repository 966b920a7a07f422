import {
	getDaysInMonth,
	getISOWeek,
	getWeek,
	getWeeksInMonth,
	startOfMonth,
	startOfWeek
} from 'date-fns';
import { expect, test } from 'vitest';
import { cellOf, monthShape, weekNumbers, type WeekStart } from '../../src/lib/core/month';

// Referee: date-fns, whose ISO weeks follow ISO 8601 and whose plain weeks can be told that week 1
// holds 1 January. It reckons in local time, so the clock is set to UTC, which has no gaps.
process.env.TZ = 'UTC';
const weekStartsOn: Record<WeekStart, 0 | 1 | 6> = { sunday: 0, monday: 1, saturday: 6 };
const starts = ['monday', 'sunday', 'saturday'] as const;

test.each(starts)('every month from 1900 to 2200, weeks from %s', (start) => {
	const options = { weekStartsOn: weekStartsOn[start], firstWeekContainsDate: 1 } as const;
	for (let year = 1900; year <= 2200; year++)
		for (let month = 1; month <= 12; month++) {
			const first = startOfMonth(new Date(year, month - 1, 1));
			const shape = monthShape({ year, month }, start);
			const gridStart = startOfWeek(first, options);
			const lead = Math.round((first.getTime() - gridStart.getTime()) / 86_400_000);
			const numbers = Array.from({ length: shape.weeks }, (_, row) => {
				const date = new Date(gridStart.getTime() + row * 7 * 86_400_000);
				return start === 'monday' ? getISOWeek(date) : getWeek(date, options);
			});
			expect({ ...shape, numbers: weekNumbers(shape) }).toEqual({
				year,
				month,
				weekStart: start,
				lead,
				days: getDaysInMonth(first),
				weeks: getWeeksInMonth(first, options),
				numbers
			});
			expect(cellOf(shape, 1)).toEqual({ row: 0, column: lead });
		}
});
