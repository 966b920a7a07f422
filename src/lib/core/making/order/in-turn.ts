import { cutOrder, frontOf, frontsOf, type Cut } from '../../cuts';
import { cutsOf, type Plan } from '../../fit';
import { bestOrder, type Ordered } from './order';
import type { PassId } from '../means/passes';
import type { Task } from './rules';
import { problemOf, type SpreadWork, type Workshop } from './spread-work';

/** A spread, or a part of one that is too long for a sitting, in the order in which it is done first; or cuts of one set. */
export interface WorkPiece {
	readonly left: number;
	readonly tasks: readonly Task[];
	readonly ordered: Ordered;
	readonly neededBy: string;
	/** Which part of how many; missing where the spread is done in one go. */
	readonly part?: readonly [number, number];
	/** Leaves that are cut in it, by their fronts, and nothing else is done. */
	readonly cuts?: readonly number[];
}

/** A hand that ruled or coloured for so long rests for so long, in seconds (common practice). */
export const handTires = 25 * 60;
export const handRests = 5 * 60;

/** Passes that tire a hand. */
const tiring: readonly PassId[] = ['tint', 'rule', 'picture'];

export const isTiring = ({ pass }: Task) => tiring.includes(pass);

/** Seconds of a piece with its share of the hand's rests: pieces one after the other never take more than these together. */
export function withRests({ tasks, ordered }: Pick<WorkPiece, 'tasks' | 'ordered'>): number {
	const worked = tasks.filter(isTiring).reduce((sum, { seconds }) => sum + seconds, 0);
	return ordered.end + Math.ceil((worked * handRests) / handTires);
}

/** A piece of work, and the places of those before it that must be done first, in whatever evening. */
export interface Turn {
	readonly piece: WorkPiece;
	readonly after: readonly number[];
}

/**
 * Spreads, given in the order in which they are needed, as pieces of work that each fit into `most` seconds. Leaves are cut before anything is drawn
 * on either side of them, a set in one go and a waterfall from its last leaf backwards; what shows through a window is drawn before
 * it is cut, and its own page last. (Common practice.)
 */
export function inTurn(
	plan: Plan,
	spreads: readonly SpreadWork[],
	workshop: Workshop,
	most: number
): Turn[] {
	const cuts = cutsOf(plan);
	const cutTasks = new Map(
		spreads.flatMap(({ tasks }) =>
			tasks.flatMap((task) => (task.pass === 'cut' ? [[task.page, task] as const] : []))
		)
	);
	const sets = cutSets(plan, cuts).flatMap((set) => {
		const tasks = set.fronts.flatMap((front) => cutTasks.get(front) ?? []);
		return tasks.length > 0 ? [{ ...set, tasks }] : [];
	});
	const windows = new Set(sets.flatMap(({ window, fronts }) => (window ? fronts : [])));
	/** Pages that show through a window, and so are drawn before it is cut. */
	const beneath = new Set(
		[...windows].map((front) => front + 2).filter((page) => !windows.has(page))
	);
	const drawn = spreads.flatMap((spread) => parted(spread, beneath, workshop, most));
	const isOn = ({ tasks }: WorkPiece, pages: ReadonlySet<number>) =>
		tasks.some(({ page }) => pages.has(page));
	const first = ({ neededBy: a }: WorkPiece, { neededBy: b }: WorkPiece) => a.localeCompare(b);

	const turns: Turn[] = [];
	const put = (piece: WorkPiece): void => {
		if (turns.some((turn) => turn.piece === piece)) return;
		const after = needs(piece);
		for (const other of after) put(other);
		turns.push({
			piece,
			after: after.map((other) => turns.findIndex((turn) => turn.piece === other))
		});
	};
	const cutPieces = sets.map(
		({ fronts, window, tasks }): { piece: WorkPiece; sides: Set<number>; shows: Set<number> } => {
			const sides = new Set(fronts.flatMap((front) => [front, front + 1]));
			const shows = new Set(
				window ? fronts.map((front) => front + 2).filter((page) => beneath.has(page)) : []
			);
			const those = drawn.filter((piece) => isOn(piece, sides) || isOn(piece, shows));
			return {
				sides,
				shows,
				piece: {
					left: frontOf(tasks[0]?.page ?? 1) - 1,
					tasks,
					ordered: bestOrder(inThisOrder(tasks)),
					neededBy: those.toSorted(first)[0]?.neededBy ?? '',
					cuts: tasks.map(({ page }) => page)
				}
			};
		}
	);
	function needs(piece: WorkPiece): WorkPiece[] {
		const own = cutPieces.find((cut) => cut.piece === piece);
		if (own) return drawn.filter((other) => isOn(other, own.shows) && !isOn(other, own.sides));
		const cut = cutPieces.filter(({ sides }) => isOn(piece, sides)).map((one) => one.piece);
		const part = piece.part?.[0] ?? 1;
		const before = drawn.filter(
			(other) => part > 1 && other.left === piece.left && other.part?.[0] === part - 1
		);
		return [...cut, ...before];
	}
	for (const piece of [...drawn, ...cutPieces.map((cut) => cut.piece)].toSorted(first)) put(piece);
	return turns;
}

