import type { Room } from '../../forms';
import { intoHost, outOfHost, wishById, withChanged, type Pin, type Wish } from '../../wish';
import { contains, gridOf, overlaps, pageOf, sideOf, type Rect } from '../../paper';
import { misfitIn, type Choice } from '../choices/choices';
import { choicesIn } from '../members/hosting';
import type { Block, Piece, Pieces, Plan, Run } from '../plan/plan';
import { roomAt, type OpenRoom } from './rooms';
import { usableSquares } from '../choices/sheets';

/** Why a block cannot stay where a hand has put it, or what gives way to it there. */
export type PlaceFault =
	| { readonly kind: 'off-page' }
	| { readonly kind: 'cut-away' }
	| { readonly kind: 'not-free'; readonly page: number }
	| { readonly kind: 'too-small'; readonly reason: string }
	/** It would live in a room of another block from now on. */
	| { readonly kind: 'into'; readonly wish: string }
	/** What lies below; when it is `held`, by its own pin or because it is drawn, it cannot give way. */
	| { readonly kind: 'over'; readonly wish: string; readonly held: boolean };

/** A block at a place of the person's choice. */
export interface HandPlaced {
	readonly pieces: Pieces;
	/** How it is ruled there; undefined where it is too small. */
	readonly choice: Choice | undefined;
	readonly faults: readonly PlaceFault[];
}

/**
 * Whether a person can put it elsewhere: weekly pages move as a set, what is drawn stays, and so does what lies over both
 * pages of its host, above the others.
 */
export function canMove(plan: Plan, { as, wish, host, pieces }: Block): boolean {
	const own = wishById(plan.wishes, wish);
	return (
		own !== undefined &&
		!own.weeks &&
		!as.part &&
		!(host && pieces.length > 1) &&
		!pieces.some(({ page }) => plan.drawn?.pages.includes(page))
	);
}

/** A block's pieces with its first piece, or over a spread both, at another place and size. */
export function piecesAt({ pieces: [left, right] }: Block, page: number, rect: Rect): Pieces {
	if (!right) return [{ page, rect }];
	// Over a spread both pages are taken in their whole width, at one height.
	return [
		{ page, rect: { ...left.rect, y: rect.y, h: rect.h } },
		{ page: page + 1, rect: { ...right.rect, y: rect.y, h: rect.h } }
	];
}

/** How a block is ruled at a place, and what speaks against it. */
export function placeByHand(plan: Plan, run: Run, block: Block, pieces: Pieces): HandPlaced {
	const faults: PlaceFault[] = [];
	for (const { page, rect } of pieces) {
		if (!contains(gridOf(pageOf(plan.notebook, page)), rect)) faults.push({ kind: 'off-page' });
		if (usableSquares(plan, page).lost.some((part) => overlaps(part, rect)))
			faults.push({ kind: 'cut-away' });
		if (!isFree(plan, page)) faults.push({ kind: 'not-free', page });
	}
	const [wish, room] = [asPlaced(plan, block), roomOf(plan, pieces)];
	const [choice] = choicesIn(plan, wish, room);
	if (!choice)
		faults.push({
			kind: 'too-small',
			reason: misfitIn(plan, wish, room)?.reason ?? 'It is too small for anything'
		});
	const home = homeOf(plan, run, block, pieces);
	if (home && home.host.wish !== block.host?.wish)
		faults.push({ kind: 'into', wish: home.host.wish });
	const around = home ? [home.host, ...hostsOf(run, home.host)] : [];
	for (const other of run.blocks) {
		if (other === block || around.includes(other) || livesIn(run, other, block)) continue;
		if (!pieces.some((piece) => lies(other, piece))) continue;
		// Of what lives in something else, that gives way as a whole.
		const [outer = other] = hostsOf(run, other)
			.filter((host) => !around.includes(host))
			.slice(-1);
		if (faults.some((fault) => fault.kind === 'over' && fault.wish === outer.wish)) continue;
		faults.push({ kind: 'over', wish: outer.wish, held: isHeld(plan, outer) });
	}
	return { pieces, choice, faults: faults.filter(first) };
}

/** Whether a block may be left there: what is not held gives way. */
export function mayStay({ faults }: HandPlaced): boolean {
	return faults.every((fault) => fault.kind === 'into' || (fault.kind === 'over' && !fault.held));
}

/**
 * Wishes with a block's held where a hand has put it, at the size that it has there: in the room of another block, or
 * on a page.
 */
