import type { Goal, PlannedEvent } from '../forms';
import { weekdayOf, type MonthShape } from '../month';

/** Minutes that one has for goals on each day of a month, the 1st first. */
export type Bandwidth = readonly number[];

/** Words in an event’s time that say that it takes the whole day. */
const wholeDay = /^(all day|whole day)$/i;

/**
 * The time for goals on each day, from hours on each weekday (Sunday first); a day that an event takes as a whole has none.
 */
export function bandwidthOf(
	weekly: readonly number[],
	shape: MonthShape,
	events: readonly PlannedEvent[] = []
): Bandwidth {
	const taken = new Set(
		events.flatMap(({ day, time }) => (time && wholeDay.test(time.trim()) ? [day] : []))
	);
	return Array.from({ length: shape.days }, (_, at) => {
		const hours = taken.has(at + 1) ? 0 : (weekly[weekdayOf(shape, at + 1)] ?? 0);
		return Math.round(60 * hours);
	});
}

/** Minutes that a goal takes; none where nobody said. */
export function minutesOf({ hours = 0 }: Goal): number {
	return Math.round(60 * hours);
}

/** Days from one to another in which more is to be done than there is time for. */
export interface Overload {
	readonly from: number;
	readonly to: number;
	/** Minutes that goals ask which lie wholly in these days. */
	readonly wanted: number;
	readonly there: number;
}

/**
 * All stretches of days that are too full, but for those that hold a shorter one that is. Goals that may be done in any
 * portions on their days can all be met if and only if there is no such stretch (Hall's condition for intervals; any text
 * on preemptive scheduling with release times and deadlines).
 */
export function overloads(goals: readonly Goal[], bandwidth: Bandwidth): Overload[] {
	const all = fullStretches(goals, bandwidth);
	return all.filter(
		(one) => !all.some((other) => other !== one && one.from <= other.from && other.to <= one.to)
	);
}

/** All stretches of days that are too full, from the start of one goal to the end of one. */
export function fullStretches(goals: readonly Goal[], bandwidth: Bandwidth): Overload[] {
	const starts = [...new Set(goals.map(({ from }) => from))].sort((a, b) => a - b);
	const ends = [...new Set(goals.map(({ to }) => to))].sort((a, b) => a - b);
	return starts.flatMap((from) =>
		ends.flatMap((to): Overload[] => {
			if (to < from) return [];
			const inside = goals.filter((goal) => from <= goal.from && goal.to <= to);
			const wanted = sum(inside.map(minutesOf));
			const there = sum(bandwidth.slice(from - 1, to));
			return wanted > there ? [{ from, to, wanted, there }] : [];
		})
	);
}

/** What is done of goals, day by day, and what is left of each when its days are over. */
export interface Work {
	/** Minutes of each goal on each day, in the order of the goals. */
	readonly days: readonly (readonly number[])[];
	readonly unmet: readonly number[];
}

/**
 * Goals worked off as early as their days and the time allow, always the one first that ends first: that meets all of them
 * wherever that can be done (earliest deadline first; Horn 1974, from memory).
 */
export function workedOff(goals: readonly Goal[], bandwidth: Bandwidth): Work {
	const left = goals.map(minutesOf);
	const first = goals.map((_, at) => at).sort((a, b) => (goals[a]?.to ?? 0) - (goals[b]?.to ?? 0));
	const days = bandwidth.map((minutes, at) => {
		let free = minutes;
		const done = goals.map(() => 0);
		for (const index of first) {
			const goal = goals[index];
			if (!goal || goal.from > at + 1 || goal.to < at + 1) continue;
			const part = Math.min(free, left[index] ?? 0);
			done[index] = part;
			left[index] = (left[index] ?? 0) - part;
			free -= part;
		}
		return done;
	});
	return { days, unmet: left };
}

function sum(values: readonly number[]): number {
	return values.reduce((all, value) => all + value, 0);
}
