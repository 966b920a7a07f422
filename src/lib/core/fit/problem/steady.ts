import type { Wish } from '../../wish';
import { isFiller, mayFace } from '../choices/choices';
import { ownBlocks, type Block, type Plan, type Run } from '../plan/plan';

/** More wishes than these are not tried to be held. */
const mostTries = 12;

/**
 * Of nearly equally good runs one in which fewer wishes have left the page where they lay lately: each that has left it is
 * held there, and stays held where the run costs at most `near` more, has the same pages and leaves out nothing else, and
 * everything keeps its order. `solve` works a plan out: its run and its price. Fillers and what faces another go where the
 * rest lets them.
 */
export function* steadied<T>(
	plan: Plan,
	found: Priced,
	near: number,
	solve: (plan: Plan) => Generator<T, Priced>
): Generator<T, Run> {
	let best = found;
	let held = plan;
	let tries = 0;
	for (const { wish, page } of plan.lately ?? []) {
		const own = plan.wishes.find(({ id }) => id === wish);
		if (!own || !isLoose(plan, own)) continue;
		const now = ownBlocks(best.run).find((block) => block.wish === wish);
		if (!now || now.pieces[0].page === page) continue;
		if (tries++ === mostTries) break;
		const wishes = held.wishes.map((other) =>
			other.id === wish ? { ...other, pin: { page } } : other
		);
		const tried = yield* solve({ ...held, wishes });
		if (tried.cost > found.cost + near || !inOrder(plan, tried.run)) continue;
		if (pagesOf(tried.run) !== pagesOf(found.run)) continue;
		best = tried;
		held = { ...held, wishes };
	}
	return held === plan ? best.run : asAsked(plan, best.run);
}

/** Pages of a run and what it leaves out, to be compared. */
function pagesOf({ pagesUsed, unplaced }: Run): string {
	return [pagesUsed, ...unplaced.map(({ wish, part }) => `${wish} ${part}`)].join('\n');
}

/** A run with the price that the planner gives it. */
export interface Priced {
	readonly cost: number;
	readonly run: Run;
}

/** Whether nothing but its place in the list says where a wish stands. */
function isLoose(plan: Plan, wish: Wish): boolean {
	// Who is to be faced may be gone, and what is on both pages or on many faces nothing.
	const faced =
		mayFace(wish) &&
		plan.wishes.some(
			(other) =>
				other.id !== wish.id &&
				mayFace(other) &&
				(other.id === wish.facing || other.facing === wish.id)
		);
	return !wish.pin && !wish.weeks && !faced && !isFiller(plan, wish);
}

/** Whether loose wishes still stand in the order of the list. */
function inOrder(plan: Plan, run: Run): boolean {
	const pages = plan.wishes.flatMap((wish) => {
		const block = ownBlocks(run).find((own) => own.wish === wish.id);
		return block && isLoose(plan, wish) ? [block.pieces[0].page] : [];
	});
	return pages.every((page, at) => at === 0 || page >= (pages[at - 1] ?? 0));
}

/** The run without the pins that only held wishes while it was looked for. */
function asAsked(plan: Plan, run: Run): Run {
	const pinned = new Set(plan.wishes.filter(({ pin }) => pin).map(({ id }) => id));
	const free = (block: Block): Block => {
		const { pin, ...as } = block.as;
		return pin && !pinned.has(block.wish) ? { ...block, as } : block;
	};
	return { ...run, blocks: run.blocks.map(free) };
}
