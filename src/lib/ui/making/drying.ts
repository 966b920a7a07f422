import {
	dryingOf,
	handRests,
	handTires,
	isInked,
	type MakingPlan,
	type OrderProblem,
	type Shelf,
	type Task,
	type WorkPiece
} from '$lib/core/making';

/** Something wet on a page, and how many seconds it stays so. */
export interface Wet {
	readonly task: Task;
	readonly left: number;
}

/** What stays wet longest on each page now, the first to dry first: until then the page is not turned. */
export function wetNow(
	{ sittings }: MakingPlan,
	done: Readonly<Record<string, number>>,
	shelf: Shelf,
	now: number
): Wet[] {
	const wet = sittings
		.flatMap(({ pieces }) => pieces.flatMap(({ tasks }) => tasks))
		.flatMap((task): Wet[] => {
			const at = done[task.id];
			if (at === undefined || !isInked(task.pass)) return [];
			const left = Math.ceil((at - now) / 1000) + dryingOf(shelf, task.pass).touch;
			return left > 0 ? [{ task, left }] : [];
		})
		.sort((a, b) => b.left - a.left);
	return wet
		.filter(({ task }, at) => wet.findIndex((other) => other.task.page === task.page) === at)
		.reverse();
}

/** Seconds until a task of a piece may be begun, and what it waits for. */
export function waitFor(
	{ tasks, ordered: { order } }: WorkPiece,
	{ delays, jobs }: OrderProblem,
	task: Task,
	done: Readonly<Record<string, number>>,
	now: number
): Wet | undefined {
	const own = tasks.indexOf(task);
	const waits = order.flatMap(({ job }): Wet[] => {
		const before = tasks[job];
		const at = before && done[before.id];
		const { place, tail = 0 } = jobs[job] ?? {};
		const clear = jobs[own]?.clear;
		const across = clear !== undefined && clear === place ? tail : 0;
		const delay = delays.find(({ from, to }) => from === job && to === own)?.least ?? 0;
		const least = Math.max(delay, across);
		if (!before || at === undefined || !least) return [];
		const left = Math.ceil((at - now) / 1000) + least;
		return left > 0 ? [{ task: before, left }] : [];
	});
	return waits.sort((a, b) => b.left - a.left)[0];
}

/** Seconds that a hand should rest now: it worked too long without a pause. */
export function restFor(
	{ sittings }: MakingPlan,
	done: Readonly<Record<string, number>>,
	now: number
): number {
	const ticked = sittings
		.flatMap(({ pieces }) => pieces.flatMap(({ tasks }) => tasks))
		.flatMap(({ id, seconds }) => {
			const at = done[id];
			return at === undefined ? [] : [{ at: at / 1000, seconds }];
		})
		.sort((a, b) => b.at - a.at);
	let worked = 0;
	for (const [index, { at, seconds }] of ticked.entries()) {
		worked += seconds;
		const before = ticked[index + 1]?.at ?? -Infinity;
		if (at - seconds - before >= handRests) break;
	}
	const rested = now / 1000 - (ticked[0]?.at ?? -Infinity);
	return worked >= handTires ? Math.max(0, Math.ceil(handRests - rested)) : 0;
}

/** "2:05" of 125 seconds. */
export function clockWords(seconds: number): string {
	return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** "30 s", "45 min", "1 h 10 min". */
export function minuteWords(seconds: number): string {
	if (seconds < 45) return `${Math.round(seconds)} s`;
	const minutes = Math.max(1, Math.round(seconds / 60));
	const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
	if (hours === 0) return `${minutes} min`;
	return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}
