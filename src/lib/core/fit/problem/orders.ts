import type { Wish } from '../../wish';
import { mayFace } from '../choices/choices';
import type { Plan } from '../plan/plan';
import { openingOf } from './opening-page';

/** Each pair more doubles the orders; those after the first three keep the side on which the list has them. */
const mostTried = 3;

/** A wish that moves next to another, and whether the list has it before that one. */
interface Mover {
	readonly wish: Wish;
	readonly to: string;
	readonly before: boolean;
}

/**
 * Orders to plan by. Facing goes before the list: what faces another stands next to it, before or after; both are tried, and
 * the list as it is last. What opens the month never moves. Only the list where nothing faces anything.
 */
export function ordersOf(plan: Plan): readonly Plan[] {
	const movers = moversIn(plan);
	if (movers.length === 0) return [plan];
	const orders = sidesOf(movers).map((sides) => inOrder(plan.wishes, sides));
	const unlike = new Map([...orders, plan.wishes].map((wishes) => [nameOf(wishes), wishes]));
	return [...unlike.values()].map((wishes) => ({ ...plan, wishes }));
}

const nameOf = (wishes: readonly Wish[]) => wishes.map(({ id }) => id).join('\n');

function moversIn(plan: Plan): readonly Mover[] {
	const { wishes, drawn } = plan;
	const held = new Set(drawn?.blocks.map(({ wish }) => wish.id));
	// What is pinned or drawn stays.
	const isFree = (wish: Wish) => !wish.pin && mayFace(wish) && !held.has(wish.id);
	const opening = openingOf(plan)?.id;
	const movers = new Map<string, Mover>();
	for (const [at, wish] of wishes.entries()) {
		const other = wishes.findIndex(({ id }) => id === wish.facing);
		const partner = wishes[other];
		if (!partner || other === at || !isFree(wish) || !isFree(partner)) continue;
		const [mover, anchor, before] =
			wish.id === opening ? [partner, wish, other < at] : [wish, partner, at < other];
		if (!movers.has(mover.id)) movers.set(mover.id, { wish: mover, to: anchor.id, before });
	}
	return [...movers.values()];
}

/** The movers with every way to put the first of them before or after; as the list has them first. */
function sidesOf(movers: readonly Mover[]): readonly (readonly Mover[])[] {
	return movers.reduce<readonly (readonly Mover[])[]>(
		(all, mover, at) =>
			all.flatMap((some) => [
				[...some, mover],
				...(at < mostTried ? [[...some, { ...mover, before: !mover.before }]] : [])
			]),
		[[]]
	);
}

/** The list with each mover next to the one that it faces; where movers face each other in a ring, one of them stays. */
function inOrder(wishes: readonly Wish[], movers: readonly Mover[]): readonly Wish[] {
	const ids = new Set(movers.map(({ wish }) => wish.id));
	let list = wishes.filter(({ id }) => !ids.has(id));
	let waiting = movers;
	while (waiting.length > 0) {
		const next = waiting.find(({ to }) => list.some(({ id }) => id === to));
		if (!next) return [...list, ...waiting.map(({ wish }) => wish)];
		const at = list.findIndex(({ id }) => id === next.to) + (next.before ? 0 : 1);
		list = list.toSpliced(at, 0, next.wish);
		waiting = waiting.filter((mover) => mover !== next);
	}
	return list;
}
