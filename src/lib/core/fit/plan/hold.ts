import { formById } from '../../forms';
import { allWishes, type Pin, type Wish } from '../../wish';
import { spreadOf } from '../../paper';
import type { Block, Drawn, Plan, Run } from './plan';

/**
 * The pin that keeps a block exactly where it lies; weekly pages move only as a whole. What has members beyond its own
 * block keeps its place alone: a size would leave them no room.
 */
export function pinOf({ as, form, pieces, room }: Block): Pin {
	const [{ page, rect }, right] = pieces;
	const beyond = as.members && !formById(form)?.wholePage;
	if (beyond && room.span === 'page') return { page, x: rect.x, y: rect.y };
	if (room.span === 'page') return { page, ...rect };
	// Over the fold a width is that on both pages together.
	return { page, y: rect.y, w: rect.w + (right?.rect.w ?? 0), h: rect.h };
}

/** Wishes with every block on some pages pinned to its place. */
export function lockPages(plan: Plan, run: Run, first: number, last: number): Wish[] {
	return plan.wishes.map((wish) => {
		const block = run.blocks.find((other) => other.wish === wish.id);
		const [piece] = block?.pieces ?? [];
		if (!block || !piece || wish.weeks || piece.page < first || piece.page > last) return wish;
		const pin = pinOf(block);
		return { ...wish, pin, form: block.form, ...(pin.x === undefined ? { span: 'spread' } : {}) };
	});
}

/** Wishes with those on some pages free to move. */
export function unlockPages(plan: Plan, first: number, last: number): Wish[] {
	return plan.wishes.map((wish) =>
		wish.pin && wish.pin.page >= first && wish.pin.page <= last ? { ...wish, pin: undefined } : wish
	);
}

/** Wishes with the two sides of a spread exchanged; what lies over the fold, or is drawn, stays. */
export function swapSides(plan: Plan, run: Run, page: number): Wish[] {
	const { left, right } = spreadOf(page);
	return plan.wishes.map((wish) => {
		const block = run.blocks.find((other) => other.wish === wish.id);
		const [piece, second] = block?.pieces ?? [];
		if (!piece || second || wish.weeks) return wish;
		if (piece.page !== left && piece.page !== right) return wish;
		return { ...wish, side: undefined, pin: { page: piece.page === left ? right : left } };
	});
}

/** What is drawn, with one page more: its blocks are kept as they are, on both pages of a spread. */
export function drawPage(plan: Plan, run: Run, drawn: Drawn | undefined, page: number): Drawn {
	const { month, weekStart, hand, locale, theme } = plan;
	const drawnWith = { month, weekStart, hand, locale, ...(theme ? { theme } : {}) };
	const known = new Set(drawn?.pages);
	const here = run.blocks.filter(
		({ pieces }) =>
			pieces.some((piece) => piece.page === page) && pieces.every((piece) => !known.has(piece.page))
	);
	// What lives in a block over the fold is drawn with it, on either page.
	const own = new Set(here.flatMap(({ as }) => allWishes([as]).map(({ id }) => id)));
	const blocks = run.blocks.filter(
		(block) => here.includes(block) || (block.host && own.has(block.wish))
	);
	const pages = [page, ...blocks.flatMap(({ pieces }) => pieces.map((piece) => piece.page))];
	return {
		pages: [...new Set([...known, ...pages])].sort((a, b) => a - b),
		blocks: [
			...(drawn?.blocks ?? []),
			...blocks.map(({ as, host, letters, form, pieces }) => ({
				wish: as,
				drawnWith,
				...(host ? { host } : {}),
				...(letters === undefined ? {} : { letters }),
				form,
				pieces
			}))
		]
	};
}

/** What is drawn, without a page and the pages that its blocks over the fold take besides. */
export function undrawPage({ pages, blocks }: Drawn, page: number): Drawn {
	const off = new Set([page]);
	for (const { pieces } of blocks)
		if (pieces.some((piece) => piece.page === page))
			for (const piece of pieces) off.add(piece.page);
	return {
		pages: pages.filter((number) => !off.has(number)),
		blocks: blocks.filter(({ pieces }) => !pieces.some((piece) => off.has(piece.page)))
	};
}
