import type { KeptMonth } from '$lib/core/fit';
import { sameContent, type Wish } from '$lib/core/wish';

/**
 * A month as it is now without one earlier act: what the act changed (from `before` to `after`) and nobody has touched since
 * is as it was before it; everything that came later stays.
 */
export function withoutAct(before: KeptMonth, after: KeptMonth, now: KeptMonth): KeptMonth {
	const back = <T>(was: T, became: T, is: T): T => (sameContent(is, became) ? was : is);
	const plain = {
		...now,
		month: back(before.month, after.month, now.month),
		weekStart: back(before.weekStart, after.weekStart, now.weekStart),
		aim: back(before.aim, after.aim, now.aim),
		sizes: back(before.sizes, after.sizes, now.sizes),
		titles: back(before.titles, after.titles, now.titles),
		theme: back(before.theme, after.theme, now.theme),
		lately: back(before.lately, after.lately, now.lately),
		drawn: back(before.drawn, after.drawn, now.drawn),
		cuts: back(before.cuts, after.cuts, now.cuts)
	};
	const byId = (wishes: readonly Wish[]) => new Map(wishes.map((wish) => [wish.id, wish]));
	const [was, became, is] = [byId(before.wishes), byId(after.wishes), byId(now.wishes)];
	const kept = now.wishes.flatMap((wish): Wish[] => {
		const [old, made] = [was.get(wish.id), became.get(wish.id)];
		if (!made) return [wish];
		// What the act added goes, however it was changed since.
		return old ? [back(old, made, wish)] : [];
	});
	const removed = before.wishes.filter(({ id }) => !became.has(id) && !is.has(id));
	return {
		...plain,
		wishes: removed.reduce((wishes, wish) => putBack(wishes, wish, before), kept)
	};
}

/** Puts a wish behind the one that it stood behind. */
function putBack(wishes: readonly Wish[], wish: Wish, { wishes: old }: KeptMonth): Wish[] {
	const earlier = old
		.slice(
			0,
			old.findIndex(({ id }) => id === wish.id)
		)
		.map(({ id }) => id);
	const at = wishes.findLastIndex(({ id }) => earlier.includes(id)) + 1;
	return wishes.toSpliced(at, 0, wish);
}
