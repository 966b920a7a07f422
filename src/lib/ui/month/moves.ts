import { idGiver } from '$lib/core/catalogue';
import {
	drawPage,
	holdAt,
	lockPages,
	pinOf,
	undrawPage,
	type Block,
	type KeptMonth,
	type Plan,
	type Run
} from '$lib/core/fit';
import { allWishes, outOfHost, withChanged, withSiblings, type Wish } from '$lib/core/wish';

/** Where a block is sent: it stays, it moves again as it likes, or it goes to a page. */
export type PinTo = 'here' | 'free' | number;

/** Ids that no month of these has or had: what is drawn or can be brought back keeps its own. */
export function freeIds(months: readonly KeptMonth[]): (kind: string) => string {
	return idGiver(
		months.flatMap(({ wishes, drawn }) => [
			...allWishes(wishes).map(({ id }) => id),
			...(drawn?.blocks.map(({ wish }) => wish.id) ?? [])
		])
	);
}

/** A copy of a wish and its members under other ids. */
export function renamed(wish: Wish, freeId: (kind: string) => string): Wish {
	const copy: Wish = { ...wish, id: freeId(wish.kind) };
	return wish.members
		? { ...copy, members: wish.members.map((member) => renamed(member, freeId)) }
		: copy;
}

/** The wishes with a copy of one behind it, and its id; what is pinned stays with the first. */
export function withCopy(
	wishes: readonly Wish[],
	id: string,
	freeId: (kind: string) => string
): { readonly wishes: readonly Wish[]; readonly copied?: string } {
	let copied: string | undefined;
	const all = withSiblings(wishes, id, (siblings, at) => {
		const like = siblings[at];
		if (!like) return siblings;
		const copy = renamed(like, freeId);
		copied = copy.id;
		const free: Wish = { ...copy, pin: undefined, facing: undefined, spot: undefined };
		return siblings.toSpliced(at + 1, 0, free);
	});
	return { wishes: all, ...(copied === undefined ? {} : { copied }) };
}

/** The wishes with one moved by some places in the list, a member among those that share its host; the same where it cannot. */
export function movedBy(wishes: readonly Wish[], id: string, by: number): readonly Wish[] {
	return withSiblings(wishes, id, (siblings, from) => {
		const to = Math.min(siblings.length - 1, Math.max(0, from + by));
		const wish = siblings[from];
		return wish && from !== to ? siblings.toSpliced(from, 1).toSpliced(to, 0, wish) : siblings;
	});
}

/** The wishes with a block's kept where it is, or on another page, or free to move again. */
export function pinnedTo(
	{ wishes }: Pick<KeptMonth, 'wishes'>,
	plan: Plan,
	run: Run,
	block: Block,
	to: PinTo
): readonly Wish[] {
	const pin = to === 'free' ? undefined : to === 'here' ? pinOf(block) : { page: to };
	if (block.host && to === 'here') return holdAt(plan, run, block, block.pieces);
	if (block.host && to === 'free')
		return withChanged(wishes, block.wish, (wish) => ({ ...wish, spot: undefined }));
	if (block.host)
		return withChanged(outOfHost(wishes, block.wish), block.wish, (wish) => ({ ...wish, pin }));
	return withChanged(wishes, block.wish, (wish) => ({
		...wish,
		pin: pin && { ...pin, alone: wish.pin?.alone }
	}));
}

/** A month without a page that is spoilt: what stands there finds another place, and pages that are begun stay as they are. */
export function givenUp(
	month: KeptMonth,
	plan: Plan,
	run: Run,
	spoilt: number,
	begun: readonly number[]
): Partial<KeptMonth> {
	const held = begun.reduce(
		(wishes, page) => lockPages({ ...plan, wishes }, run, page, page),
		plan.wishes
	);
	const there = (id: string) =>
		run.blocks.some(
			({ wish, pieces }) => wish === id && pieces.some(({ page }) => page === spoilt)
		);
	return {
		wishes: held.map((wish) => (there(wish.id) ? { ...wish, pin: undefined } : wish)),
		drawn: withoutDrawn(month, spoilt)
	};
}

/** What is drawn of a month with a page more, or without one. */
export function drawnWith(
	month: KeptMonth,
	plan: Plan,
	run: Run,
	page: number,
	drawn: boolean
): KeptMonth['drawn'] {
	return drawn ? drawPage(plan, run, month.drawn, page) : withoutDrawn(month, page);
}

function withoutDrawn({ drawn }: KeptMonth, page: number): KeptMonth['drawn'] {
	const left = drawn && undrawPage(drawn, page);
	return left && left.pages.length > 0 ? left : undefined;
}
