import type { Importance, Wish } from '../forms';
import { lossWeight } from './bound';
import { fitInOrder } from './in-order';
import type { Plan, Run } from './plan';

/**
 * The run of a plan. Where a must finds no place, wishes that matter less are left out for it, spares
 * before wants and later ones before earlier ones.
 */
export function planRun(plan: Plan): Run {
	const run = fitInOrder(plan, plan.wishes);
	if (!losesMust(plan, run)) return run;
	const order = (importance: Importance) =>
		plan.wishes.filter((wish) => (wish.importance ?? 'want') === importance).reverse();
	const dropped = new Set<Wish>();
	for (const wish of [...order('spare'), ...order('want')]) {
		dropped.add(wish);
		const rest = plan.wishes.filter((other) => !dropped.has(other));
		const tried = fitInOrder(plan, rest);
		if (losesMust(plan, tried)) continue;
		const reason = 'it is left out so that what must be there has its place';
		const lost = new Map(tried.unplaced.map((unplaced) => [unplaced.wish, unplaced]));
		for (const { id } of dropped) lost.set(id, { wish: id, reason });
		const bound = tried.bound + dropped.size * lossWeight(plan);
		return {
			...tried,
			unplaced: plan.wishes.flatMap(({ id }) => lost.get(id) ?? []),
			optimal: false,
			bound
		};
	}
	return run;
}

function losesMust(plan: Plan, run: Run): boolean {
	const musts = new Set(
		plan.wishes.filter((wish) => wish.importance === 'must').map(({ id }) => id)
	);
	return run.unplaced.some(({ wish }) => musts.has(wish));
}
