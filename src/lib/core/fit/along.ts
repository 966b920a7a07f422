import { cutFault, frontOf, frontsOf, type Cut, type CutFor } from '../cuts';
import { overlaps } from '../paper';
import { ownBlocks, type Plan, type Run } from './plan/plan';
import { planning, type Planning, type WorkLimit } from './planner';
import { PackingCache } from './solve';

/** A run, and the plan that it is of: its cuts lie where the run has what they were planned for. */
export interface Along {
	readonly plan: Plan;
	readonly run: Run;
}

/** A cut that stayed where it was while what it was planned for went elsewhere. */
export interface Strayed {
	readonly cut: Cut;
	/** The first page of what it was planned for; undefined where that has none. */
	readonly page: number | undefined;
}

/** A cut that goes along may send away what it follows: so many times it goes after it, and then no more. */
const mostRounds = 4;

/**
 * Plans as `planning` does, and takes cuts that are not made yet along with what they were planned for: where that has moved
 * by whole leaves the cut does too, and the plan is planned again.
 */
export function* planningAlong(
	plan: Plan,
	cache: PackingCache = new PackingCache(),
	limit?: WorkLimit
): Generator<Planning, Along> {
	let asked = plan;
	for (let round = 0; ; round++) {
		const run = yield* planning(asked, cache, limit);
		const cuts = cutsAlong(asked, run);
		if (cuts === asked.cuts || round === mostRounds) return { plan: asked, run };
		asked = { ...asked, cuts };
	}
}

/** A plan's cuts where its run has what they were planned for; the same list where nothing has moved by whole leaves. */
export function cutsAlong(plan: Plan, run: Run): readonly Cut[] | undefined {
	const { cuts } = plan;
	const moved = cuts?.map((cut) => {
		const by = movedBy(plan, run, cut);
		return by !== undefined && by !== 0 && by % 2 === 0 ? shifted(cut, by) : cut;
	});
	return moved?.some((cut, at) => cut !== cuts?.[at]) ? moved : cuts;
}

/** Cuts that stayed: what they were planned for lies on the other side of a leaf now, or nowhere, or their leaves are drawn on. */
export function strayedCuts(plan: Plan, run: Run): Strayed[] {
	return (plan.cuts ?? []).flatMap((cut): Strayed[] => {
		if (!cut.for || cut.made) return [];
		const page = firstPage(run, cut.for.wish);
		return page === cut.for.page ? [] : [{ cut, page }];
	});
}

/** What a cut is for where a run has it: the wish that takes most of its leaves. */
export function cutFor(run: Run, cut: Cut): CutFor | undefined {
	const pages = new Set(frontsOf(cut).flatMap((front) => [front, front + 1]));
	const taken = new Map<string, number>();
	for (const { wish, pieces } of ownBlocks(run))
		for (const { page, rect } of pieces) {
			const isMeant =
				cut.kind !== 'window' || !cut.rect || page !== cut.leaves.first || overlaps(rect, cut.rect);
			if (pages.has(page) && isMeant) taken.set(wish, (taken.get(wish) ?? 0) + rect.w * rect.h);
		}
	const [most] = [...taken].sort(([, a], [, b]) => b - a);
	const page = most && firstPage(run, most[0]);
	return most && page !== undefined ? { wish: most[0], page } : undefined;
}

/** By how many pages that has moved which a cut was planned for; undefined where the cut stays in any case. */
function movedBy({ notebook, drawn }: Plan, run: Run, cut: Cut): number | undefined {
	if (!cut.for || cut.made) return undefined;
	// Paper that something is drawn on stays as it is.
	const isDrawn = drawn?.pages.some((page) => frontsOf(cut).includes(frontOf(page)));
	const page = firstPage(run, cut.for.wish);
	if (isDrawn || page === undefined) return undefined;
	const by = page - cut.for.page;
	return cutFault(notebook, shifted(cut, by)) ? undefined : by;
}

function shifted(cut: Cut, by: number): Cut {
	const { first, last } = cut.leaves;
	return {
		...cut,
		leaves: { first: first + by, last: last + by },
		...(cut.for ? { for: { ...cut.for, page: cut.for.page + by } } : {})
	};
}

function firstPage(run: Run, wish: string): number | undefined {
	const pages = ownBlocks(run)
		.filter((block) => block.wish === wish)
		.flatMap(({ pieces }) => pieces.map(({ page }) => page));
	return pages.length > 0 ? Math.min(...pages) : undefined;
}

/** The run of a plan with the cuts that go along, at once. */
export function runAlong(plan: Plan, cache?: PackingCache): Along {
	const all = planningAlong(plan, cache);
	let state = all.next();
	while (!state.done) state = all.next();
	return state.value;
}
