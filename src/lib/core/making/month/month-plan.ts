import type { Plan, Run } from '../../fit';
import { formatMonth } from '../../month';
import { sittingsIn, type Evenings, type Sitting } from '../means/evenings';
import {
	handRests,
	handTires,
	inTurn,
	isTiring,
	withRests,
	type WorkPiece
} from '../order/in-turn';
import type { Task } from '../order/rules';
import { seat, type Piece } from './sittings';
import { monthWork, type Workshop } from '../order/spread-work';

/** A task of a sitting with its times, in seconds from the sitting's beginning. */
export interface Step {
	readonly task: Task;
	readonly start: number;
	readonly end: number;
	/** How long is waited before it because something dries. */
	readonly wait: number;
	/** How long the hand rests while it is done: it may be begun before and gone on with after. */
	readonly rest: number;
}

/** A sitting with its work. */
export interface PlannedSitting extends Sitting {
	readonly pieces: readonly WorkPiece[];
	/** All of it in order. */
	readonly steps: readonly Step[];
	/** From its beginning until all is dry, waits and rests included. */
	readonly seconds: number;
	/** Some of it is needed before. */
	readonly late: boolean;
}

/** All sittings of a month. */
export interface MakingPlan {
	/** Those that are needed, in order. */
	readonly sittings: readonly PlannedSitting[];
	/** What has no place in any sitting. */
	readonly unseated: readonly WorkPiece[];
	/** Work, waiting and rests of all that is left to do. */
	readonly seconds: number;
	readonly proven: boolean;
}

/** Sittings beyond those that the work would fill are offered besides, to choose among. */
const spareSittings = 4;

/**
 * Gives what is still to be drawn of a month to the evenings that a person has from `today` on; `moved` says on which day a
 * person wants a spread, by its left page.
 */
export function makingPlan(
	plan: Plan,
	run: Run,
	workshop: Workshop,
	evenings: Evenings,
	today: string,
	moved: Readonly<Record<string, string>> = {}
): MakingPlan {
	const most = evenings.minutes * 60;
	const spreads = monthWork(plan, run, workshop).toSorted(
		(a, b) => a.neededBy.localeCompare(b.neededBy) || a.left - b.left
	);
	const pieces = inTurn(plan, spreads, workshop, most);
	const seconds = pieces.reduce((sum, { piece }) => sum + withRests(piece), 0);
	const all = sittingsIn(evenings, formatMonth(plan.month), today);
	const last = spreads.at(-1)?.neededBy ?? '';
	const wanted = Math.ceil(seconds / most) + spareSittings;
	const days = new Set(Object.values(moved));
	const offered = all.filter(({ day }, index) => index < wanted || day < last || days.has(day));
	const asked = pieces.map(({ piece, after }): Piece => {
		const { left, neededBy, part, cuts } = piece;
		const only = part || cuts ? -1 : offered.findIndex(({ day }) => day === moved[left]);
		return {
			seconds: withRests(piece),
			latest: offered.findLastIndex(({ day }) => day < neededBy),
			...(after.length > 0 ? { after } : {}),
			...(only >= 0 ? { only } : {})
		};
	});
	const { at, proven } = seat(
		asked,
		offered.map(({ minutes }) => minutes * 60)
	);
	const sittings = offered.flatMap((sitting, index): PlannedSitting[] => {
		const here = pieces.flatMap(({ piece }, place) => (at[place] === index ? [piece] : []));
		if (here.length === 0) return [];
		const late = here.some(({ neededBy }) => neededBy <= sitting.day);
		return [{ ...sitting, pieces: here, ...stepsOf(here), late }];
	});
	const unseated = pieces.flatMap(({ piece }, place) => (at[place] === undefined ? [piece] : []));
	const sum = (some: readonly { readonly seconds: number }[]) =>
		some.reduce((all, one) => all + one.seconds, 0);
	return {
		sittings,
		unseated,
		seconds: sum(sittings) + sum(unseated.map((piece) => stepsOf([piece]))),
		proven
	};
}

/** Seconds that are left of a sitting, waits and rests included, once some of its tasks are done. */
export function secondsLeft(
	{ steps, seconds }: Pick<PlannedSitting, 'steps' | 'seconds'>,
	isDone: (task: Task) => boolean
): number {
	const next = steps.findIndex(({ task }) => !isDone(task));
	return next < 0 ? 0 : seconds - (steps[next - 1]?.end ?? 0);
}

/** The tasks of some pieces one after the other, with what is waited and rested in between. */
function stepsOf(pieces: readonly WorkPiece[]): { steps: readonly Step[]; seconds: number } {
	const steps: Step[] = [];
	let [now, worked] = [0, 0];
	for (const { tasks, ordered } of pieces) {
		let late = now;
		let before = 0;
		for (const { job, start, end } of ordered.order) {
			const task = tasks[job];
			if (!task) continue;
			const wait = start - before;
			if (wait >= handRests) worked = 0;
			if (isTiring(task)) worked += task.seconds;
			const rests = Math.max(0, Math.ceil(worked / handTires) - 1);
			worked -= rests * handTires;
			const rest = rests * handRests;
			steps.push({ task, start: late + start, end: late + end + rest, wait, rest });
			late += rest;
			before = end;
		}
		now = late + ordered.end;
	}
	return { steps, seconds: now };
}
