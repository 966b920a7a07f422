import { frontsOf } from '../cuts';
import { cutsOf, type Plan, type Run } from '../fit';
import { formatMonth } from '../month';
import { sittingsIn, type Evenings, type Sitting } from './evenings';
import { bestOrder, type Ordered } from './order';
import type { Task } from './rules';
import { seat, type Piece } from './sittings';
import { monthWork, problemOf, type SpreadWork, type Workshop } from './spread-work';

/** A spread, or a part of one that is too long for a sitting, in the order in which it is done first. */
export interface WorkPiece {
	readonly left: number;
	readonly tasks: readonly Task[];
	readonly ordered: Ordered;
	readonly neededBy: string;
	/** Which part of how many; missing where the spread is done in one go. */
	readonly part?: readonly [number, number];
}

/** A sitting with its work. */
export interface PlannedSitting extends Sitting {
	readonly pieces: readonly WorkPiece[];
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
	/** Work and waiting of all that is left to do. */
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
	const sorted = monthWork(plan, run, workshop).toSorted(
		(a, b) => a.neededBy.localeCompare(b.neededBy) || a.left - b.left
	);
	const windows = windowSpreads(plan);
	const work = windows.reduce(withBeneathFirst, sorted);
	const parts = work.map((spread) => torn(spread, workshop, most));
	const pieces = parts.flat();
	const seconds = pieces.reduce((sum, { ordered }) => sum + ordered.end, 0);
	const all = sittingsIn(evenings, formatMonth(plan.month), today);
	const last = work.at(-1)?.neededBy ?? '';
	const wanted = Math.ceil(seconds / most) + spareSittings;
	const days = new Set(Object.values(moved));
	const offered = all.filter(({ day }, index) => index < wanted || day < last || days.has(day));
	const asked = pieces.map(({ left, ordered, neededBy, part }, index): Piece => {
		const beneath = windows.includes(left)
			? pieces.findLastIndex((other) => other.left === left + 2)
			: -1;
		const after = part && part[0] > 1 ? index - 1 : beneath;
		const only = part ? -1 : offered.findIndex(({ day }) => day === moved[left]);
		return {
			seconds: ordered.end,
			latest: offered.findLastIndex(({ day }) => day < neededBy),
			...(after >= 0 ? { after } : {}),
			...(only >= 0 ? { only } : {})
		};
	});
	const { at, proven } = seat(
		asked,
		offered.map(({ minutes }) => minutes * 60)
	);
	const sittings = offered.flatMap((sitting, index): PlannedSitting[] => {
		const here = pieces.filter((_, piece) => at[piece] === index);
		if (here.length === 0) return [];
		const sum = here.reduce((all, { ordered }) => all + ordered.end, 0);
		const late = here.some(({ neededBy }) => neededBy <= sitting.day);
		return [{ ...sitting, pieces: here, seconds: sum, late }];
	});
	const unseated = pieces.filter((_, piece) => at[piece] === undefined);
	return { sittings, unseated, seconds, proven };
}

/** Left pages of the spreads on whose right page a window is cut; it shows the next spread. */
function windowSpreads(plan: Plan): number[] {
	const fronts = cutsOf(plan).flatMap((cut) => (cut.kind === 'window' ? frontsOf(cut) : []));
	return [...new Set(fronts)].map((front) => front - 1).sort((a, b) => b - a);
}

/** Spreads with one that has a window behind the one that it shows: that is drawn first. (Common practice.) */
function withBeneathFirst(work: readonly SpreadWork[], left: number): SpreadWork[] {
	const upper = work.find((spread) => spread.left === left);
	const beneath = work.find((spread) => spread.left === left + 2);
	if (!upper || !beneath) return [...work];
	const neededBy = upper.neededBy < beneath.neededBy ? upper.neededBy : beneath.neededBy;
	const both = [{ ...beneath, neededBy }, upper];
	const at = Math.min(work.indexOf(upper), work.indexOf(beneath));
	const others = work.filter((spread) => spread !== upper && spread !== beneath);
	return others.toSpliced(at, 0, ...both);
}

/** A spread in parts that each fit into a sitting, torn as seldom as possible and only between two tasks. */
function torn(spread: SpreadWork, workshop: Workshop, most: number): WorkPiece[] {
	const { left, tasks, ordered, neededBy } = spread;
	if (ordered.end <= most) return [{ left, tasks, ordered, neededBy }];
	const inOrder = ordered.order.flatMap(({ job }) => tasks[job] ?? []);
	const parts: { tasks: Task[]; ordered: Ordered }[] = [];
	for (const task of inOrder) {
		const last = parts.at(-1);
		const longer = [...(last?.tasks ?? []), task];
		const whole = bestOrder(problemOf(longer, workshop));
		if (last && whole.end <= most) parts[parts.length - 1] = { tasks: longer, ordered: whole };
		else parts.push({ tasks: [task], ordered: bestOrder(problemOf([task], workshop)) });
	}
	return parts.map((part, index) => ({
		left,
		...part,
		neededBy,
		...(parts.length > 1 ? { part: [index + 1, parts.length] as const } : {})
	}));
}
