import { lockPages, ownBlocks, type Block, type Plan, type Run } from '$lib/core/fit';
import { allWishes, sameContent, type Wish } from '$lib/core/wish';
import { cutTitle } from '../cuts/cut-words';
import { nameOf } from './block-name';
import { movedBlocks, movingKey } from './moved';

/** What the month was before a hand changed something. */
export interface Act {
	/** The month to which undo leads back: typing in one field is one act. */
	readonly step: unknown;
	readonly plan: Plan;
	readonly run: Run;
}

/** Whether two plans differ in nothing but their wishes, and the cuts that are for them. */
export function onlyWishes(before: Plan, after: Plan): boolean {
	const rest = ({ wishes: _, lately: __, cuts: ___, ...plan }: Plan) => plan;
	return sameContent(rest(before), rest(after));
}

/** Ids of the wishes that a hand added, took away or changed. */
export function ownWishes({ wishes }: Plan, after: readonly Wish[]): ReadonlySet<string> {
	const was = new Map(allWishes(wishes).map((wish) => [wish.id, wish]));
	const is = new Map(allWishes(after).map((wish) => [wish.id, wish]));
	return new Set(
		[...was.keys(), ...is.keys()].filter((id) => !sameContent(was.get(id), is.get(id)))
	);
}

/** A line for each cut that went along with what it is planned for. */
export function cutsGoneAlong({ cuts: before = [] }: Plan, { cuts: after = [] }: Plan): string[] {
	return after.flatMap((cut) => {
		const was = before.find(({ id }) => id === cut.id);
		const hasGone = was?.for && cut.for && was.leaves.first !== cut.leaves.first;
		return hasGone ? [`${cutTitle(cut)}, goes along`] : [];
	});
}

/** A line for each wish that a hand did not change and that lies or is ruled otherwise. */
export function linesOf(before: Run, after: Run, own: ReadonlySet<string>): string[] {
	const moved = new Set(movedBlocks(before, after));
	const others = (run: Run) => ownBlocks(run).filter(({ wish }) => !own.has(wish));
	const firstOf = (run: Run) => {
		const found = new Map<string, Block>();
		for (const block of others(run)) if (!found.has(block.wish)) found.set(block.wish, block);
		return found;
	};
	const [was, is] = [firstOf(before), firstOf(after)];
	const lines = [...is].flatMap(([wish, block]) => {
		const old = was.get(wish);
		const name = nameOf(block.as);
		const page = block.pieces[0].page;
		if (!old) return [`${name} has a place again, on page ${page}`];
		const parts = [
			...(page !== old.pieces[0].page ? [`to page ${page}`] : []),
			...cellWords(old, block)
		];
		if (parts.length === 0 && moved.has(movingKey(block))) parts.push(`moved on page ${page}`);
		return parts.length > 0 ? [`${name} ${parts.join(', ')}`] : [];
	});
	const lost = [...was].flatMap(([wish, { as }]) =>
		is.has(wish) ? [] : [`${nameOf(as)} has no place any more`]
	);
	return [...lost, ...lines];
}

function cellWords({ facts: { cell: old } }: Block, { facts: { cell } }: Block): string[] {
	if (!old || !cell || (old.w === cell.w && old.h === cell.h)) return [];
	return [`boxes ${old.w} × ${old.h} → ${cell.w} × ${cell.h}`];
}

/**
 * Wishes with all but those that a hand changed held where they lay before; weekly pages move only as a whole. What lies on
 * a page that a changed one is pinned to stays on it, but makes room.
 */
export function onlyThis({ plan, run }: Act, wishes: readonly Wish[]): Wish[] {
	const drawn = new Set(plan.drawn?.blocks.map(({ wish }) => wish.id));
	const held = new Map(lockPages(plan, run, -Infinity, Infinity).map((wish) => [wish.id, wish]));
	const own = ownWishes(plan, wishes);
	const goals = new Set(wishes.flatMap(({ id, pin }) => (pin && own.has(id) ? pin.page : [])));
	return wishes.map((wish) => {
		const kept = held.get(wish.id);
		if (own.has(wish.id) || drawn.has(wish.id) || !kept?.pin) return wish;
		return goals.has(kept.pin.page) ? { ...wish, pin: { page: kept.pin.page } } : kept;
	});
}
