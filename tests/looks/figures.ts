import { formById, titleStyle } from '../../src/lib/core/forms';
import type { Plan, Run } from '../../src/lib/core/fit';
import { emptyRects } from '../../src/lib/core/fit/choices/space';
import { spreadOf, type Page } from '../../src/lib/core/paper';
import { kindOf } from '../../src/lib/core/fit';
import { pieceMarks } from '../../src/lib/core/page';
import type { Block } from '../../src/lib/core/fit';

/** What can be counted of a drawn page without an eye. */
export interface PageFigures {
	readonly page: number;
	/** Nothing stands on it, and something does on a later one. */
	readonly blank: boolean;
	/** Share of the page that its largest empty rectangle takes. */
	readonly empty: number;
	/** Lettered titles stand beside written ones. */
	readonly mixed: boolean;
	/** Titles in letters of unlike heights lie open beside each other. */
	readonly unlike: boolean;
	/** Letters of a title touch the page's edge, or a line beside them. */
	readonly atEdge: boolean;
	/** Tables with room for more than one and a half times as much as is wanted. */
	readonly ample: number;
	readonly tables: number;
	/** Things of one kind on the page have unlike forms or cells. */
	readonly siblings: boolean;
}

/** Figures of every page of a run. */
export function figuresOf(plan: Plan, run: Run): PageFigures[] {
	const own = run.blocks.filter(({ host }) => host === undefined);
	const last = Math.max(0, ...own.flatMap(({ pieces }) => pieces.map(({ page }) => page)));
	const onSpread = (page: number) => {
		const { left, right } = spreadOf(page);
		return own.filter(({ pieces }) => pieces.some(({ page }) => page === left || page === right));
	};
	return run.pages.map((page) => {
		const here = own.flatMap((block) =>
			block.pieces.flatMap((piece) => (piece.page === page.number ? [{ block, piece }] : []))
		);
		const rects = here.map(({ piece: { rect } }) => rect);
		return {
			page: page.number,
			blank: here.length === 0 && page.number < last,
			empty: emptyShare(page, rects),
			mixed: new Set(here.flatMap(({ block }) => styleOf(block.as, block.form))).size > 1,
			unlike: new Set(onSpread(page.number).flatMap((block) => lettersOf(plan, block))).size > 1,
			atEdge: here.some(({ block }) => touches(plan, block, page)),
			ample: here.filter(({ block }) => fillOf(block) > 1.5).length,
			tables: here.filter(({ block }) => fillOf(block) > 0).length,
			siblings: areUnlike(here.map(({ block }) => block))
		};
	});
}

function emptyShare({ columns, rows }: Page, rects: Parameters<typeof emptyRects>[1]): number {
	const [largest] = emptyRects({ w: columns, h: rows }, rects);
	return largest ? (largest.w * largest.h) / (columns * rows) : 0;
}

function styleOf(as: Run['blocks'][number]['as'], formId: string): string[] {
	const form = formById(formId);
	if (!as.title || !form?.rules.includes(titleStyle)) return [];
	return [titleStyle.of({ rules: as.rules?.[formId] ?? {} }) ?? 'lettered'];
}

/** Marks of a title's letters, of what is no opening page. */
function titleLetters(plan: Plan, block: Block, page: number) {
	if (kindOf(block.as).purpose === 'open' || !block.as.title) return [];
	return pieceMarks(plan, block, page).flatMap((mark) =>
		mark.kind === 'text' && mark.style === 'lettering' ? [mark] : []
	);
}

function lettersOf(plan: Plan, block: Block): number[] {
	return block.pieces.flatMap(({ page }) => titleLetters(plan, block, page).map(({ h }) => h));
}

function touches(plan: Plan, block: Block, page: Page): boolean {
	const lines = pieceMarks(plan, block, page.number).flatMap((mark) =>
		mark.kind === 'line' && mark.x1 === mark.x2 ? [mark] : []
	);
	// A title over both pages goes up to the fold.
	const over = block.pieces.length > 1;
	return titleLetters(plan, block, page.number).some(
		({ x, y, w, h }) =>
			(x <= 0 && !(over && page.side === 'right')) ||
			(x + w >= page.columns && !(over && page.side === 'left')) ||
			lines.some(
				({ x1, y1, y2 }) =>
					(x1 === x || x1 === x + w) && Math.min(y1, y2) < y + h && Math.max(y1, y2) > y
			)
	);
}

/** How often a table holds what is wanted; 0 where nothing is said. */
function fillOf({ as, form, facts }: Block): number {
	const wanted = Number(as.rules?.[form]?.entries ?? 0);
	return form === 'table' && wanted > 0 ? (facts.capacity ?? 0) / wanted : 0;
}

function areUnlike(blocks: readonly Block[]): boolean {
	const looks = new Map<string, Set<string>>();
	for (const { as, form, facts } of blocks)
		looks.set(as.kind, (looks.get(as.kind) ?? new Set()).add(JSON.stringify([form, facts.cell])));
	return [...looks.values()].some(({ size }) => size > 1);
}