/** Leaves that are cut in one go, by their fronts in the order in which they are cut; a leaf with a window by its window. */
function cutSets(
	plan: Plan,
	cuts: readonly Cut[]
): { readonly fronts: readonly number[]; readonly window: boolean }[] {
	const order = cutOrder(plan.notebook, cuts);
	const windows = new Set(cuts.flatMap((cut) => (cut.kind === 'window' ? frontsOf(cut) : [])));
	const seen = new Set<number>();
	return [...new Set(order.map(({ cut }) => cut))].flatMap((cut) => {
		const all = order.filter((step) => step.cut === cut).map(({ front }) => front);
		const fresh = [...new Set(all)].filter((front) => !seen.has(front));
		for (const front of fresh) seen.add(front);
		return [true, false].flatMap((window) => {
			const fronts = fresh.filter((front) => windows.has(front) === window);
			return fronts.length > 0 ? [{ fronts, window }] : [];
		});
	});
}

/** Tasks one after the other as they come. */
function inThisOrder(tasks: readonly Task[]) {
	return {
		jobs: tasks.map(({ seconds }) => ({ length: seconds, tail: 0 })),
		delays: tasks.slice(1).map((_, at) => ({ from: at, to: at + 1, least: 0 }))
	};
}

/** A spread without its cuts, what shows through a window apart from what is on the back of it, in parts that fit. */
function parted(
	spread: SpreadWork,
	beneath: ReadonlySet<number>,
	workshop: Workshop,
	most: number
): WorkPiece[] {
	const tasks = spread.tasks.filter(({ pass }) => pass !== 'cut');
	const groups = [
		tasks.filter(({ page }) => beneath.has(page)),
		tasks.filter(({ page }) => !beneath.has(page))
	].filter((group) => group.length > 0);
	return groups.flatMap((group) => {
		const problem = problemOf(group, workshop);
		return torn({ ...spread, tasks: group, problem, ordered: bestOrder(problem) }, workshop, most);
	});
}

/** A spread in parts that each fit into a sitting, torn as seldom as possible and only between two tasks. */
function torn(spread: SpreadWork, workshop: Workshop, most: number): WorkPiece[] {
	const { left, tasks, ordered, neededBy } = spread;
	if (withRests(spread) <= most) return [{ left, tasks, ordered, neededBy }];
	const inOrder = ordered.order.flatMap(({ job }) => tasks[job] ?? []);
	const parts: { tasks: Task[]; ordered: Ordered }[] = [];
	for (const task of inOrder) {
		const last = parts.at(-1);
		const longer = [...(last?.tasks ?? []), task];
		const whole = bestOrder(problemOf(longer, workshop));
		if (last && withRests({ tasks: longer, ordered: whole }) <= most)
			parts[parts.length - 1] = { tasks: longer, ordered: whole };
		else parts.push({ tasks: [task], ordered: bestOrder(problemOf([task], workshop)) });
	}
	return parts.map((part, index) => ({
		left,
		...part,
		neededBy,
		...(parts.length > 1 ? { part: [index + 1, parts.length] as const } : {})
	}));
}
