import { mergeMarks, move, type FieldMark, type Mark } from '../draw';
import { formById } from '../forms';
import type { Rect } from '../paper';
import type { Theme } from '../theme';
import { settingOf } from '../fit';
import type { Block, Plan, Run } from '../fit';
import { tabDates } from './tab-dates';

/** What is drawn of the piece of a block that lies on one page, in page squares, ruled strokes merged. */
export function pieceMarks(plan: Plan, block: Block, page: number): Mark[] {
	return mergeMarks(pieceOf(plan, block, page).filter(({ kind }) => kind !== 'field'));
}

/** A field on a page, and the wish whose records it shows. */
export interface PageField {
	readonly wish: string;
	readonly field: FieldMark;
}

/** Everything on a page that is filled in during the month, the blocks in the wishes' order, members after their hosts. */
export function pageFields(plan: Plan, run: Run, page: number): PageField[] {
	const blocks = blocksOn(run, page);
	return [...blocks.filter(({ host }) => !host), ...blocks.filter(({ host }) => host)].flatMap(
		(block) =>
			pieceOf(plan, block, page).flatMap((mark) =>
				mark.kind === 'field' ? [{ wish: block.wish, field: mark }] : []
			)
	);
}

function pieceOf(plan: Plan, block: Block, page: number): Mark[] {
	const index = block.pieces.findIndex((piece) => piece.page === page);
	const piece = block.pieces[index];
	const form = formById(block.form);
	if (!piece || !form) return [];
	const { letters } = block;
	const setting = {
		...settingOf({ ...plan, ...block.drawnWith }, block.as, form),
		...(letters === undefined ? {} : { letters })
	};
	const marks = form.layouts(setting, block.room)[0]?.marks()[index] ?? [];
	return marks.map((mark) => move(mark, piece.rect));
}

/** Blocks with a piece on a page, in the wishes' order. */
export function blocksOn(run: Run, page: number): Block[] {
	return run.blocks.filter((block) => block.pieces.some((piece) => piece.page === page));
}

/**
 * A text that changes whenever a page's marks do: what is equal need not be drawn anew. It is much
 * cheaper than the marks.
 */
export function pageKey(plan: Plan, run: Run, page: number): string {
	const { month, weekStart, hand, locale } = plan;
	const blocks = blocksOn(run, page).map(({ as, drawnWith, letters, form, room, pieces }) => [
		as,
		drawnWith,
		letters,
		form,
		room,
		pieces
	]);
	return JSON.stringify([month, weekStart, hand, locale, blocks, tabDates(plan, run, page)]);
}

/** The colours of a page: those that it was drawn with, or else the month's. */
export function themeOn(plan: Plan, run: Run, page: number): Theme | undefined {
	const drawn = blocksOn(run, page).find(({ drawnWith }) => drawnWith)?.drawnWith;
	return drawn ? drawn.theme : plan.theme;
}

/** Marks of a whole page, ruled strokes merged across blocks, and the dates on its tab. */
export function pageMarks(plan: Plan, run: Run, page: number): Mark[] {
	return marksOf(blocksOn(run, page), plan, run, page);
}

/** Marks of a page that a hand draws: all but those of what is printed and pasted in. */
export function handMarks(plan: Plan, run: Run, page: number): Mark[] {
	const drawn = blocksOn(run, page).filter((block) => !isPasted(run, block));
	return marksOf(drawn, plan, run, page);
}

function marksOf(blocks: readonly Block[], plan: Plan, run: Run, page: number): Mark[] {
	const ofBlocks = blocks.flatMap((block) => pieceMarks(plan, block, page));
	return mergeMarks([...ofBlocks, ...tabDates(plan, run, page)]);
}

/** Something printed that is pasted onto a page, and where. */
export interface Pasted {
	readonly block: Block;
	readonly rect: Rect;
}

/** What is pasted onto a page; a member comes with what it lives in. */
export function pastedOn(run: Run, page: number): Pasted[] {
	return blocksOn(run, page)
		.filter((block) => block.as.pasted && !withHost(run, block))
		.flatMap((block) =>
			block.pieces.flatMap((piece) => (piece.page === page ? [{ block, rect: piece.rect }] : []))
		);
}

function isPasted(run: Run, block: Block): boolean {
	return (block.as.pasted ?? false) || withHost(run, block);
}

/** Whether what a member lives in is pasted, on the page where the member stands. */
function withHost(run: Run, { host, pieces: [{ page }] }: Block): boolean {
	return (
		host !== undefined &&
		blocksOn(run, page).some(
			(other) => other.wish === host.wish && ((other.as.pasted ?? false) || withHost(run, other))
		)
	);
}
