import type { Wish } from './wish';

/** Wishes and all their members, each host before what lives in it. */
export function allWishes(wishes: readonly Wish[]): Wish[] {
	return wishes.flatMap((wish) => [wish, ...allWishes(wish.members ?? [])]);
}

/** The wish or member with an id. */
export function wishById(wishes: readonly Wish[], id: string): Wish | undefined {
	return allWishes(wishes).find((wish) => wish.id === id);
}

/** The wish in whose rooms another one lives. */
export function hostOf(wishes: readonly Wish[], id: string): Wish | undefined {
	return allWishes(wishes).find(({ members }) => members?.some((member) => member.id === id));
}

/** How deep a wish is nested: 0 for one of the month itself. */
export function depthOf(wishes: readonly Wish[], id: string): number {
	const host = hostOf(wishes, id);
	return host ? 1 + depthOf(wishes, host.id) : 0;
}

/** Wishes with the list in which one stands, the month's own or its host's, made anew. */
export function withSiblings(
	wishes: readonly Wish[],
	id: string,
	change: (siblings: readonly Wish[], index: number) => readonly Wish[]
): readonly Wish[] {
	const index = wishes.findIndex((wish) => wish.id === id);
	if (index >= 0) return change(wishes, index);
	const changed = wishes.map((wish) => {
		if (!wish.members) return wish;
		const members = withSiblings(wish.members, id, change);
		return members === wish.members ? wish : hosting(wish, members);
	});
	return changed.every((wish, at) => wish === wishes[at]) ? wishes : changed;
}

/** Wishes with one of them, or a member, changed. */
export function withChanged(
	wishes: readonly Wish[],
	id: string,
	change: (wish: Wish) => Wish
): readonly Wish[] {
	return withSiblings(wishes, id, (siblings, index) =>
		siblings.map((wish, at) => (at === index ? change(wish) : wish))
	);
}

/** Wishes without one of them; its members go with it. */
export function without(wishes: readonly Wish[], id: string): readonly Wish[] {
	return withSiblings(wishes, id, (siblings, index) => siblings.toSpliced(index, 1));
}

/**
 * Wishes with one moved into a room of another, last of its members; what said where it stands among pages is
 * forgotten. The same wishes where that is not possible.
 */
export function intoHost(
	wishes: readonly Wish[],
	id: string,
	host: string,
	place: Pick<Wish, 'room' | 'spot'> = {}
): readonly Wish[] {
	const wish = wishById(wishes, id);
	if (!wish || !mayHold(wishes, host, id)) return wishes;
	const member: Wish = { ...bare(wish), ...place };
	return withChanged(without(wishes, id), host, (found) =>
		hosting(found, [...(found.members ?? []), member])
	);
}

/** Wishes with a member taken out of its host, to stand behind it in the month's own list. */
export function outOfHost(wishes: readonly Wish[], id: string): readonly Wish[] {
	const wish = wishById(wishes, id);
	const host = hostOf(wishes, id);
	if (!wish || !host) return wishes;
	const top = wishes.findIndex((own) => allWishes([own]).some((other) => other.id === host.id));
	return without(wishes, id).toSpliced(top + 1, 0, bare(wish));
}

/**
 * Wishes with those of the month, or the members of a host, in an order; what is named and stood elsewhere comes in, where
 * it may, and what is not named stays. The same wishes where nothing changes.
 */
export function arranged(
	wishes: readonly Wish[],
	host: string | undefined,
	ids: readonly string[]
): readonly Wish[] {
	const listOf = (all: readonly Wish[]) =>
		host === undefined ? all : (wishById(all, host)?.members ?? []);
	const come = ids.filter((id) => !listOf(wishes).some((own) => own.id === id));
	const all = come.reduce<readonly Wish[]>(
		(some, id) => (host === undefined ? outOfHost(some, id) : intoHost(some, id, host)),
		wishes
	);
	const list = listOf(all);
	const places = list.map((own, index) => {
		const named = ids.indexOf(own.id);
		return { own, place: named < 0 ? index - 0.5 : named };
	});
	const sorted = places.sort((a, b) => a.place - b.place).map(({ own }) => own);
	if (sorted.every((own, index) => own === list[index])) return all;
	return host === undefined ? sorted : withChanged(all, host, (own) => hosting(own, sorted));
}

/** Members nest so deep at most: a composed page's members may have members, those may not. */
export const deepest = 2;

/** Whether a wish may become a member of another: not of itself, of its own members, or too deep. */
export function mayHold(wishes: readonly Wish[], host: string, id: string): boolean {
	const wish = wishById(wishes, id);
	const found = wishById(wishes, host);
	if (!wish || !found || wish.weeks) return false;
	if (allWishes([wish]).some((inside) => inside.id === host)) return false;
	return depthOf(wishes, host) + 1 + heightOf(wish) <= deepest;
}

function heightOf({ members = [] }: Wish): number {
	return members.length === 0 ? 0 : 1 + Math.max(...members.map(heightOf));
}

/** A wish with members; without any it has no list of them. */
function hosting({ members: _, ...wish }: Wish, members: readonly Wish[]): Wish {
	return members.length === 0 ? wish : { ...wish, members };
}

/** A wish without what says where it stands. */
function bare(wish: Wish): Wish {
	const { span: _span, side: _side, pin: _pin, facing: _facing, room: _room, ...rest } = wish;
	const { spot: _spot, filler: _filler, size: _size, ...own } = rest;
	return own;
}
