import type { Room } from '../forms';
import type { Pin, Wish } from '../wish';
import { contains, gridOf, overlaps, pageOf, type Rect } from '../paper';
import { choicesIn, misfitIn, type Choice } from './choices';
import type { Block, Piece, Pieces, Plan, Run } from './plan';
import { usableSquares } from './sheets';

/** Why a block cannot stay where a hand has put it, or what gives way to it there. */
export type PlaceFault =
	| { readonly kind: 'off-page' }
	| { readonly kind: 'cut-away' }
	| { readonly kind: 'not-free'; readonly page: number }
	| { readonly kind: 'too-small'; readonly reason: string }
	/** What lies below; when it is `held`, by its own pin or because it is drawn, it cannot give way. */
	| { readonly kind: 'over'; readonly wish: string; readonly held: boolean };

/** A block at a place of the person's choice. */
export interface HandPlaced {
	readonly pieces: Pieces;
	/** How it is ruled there; undefined where it is too small. */
	readonly choice: Choice | undefined;
	readonly faults: readonly PlaceFault[];
}

/** Whether a person can put it elsewhere: weekly pages move as a set, and what is drawn stays. */
export function canMove(plan: Plan, { as, wish, pieces }: Block): boolean {
	const own = plan.wishes.find(({ id }) => id === wish);
	return (
		own !== undefined &&
		!own.weeks &&
		!as.part &&
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
	for (const other of run.blocks) {
		if (other === block || !pieces.some((piece) => lies(other, piece))) continue;
		if (faults.some((fault) => fault.kind === 'over' && fault.wish === other.wish)) continue;
		faults.push({ kind: 'over', wish: other.wish, held: isHeld(plan, other) });
	}
	return { pieces, choice, faults: faults.filter(first) };
}

/** Whether a block may be left there: what is not held gives way. */
export function mayStay({ faults }: HandPlaced): boolean {
	return faults.every((fault) => fault.kind === 'over' && !fault.held);
}

/** Wishes with a block's held where a hand has put it, at the size that it has there. */
export function holdAt(plan: Plan, block: Block, pieces: Pieces): Wish[] {
	const [{ page, rect }] = pieces;
	const { form } = block;
	return plan.wishes.map((wish): Wish => {
		if (wish.id !== block.wish) return wish;
		const alone = wish.pin?.alone ? { alone: true } : {};
		if (pieces.length === 2) {
			const pin: Pin = { page, y: rect.y, h: rect.h };
			return { ...wish, form, span: 'spread', side: undefined, size: undefined, pin };
		}
		const held: Pin = { page, ...rect, ...alone };
		return { ...wish, form, span: 'page', side: undefined, size: undefined, pin: held };
	});
}

/** The wish as it is ruled when its place and form are the person's. */
function asPlaced(plan: Plan, { as, form, wish }: Block): Wish {
	const own = plan.wishes.find(({ id }) => id === wish);
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
	const pin = plan.wishes.find(({ id }) => id === wish)?.pin;
	return (
		pin?.x !== undefined ||
		pin?.y !== undefined ||
		pin?.h !== undefined ||
		pieces.some(({ page }) => plan.drawn?.pages.includes(page))
	);
}

function first(fault: PlaceFault, index: number, all: readonly PlaceFault[]): boolean {
	return all.findIndex((other) => JSON.stringify(other) === JSON.stringify(fault)) === index;
}