export function holdAt(plan: Plan, run: Run, block: Block, pieces: Pieces): readonly Wish[] {
	const [{ page, rect }] = pieces;
	const { form } = block;
	const home = homeOf(plan, run, block, pieces);
	if (home) {
		const { x, y } = home.rect;
		const place = { room: home.name, spot: { ...rect, x: rect.x - x, y: rect.y - y } };
		const inside =
			home.host.wish === block.host?.wish
				? withChanged(plan.wishes, block.wish, (wish) => ({ ...wish, ...place }))
				: intoHost(plan.wishes, block.wish, home.host.wish, place);
		const placed = withChanged(inside, block.wish, (wish) => ({ ...wish, form, size: undefined }));
		return onItsPage(run, placed, home.host);
	}
	const wishes = block.host ? outOfHost(plan.wishes, block.wish) : plan.wishes;
	return wishes.map((wish): Wish => {
		if (wish.id !== block.wish) return wish;
		const alone = wish.pin?.alone ? { alone: true } : {};
		const side = wish.side === sideOf(page) ? wish.side : undefined;
		if (pieces.length === 2) {
			const pin: Pin = { page, y: rect.y, w: rect.w + (pieces[1]?.rect.w ?? 0), h: rect.h };
			return { ...wish, form, span: 'spread', side: undefined, size: undefined, pin };
		}
		const held: Pin = { page, ...rect, ...alone };
		return { ...wish, form, span: 'page', side, size: undefined, pin: held };
	});
}

/**
 * Wishes with the outermost host of a room bound to the page on which it lies: what a hand has put into it would go along to
 * another one else. Weeks have their pages by their set.
 */
function onItsPage(run: Run, wishes: readonly Wish[], host: Block): readonly Wish[] {
	const outer = [host, ...hostsOf(run, host)].at(-1) ?? host;
	const [{ page }, second] = outer.pieces;
	if (outer.as.part) return wishes;
	return wishes.map((wish): Wish => {
		if (wish.id !== outer.wish || wish.pin) return wish;
		return { ...wish, pin: { page }, span: second ? 'spread' : 'page' };
	});
}

/** The room in which a block would live at a place; none over the fold. */
function homeOf(
	plan: Plan,
	run: Run,
	{ wish }: Block,
	[piece, second]: Pieces
): OpenRoom | undefined {
	return second ? undefined : roomAt(plan, run, wish, piece);
}

/** The blocks in whose rooms a block stands, the innermost first. */
function hostsOf(run: Run, { host, as: { part } }: Block): Block[] {
	const own = run.blocks.find(
		({ wish, as }) =>
			wish === host?.wish && as.part?.week === part?.week && as.part?.page === part?.page
	);
	return own ? [own, ...hostsOf(run, own)] : [];
}

function livesIn(run: Run, block: Block, host: Block): boolean {
	return hostsOf(run, block).includes(host);
}

/** The wish as it is ruled when its place and form are the person's. */
function asPlaced(plan: Plan, { as, form, wish, host }: Block): Wish {
	// What a host settles for its members, such as written titles, holds as long as they live there.
	const own = host ? as : wishById(plan.wishes, wish);
	return { ...(own ?? as), form, span: undefined, side: undefined, size: undefined };
}

function roomOf({ notebook: { gutter } }: Plan, [first, second]: Pieces): Room {
	const { w, h } = first.rect;
	if (!second) return { span: 'page', w, h };
	return { span: 'spread', left: { w, h }, right: { w: second.rect.w, h: second.rect.h }, gutter };
}

function isFree({ notebook, drawn }: Plan, page: number): boolean {
	return (
		notebook.freePages.some(({ first, last }) => page >= first && page <= last) &&
		pageOf(notebook, page).state === 'free' &&
		!drawn?.pages.includes(page)
	);
}

function lies({ pieces }: Block, { page, rect }: Piece): boolean {
	return pieces.some((piece) => piece.page === page && overlaps(piece.rect, rect));
}

/** Whether a block cannot give way: its own pin holds its place, or it is drawn. */
function isHeld(plan: Plan, { wish, pieces }: Block): boolean {
	const { pin, spot } = wishById(plan.wishes, wish) ?? {};
	return (
		spot !== undefined ||
		pin?.x !== undefined ||
		pin?.y !== undefined ||
		pin?.h !== undefined ||
		pieces.some(({ page }) => plan.drawn?.pages.includes(page))
	);
}

function first(fault: PlaceFault, index: number, all: readonly PlaceFault[]): boolean {
	return all.findIndex((other) => JSON.stringify(other) === JSON.stringify(fault)) === index;
}
