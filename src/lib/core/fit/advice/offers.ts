import type { Wish } from '../../wish';
import { kindOf } from '../choices/choices';
import { planning, type WorkLimit } from '../planner';
import type { Plan, Run } from '../plan/plan';
import { summaryOf, type Summary } from '../plan/summary';
import { openingOf } from '../problem/opening-page';
import type { PackingCache } from '../solve';

/** A change that makes a run better and that nobody asked for: it is offered with what it does, never done. */
export interface Offer {
	/** What is changed, such as “Move Letters after Cover”. */
	readonly text: string;
	readonly change: Partial<Pick<Plan, 'sizes' | 'wishes'>>;
	readonly summary: Summary;
}

/** Longer lists are not tried wish by wish: each try is a run of its own. */
const mostMoved = 40;
/** A try that is not settled by then counts as it stands. */
const workOfTry: WorkLimit = { all: 0, search: 40_000 };

/** The run with every size tried, and what it would make better; nothing where all are tried already. */
export function* everySize(
	plan: Plan,
	run: Run,
	cache: PackingCache
): Generator<unknown, { readonly optimal: boolean; readonly offer?: Offer }> {
	if (run.sizes === 'every') return { optimal: run.optimal };
	const tried = yield* planning({ ...plan, sizes: 'every' }, cache);
	const [own, summary] = [summaryOf(run), summaryOf(tried)];
	if (gainOf(own, summary) === undefined) return { optimal: tried.optimal };
	return {
		optimal: tried.optimal,
		offer: { text: 'Other sizes', change: { sizes: 'every' }, summary }
	};
}

/**
 * The one wish that saves most pages where it stands elsewhere in the list, and the list with it there. Each is let move freely
 * first; where that helps, the run of the list that comes of it is the proof.
 */
export function* otherOrder(
	plan: Plan,
	run: Run,
	cache: PackingCache
): Generator<unknown, Offer | undefined> {
	const opening = openingOf(plan)?.id;
	const own = summaryOf(run);
	let best: Offer | undefined;
	const mayMove = ({ id, pin, facing, weeks, filler }: Wish) =>
		id !== opening && !pin && facing === undefined && !weeks && !filler;
	if (plan.wishes.length > mostMoved) return undefined;
	for (const wish of plan.wishes.filter(mayMove)) {
		const wishes = plan.wishes.map((other) => (other === wish ? { ...wish, filler: true } : other));
		const free = yield* planning({ ...plan, wishes, sizes: 'usual' }, cache, workOfTry);
		if (free.pagesUsed >= (best?.summary ?? own).pagesUsed) continue;
		const moved = placedAs(plan.wishes, wish, free);
		if (!moved) continue;
		const tried = yield* planning({ ...plan, wishes: moved.wishes }, cache);
		const summary = summaryOf(tried);
		if (summary.leftOut > own.leftOut || summary.pagesUsed >= (best?.summary ?? own).pagesUsed)
			continue;
		const after = moved.after ? `after ${nameOf(moved.after)}` : 'to the top of the list';
		best = { text: `Move ${nameOf(wish)} ${after}`, change: { wishes: moved.wishes }, summary };
	}
	return best;
}

/** The list with a wish behind the last one that lies before it in a run, where that is another place than its own. */
function placedAs(
	wishes: readonly Wish[],
	wish: Wish,
	{ blocks }: Run
): { readonly wishes: readonly Wish[]; readonly after?: Wish } | undefined {
	const first = (id: string) => blocks.find((block) => block.wish === id)?.pieces[0].page;
	const page = first(wish.id);
	if (page === undefined) return undefined;
	const rest = wishes.filter((other) => other !== wish);
	const at = rest.findLastIndex(({ id }) => (first(id) ?? Infinity) <= page) + 1;
	const after = rest[at - 1];
	if (wishes.indexOf(wish) === at) return undefined;
	return { wishes: rest.toSpliced(at, 0, wish), ...(after ? { after } : {}) };
}

/** What of a run is better than of another, most important first; nothing where none is. */
export function gainOf(
	before: Summary,
	after: Summary
):
	| { readonly leftOut: number }
	| { readonly pages: number }
	| { readonly comfort: number }
	| undefined {
	const leftOut = before.leftOut - after.leftOut;
	const pages = before.pagesUsed - after.pagesUsed;
	const comfort = before.discomfort - after.discomfort;
	if (leftOut > 0) return { leftOut };
	if (leftOut < 0) return undefined;
	if (pages > 0) return { pages };
	return comfort > 0 ? { comfort } : undefined;
}

function nameOf(wish: Wish): string {
	return wish.title || kindOf(wish).name;
}
