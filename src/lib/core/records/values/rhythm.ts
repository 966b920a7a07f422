import { rhythmOf, type Item } from '../../forms';
import { cellOf, weekdayOf, type MonthShape } from '../../month';

/** What was marked of a habit: its days, its weeks' boxes, and boxes that are of no day. */
export interface Marks {
	/** “x”, “-”, “o” or a count, by day. */
	readonly days: ReadonlyMap<number, string>;
	/** Boxes done, by row of the month's grid from 1. */
	readonly weeks: ReadonlyMap<number, number>;
	/** Boxes done that are of the month as a whole. */
	readonly month: number;
}

/** How a habit went. */
export interface HabitTally {
	readonly met: number;
	/** How often it was due; undefined where it is only counted. */
	readonly due: number | undefined;
	/** Longest and latest row of periods in which it was met. */
	readonly longest: number;
	readonly present: number;
	/** What a period of those rows is. */
	readonly period: 'day' | 'week' | 'month';
	/** Times done on each weekday, from Sunday on. */
	readonly byWeekday: readonly number[];
}

/** Met ÷ due, 0 to 1; undefined where nothing was due. */
export function rateOf({ met, due }: Pick<HabitTally, 'met' | 'due'>): number | undefined {
	return due === undefined || due === 0 ? undefined : Math.min(1, met / due);
}

const timesOf = (mark: string | undefined) =>
	mark === undefined || mark === '-' || mark === 'o' ? 0 : mark === 'x' ? 1 : Number(mark);

/** Whether a day's mark is as much as a habit with a threshold asks: ticked, or a number that is. */
function reaches(mark: string | undefined, goal = 1): boolean {
	return mark === 'x' || (mark !== '-' && Number(mark) >= goal);
}

/**
 * How a habit went from one day of the month to another, by its rhythm: daily it is due every day (or as often as its
 * goal says, by the days that are over), several times a day so often each, so many times a week in each week of the month
 * no more often than the week has days there, weekly and monthly once, with a threshold on days that have a value; now and then it
 * is only counted. Days that were
 * marked as not due are not. (Common practice.)
 */
export function habitTally(
	item: Item,
	shape: MonthShape,
	marks: Marks,
	until: number,
	from = 1
): HabitTally {
	const days = Array.from({ length: Math.max(0, until - from + 1) }, (_, at) => from + at);
	const off = (day: number) => marks.days.get(day) === 'o';
	const times = (day: number) => timesOf(marks.days.get(day));
	const byWeekday = [0, 1, 2, 3, 4, 5, 6].map((weekday) =>
		sum(days.filter((day) => weekdayOf(shape, day) === weekday).map(times))
	);
	const weeks = weeksIn(shape, days);
	const doneIn = (week: number, own: readonly number[]) =>
		sum(own.map(times)) + (marks.weeks.get(week) ?? 0);
	const counted = sum(days.map(times)) + sum([...marks.weeks.values()]) + marks.month;
	const byWeek = (wanted: (own: readonly number[]) => number, period: 'week') => {
		const each = [...weeks].map(([week, own]) => {
			const due = wanted(own.filter((day) => !off(day)));
			return { due, met: Math.min(due, doneIn(week, own)) };
		});
		const rows = runsOf(each.filter(({ due }) => due > 0).map(({ due, met }) => met >= due));
		return {
			met: sum(each.map(({ met }) => met)),
			due: sum(each.map(({ due }) => due)),
			...rows,
			period,
			byWeekday
		};
	};
	const byDay = (wanted: number): HabitTally => {
		const due = days.filter((day) => !off(day));
		const rows = runsOf(due.map((day) => times(day) >= wanted));
		return {
			met: sum(due.map((day) => Math.min(wanted, times(day)))),
			due: wanted * due.length,
			...rows,
			period: 'day',
			byWeekday
		};
	};
	switch (rhythmOf(item)) {
		case 'times-a-week':
			return byWeek((own) => Math.min(item.goal ?? 3, own.length), 'week');
		case 'weekly':
			return byWeek((own) => Math.min(1, own.length), 'week');
		case 'monthly': {
			// Before it begins it is not due.
			const due = Math.min(1, days.length);
			const met = Math.min(due, counted);
			return { met, due, longest: met, present: met, period: 'month', byWeekday };
		}
		case 'now-and-then': {
			const rows = runsOf(days.map((day) => times(day) > 0));
			return { met: counted, due: undefined, ...rows, period: 'day', byWeekday };
		}
		case 'times-a-day':
			return byDay(item.goal ?? 2);
		case 'threshold': {
			const told = days.filter((day) => marks.days.has(day) && !off(day));
			const reached = told.map((day) => reaches(marks.days.get(day), item.goal));
			return {
				met: reached.filter(Boolean).length,
				due: told.length,
				...runsOf(reached),
				period: 'day',
				byWeekday
			};
		}
		case 'daily': {
			const every = byDay(1);
			if (item.goal === undefined) return every;
			const due = Math.min(every.due ?? 0, Math.ceil((item.goal * days.length) / shape.days));
			return { ...every, met: Math.min(due, every.met), due };
		}
	}
}

/** Days by the row of the month's grid that they stand in, from 1. */
function weeksIn(shape: MonthShape, days: readonly number[]): Map<number, number[]> {
	const weeks = new Map<number, number[]>();
	for (const day of days) {
		const week = cellOf(shape, day).row + 1;
		weeks.set(week, [...(weeks.get(week) ?? []), day]);
	}
	return weeks;
}

function runsOf(met: readonly boolean[]): { readonly longest: number; readonly present: number } {
	let [longest, present] = [0, 0];
	for (const done of met) {
		present = done ? present + 1 : 0;
		longest = Math.max(longest, present);
	}
	return { longest, present };
}

function sum(values: readonly number[]): number {
	return values.reduce((all, value) => all + value, 0);
}
