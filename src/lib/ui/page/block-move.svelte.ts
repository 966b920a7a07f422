import { untrack } from 'svelte';
import {
	canMove,
	holdAt,
	mayStay,
	piecesAt,
	placeByHand,
	type Block,
	type HandPlaced,
	type Pieces
} from '$lib/core/fit';
import { allWishes } from '$lib/core/wish';
import { mergeMarks, type Mark } from '$lib/core/draw';
import {
	alignments,
	clearance,
	contains,
	gridOf,
	marginMm,
	pageOf,
	sideOf,
	spreadOf,
	type Alignment,
	type Clearance,
	type Dot,
	type Rect
} from '$lib/core/paper';
import type { MonthDesk } from '../month/month-desk.svelte';
import { heldInside, pulled, wholeBlock, type Grip } from './grip';

/** A block in the hand: where it was, and where it is held now. */
export interface Moving {
	readonly block: Block;
	readonly page: number;
	readonly rect: Rect;
}

/** What is beside the block that is being moved, on one page. */
export interface Surroundings {
	readonly page: number;
	readonly rect: Rect;
	readonly gaps: Clearance;
	readonly lines: readonly Alignment[];
}

/** Moving and resizing blocks of the open spread; what is let go becomes a pin. */
export class BlockMove {
	moving = $state.raw<Moving>();
	private placed = $derived.by<HandPlaced | undefined>(() => {
		const { moving } = this;
		return moving && placeByHand(this.desk.plan, this.desk.run, moving.block, this.pieces(moving));
	});
	private size = $derived(this.moving && `${this.moving.rect.w} ${this.moving.rect.h}`);
	/** Marks of the block at its size, one list a piece, from the piece's first dot. */
	marks = $derived.by<readonly (readonly Mark[])[]>(() =>
		// Drawn anew only at another size: a move alone changes nothing inside the block.
		this.size === undefined
			? []
			: untrack(() => this.placed?.choice?.marks().map((marks) => mergeMarks(marks)) ?? [])
	);

	constructor(private readonly desk: MonthDesk) {}

	get result(): HandPlaced | undefined {
		return this.placed;
	}

	/** The run without the block in the hand. */
	get rest() {
		const { moving, desk } = this;
		if (!moving) return desk.run;
		// What lives in it is in the hand with it.
		const own = allWishes([moving.block.as]).map(({ id }) => id);
		return { ...desk.run, blocks: desk.run.blocks.filter(({ wish }) => !own.includes(wish)) };
	}

	can(block: Block): boolean {
		return canMove(this.desk.plan, block);
	}

	/** Takes a block into the hand. */
	take(block: Block): void {
		const [{ page, rect }] = block.pieces;
		this.moving = { block, page, rect };
		this.desk.chosen = block.wish;
	}

	/** Puts it at a place, as a pointer or a field says; over a spread only height and top count. */
	put(page: number, rect: Rect): void {
		const { moving } = this;
		if (!moving) return;
		const known = moving.rect;
		if (page === moving.page && JSON.stringify(rect) === JSON.stringify(known)) return;
		this.moving =
			moving.block.room.span === 'page'
				? { ...moving, page, rect }
				: { ...moving, rect: { ...known, y: rect.y, h: rect.h } };
	}

	/** Pulls it by a grip from where it was taken; a whole block goes to the page on which its middle lies. */
	pull(from: Moving, grip: Grip, by: Dot): void {
		const rect = pulled(from.rect, grip, by);
		const { notebook } = this.desk.plan;
		const side = sideOf(from.page);
		const here = marginMm(notebook, side);
		const there = marginMm(notebook, side === 'left' ? 'right' : 'left');
		const { width } = notebook.pageMm;
		const middle = here.x + (rect.x + rect.w / 2) * notebook.pitchMm;
		const over = side === 'left' ? middle > width : middle < 0;
		if (grip !== wholeBlock) return this.put(from.page, rect);
		if (!over) return this.put(from.page, this.inside(from.page, rect));
		const squares = (mm: number) => Math.round(mm / notebook.pitchMm);
		const shift = here.x - there.x + (side === 'left' ? -width : width);
		const { left, right } = spreadOf(from.page);
		const page = side === 'left' ? right : left;
		const moved = { ...rect, x: rect.x + squares(shift), y: rect.y + squares(here.y - there.y) };
		this.put(page, this.inside(page, moved));
	}

	/** The edges of a page hold a block that is pushed over them by a square or two. */
	private inside(page: number, rect: Rect): Rect {
		const { columns, rows } = pageOf(this.desk.plan.notebook, page);
		return heldInside(rect, { w: columns, h: rows }, 2);
	}

	/** One step by keyboard: it stays on the page, and at the fold it steps over to the other one. */
	step(grip: Grip, by: Dot): void {
		const { moving } = this;
		if (!moving) return;
		const page = pageOf(this.desk.plan.notebook, moving.page);
		const rect = pulled(moving.rect, grip, by);
		if (contains(gridOf(page), rect)) return this.put(moving.page, rect);
		const toFold = page.side === 'left' ? 1 : -1;
		if (grip !== wholeBlock || by.x !== toFold || moving.block.room.span === 'spread') return;
		const { left, right } = spreadOf(moving.page);
		const across = sideOf(moving.page) === 'left' ? right : left;
		const { columns } = pageOf(this.desk.plan.notebook, across);
		this.put(across, { ...rect, x: toFold === 1 ? 0 : columns - rect.w });
	}

	/** Lets it go where it is; says whether it could stay there. Equal names in a row are undone together. */
	drop(name?: string): boolean {
		const { moving, placed, desk } = this;
		if (!moving || !placed) return true;
		const [{ page, rect }] = moving.block.pieces;
		const moved = page !== moving.page || JSON.stringify(rect) !== JSON.stringify(moving.rect);
		if (moved && !mayStay(placed)) return false;
		const wishes = holdAt(desk.plan, desk.run, moving.block, placed.pieces);
		if (moved) desk.moveByHand(wishes, name);
		this.moving = undefined;
		return true;
	}

	/** Puts it back where it was. */
	giveUp(): void {
		this.moving = undefined;
	}

	/** Distances and alignments on each page that it lies on. */
	get surroundings(): Surroundings[] {
		const { moving } = this;
		if (!moving) return [];
		return this.pieces(moving).map(({ page, rect }) => {
			const { columns, rows } = pageOf(this.desk.plan.notebook, page);
			const size = { w: columns, h: rows };
			const others = this.rest.blocks.flatMap(({ pieces }) =>
				pieces.filter((piece) => piece.page === page).map((piece) => piece.rect)
			);
			return {
				page,
				rect,
				gaps: clearance(rect, size, others),
				lines: alignments(rect, size, others)
			};
		});
	}

	private pieces({ block, page, rect }: Moving): Pieces {
		return piecesAt(block, page, rect);
	}
}
