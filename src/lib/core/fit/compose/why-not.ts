import { allWishes, hostOf, type Wish } from '../../wish';
import { kindOf } from '../choices/choices';
import type { Plan, Run, Unplaced } from '../plan/plan';
import { leastSize, noPlace } from './reasons';
import { isCrowded } from './seated';

/** So many refusals are proved; of the others no cause is named. */
const mostProved = 12;

/** A cause that may keep something from its place: the plan without it, and how it is told. */
interface Cause {
	readonly without: Plan;
	readonly says: string;
}

/**
 * A run with the true causes of what found no place for others: each is proved by a run without it, in which the wish has its place
 * and nothing else has lost its own. `tried` plans a little; no more is tried once `enough` says so, and what is not proved has no
 * cause named.
 */
export function* explained<T>(
	plan: Plan,
	run: Run,
	tried: (plan: Plan) => Generator<T, Run>,
	enough: () => boolean
): Generator<T, Run> {
	const proved = new Map<string, string>();
	const lost = (other: Run, id: string) => other.unplaced.filter(({ wish }) => wish === id).length;
	const open = [
		...new Set(run.unplaced.flatMap(({ wish, reason }) => (reason === noPlace ? [wish] : [])))
	];
	for (const id of open.slice(0, mostProved)) {
		const wish = plan.wishes.find((one) => one.id === id);
		if (!wish) continue;
		for (const { without, says } of causes(plan, run, wish)) {
			if (enough()) break;
			const other = yield* tried(without);
			const better = lost(other, id) < lost(run, id);
			if (!better || other.unplaced.length >= run.unplaced.length) continue;
			proved.set(id, says);
			break;
		}
	}
	for (const { wish: id, reason } of run.unplaced.slice(0, mostProved)) {
		const host = hostOf(plan.wishes, id);
		if (!host || !isCrowded(reason) || enough()) continue;
		const other = yield* tried({ ...plan, wishes: plan.wishes.map((one) => onlyFor(one, id)) });
		if (lost(other, id) > 0) proved.set(id, `${nameOf(host)} has no room for it, even by itself`);
	}
	if (proved.size === 0) return run;
	return {
		...run,
		unplaced: run.unplaced.map((one): Unplaced => {
			const told = one.reason === noPlace || isCrowded(one.reason);
			const reason = told ? proved.get(one.wish) : undefined;
			return reason === undefined ? one : { ...one, reason };
		})
	};
}

/** A wish that holds another one, deep down or not, with no other members beside it. */
function onlyFor(wish: Wish, id: string): Wish {
	const { members } = wish;
	if (!members || !allWishes(members).some((member) => member.id === id)) return wish;
	const kept = members.filter((member) => allWishes([member]).some((one) => one.id === id));
	return { ...wish, members: kept.map((member) => onlyFor(member, id)) };
}

const nameOf = (wish: Wish) => `“${wish.title || kindOf(wish).name}”`;

/** What may be the cause, the most particular first. */
function* causes(plan: Plan, run: Run, wish: Wish): Generator<Cause> {
	const { id, pin, facing, side } = wish;
	const changed = (change: (other: Wish) => Wish): Plan => ({
		...plan,
		wishes: plan.wishes.map(change)
	});
	const own = (fields: Partial<Wish>) =>
		changed((other) => (other.id === id ? { ...other, ...fields } : other));
	if (pin)
		yield {
			without: own({ pin: undefined }),
			says: `page ${pin.page}, where it is pinned, has no room for it`
		};
	const faced = plan.wishes.filter((other) => other.facing === id || other.id === facing);
	if (faced.length > 0)
		yield {
			without: changed((other) =>
				other.id === id || other.facing === id ? { ...other, facing: undefined } : other
			),
			says: `it must face ${faced.map(nameOf).join(' and ')}, and no two facing pages have room for both there`
		};
	if (side)
		yield {
			without: own({ side: undefined }),
			says: `no ${side} page has room for it where it stands in the list`
		};
	const alone = plan.wishes.filter((other) => other.id !== id && other.pin?.alone);
	if (alone.length > 0)
		yield {
			without: changed((other) =>
				other.pin?.alone && other.id !== id
					? { ...other, pin: { ...other.pin, alone: undefined } }
					: other
			),
			says: `pages that ${alone.map(nameOf).join(' and ')} have to themselves are kept from it`
		};
	const pinned = plan.wishes.filter((other) => other.id !== id && other.pin && !other.pin.alone);
	if (pinned.length > 0)
		yield {
			without: changed((other) =>
				other.id === id || other.pin?.alone ? other : { ...other, pin: undefined }
			),
			says: `what is pinned (${pinned.map(nameOf).join(', ')}) leaves no room for it`
		};
	if ((plan.cuts?.length ?? 0) + (plan.earlierCuts?.length ?? 0) > 0)
		yield {
			without: { ...plan, cuts: [], earlierCuts: [] },
			says: 'the cuts leave no place for it'
		};
	if (!wish.filler && !wish.weeks)
		yield {
			without: own({ filler: true, importance: wish.importance }),
			says: `there is room elsewhere, but not between what stands before it in the list and what stands after it`
		};
	const { w, h } = leastSize(plan, wish);
	const needs = allWishes([wish]).some(({ span }) => span === 'spread')
		? 'two facing pages are needed'
		: `at least ${w} × ${h} squares are needed`;
	yield {
		without: withMorePages(plan, 2 * run.unplaced.length),
		says: `${needs} and every free page is full`
	};
}

/** The plan in a book with so many more pages behind its last free one. */
function withMorePages(plan: Plan, pages: number): Plan {
	const { notebook } = plan;
	const last = notebook.freePages.at(-1);
	if (!last) return plan;
	const more = { ...last, last: last.last + pages };
	return {
		...plan,
		notebook: { ...notebook, freePages: [...notebook.freePages.slice(0, -1), more] }
	};
}
