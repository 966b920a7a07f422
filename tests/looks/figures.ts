import { formById, titleStyle } from '../../src/lib/core/forms';
import type { Plan, Run } from '../../src/lib/core/fit';
import { emptyRects } from '../../src/lib/core/fit/choices/space';
import type { Page } from '../../src/lib/core/paper';

/** What can be counted of a drawn page without an eye. */
export interface PageFigures {
	readonly page: number;
	/** Nothing stands on it, and something does on a later one. */
	readonly blank: boolean;
	/** Share of the page that its largest empty rectangle takes. */
	readonly empty: number;
	/** Lettered titles stand beside written ones. */
	readonly mixed: boolean;
}

/** Figures of every page of a run. */
export function figuresOf(plan: Plan, run: Run): PageFigures[] {
	const own = run.blocks.filter(({ host }) => host === undefined);
	const last = Math.max(0, ...own.flatMap(({ pieces }) => pieces.map(({ page }) => page)));
	return run.pages.map((page) => {
		const here = own.flatMap((block) =>
			block.pieces.flatMap((piece) => (piece.page === page.number ? [{ block, piece }] : []))
		);
		const rects = here.map(({ piece: { rect } }) => rect);
		return {
			page: page.number,
			blank: here.length === 0 && page.number < last,
			empty: emptyShare(page, rects),
			mixed: new Set(here.flatMap(({ block }) => styleOf(block.as, block.form))).size > 1
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
