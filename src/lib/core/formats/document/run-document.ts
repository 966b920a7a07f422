import type { Mark } from '../../draw';
import {
	cutsOf,
	PackingCache,
	unreadIn,
	type Unread,
	remediesFor,
	sharedPages,
	type Gap,
	type SharedPage,
	type Sizes,
	usableSquares,
	type Plan,
	type Remedy,
	type Run
} from '../../fit';
import { blocksOn, pieceMarks } from '../../page';
import type { Facts } from '../../forms';
import { spreadOf, type Rect, type Side } from '../../paper';
import { frontsOf, leafLines, openingAt, seenRects, type CutLine } from '../../cuts';

const mostExplained = 3;
const mostTries = 12;

/** A block's part on one page, as the API gives it. */
export interface BlockDocument {
	readonly wish: string;
	/** Of a member: the wish in whose room it stands, and the room. */
	readonly in?: string;
	readonly room?: string;
	readonly form: string;
	readonly rect: Rect;
	readonly why: readonly string[];
	readonly facts: Facts;
	readonly marks?: readonly Mark[];
}

export interface RunPageDocument {
	readonly number: number;
	readonly side: Side;
	readonly columns: number;
	readonly rows: number;
	readonly usable: readonly Rect[];
	readonly blocks: readonly BlockDocument[];
}

/** What is seen of a page when the book lies open: its squares that are wholly in view. */
export interface SeenDocument {
	readonly page: number;
	readonly visible: readonly Rect[];
}

/** The book lying open at a spread, through its cuts; what lies on top comes first. */
export interface OpeningDocument {
	readonly left: readonly SeenDocument[];
	readonly right: readonly SeenDocument[];
}

/** Where one leaf is cut, in mm from the left and upper paper edge of its front and of its back. */
export interface CutLinesDocument {
	readonly cut: string;
	readonly leaf: { readonly front: number; readonly back: number };
	readonly front: readonly CutLine[];
	readonly back: readonly CutLine[];
}

/** The answer to a plan request. */
export interface RunDocument {
	readonly run: {
		readonly pages: readonly RunPageDocument[];
		readonly pagesUsed: number;
		/** The sizes of which it is the best. */
		readonly sizes: Sizes;
		readonly optimal: boolean;
		readonly bound: number;
		/** The bound in pages, things left out and comfort. */
		readonly gap: Gap;
		/** Pages on which things of different purposes stand, and why. */
		readonly shared: readonly SharedPage[];
		readonly openings: readonly OpeningDocument[];
		readonly cutLines: readonly CutLinesDocument[];
		/** What was written for a wish and stands nowhere on its pages. */
		readonly unread: readonly Unread[];
		readonly unplaced: readonly {
			readonly wish: string;
			readonly part?: string;
			readonly reason: string;
			readonly remedies?: readonly Pick<Remedy, 'text' | 'changes'>[];
		}[];
	};
}

/** What an answer holds only when it is asked for. */
export interface Included {
	readonly marks: boolean;
	/** What was worked out for the run: remedies are runs of their own, and share it. */
	readonly remedies: PackingCache | undefined;
}

/** A run as the API answers it, with each block's marks and with remedies if asked for. */
export function runDocument(plan: Plan, run: Run, include: Included): RunDocument {
	const { remedies: cache } = include;
	const explained = [...new Set(run.unplaced.map(({ wish }) => wish))].slice(0, mostExplained);
	return {
		run: {
			pages: run.pages.map((page) => ({
				number: page.number,
				side: page.side,
				columns: page.columns,
				rows: page.rows,
				usable: usableSquares(plan, page.number).rects,
				blocks: blocksOn(run, page.number).flatMap((block) =>
					block.pieces
						.filter((piece) => piece.page === page.number)
						.map((piece) => ({
							wish: block.wish,
							...(block.host ? { in: block.host.wish, room: block.host.room } : {}),
							form: block.form,
							rect: piece.rect,
							why: block.why,
							facts: block.facts,
							...(include.marks ? { marks: pieceMarks(plan, block, page.number) } : {})
						}))
				)
			})),
			pagesUsed: run.pagesUsed,
			sizes: run.sizes,
			optimal: run.optimal,
			bound: run.bound,
			gap: run.gap,
			shared: sharedPages(plan, run),
			...cutDocuments(plan),
			unread: unreadIn(plan, run),
			unplaced: run.unplaced.map(({ wish, part, reason }, index, all) => ({
				wish,
				...(part === undefined ? {} : { part }),
				reason,
				// Each remedy is a run of its own, so only the first few misfits get any.
				...(cache
					? {
							remedies:
								explained.includes(wish) && all.findIndex((other) => other.wish === wish) === index
									? remediesFor(plan, run, wish, cache, mostTries).map(({ text, changes }) => ({
											text,
											changes
										}))
									: []
						}
					: {})
			}))
		}
	};
}

function cutDocuments(plan: Plan): Pick<RunDocument['run'], 'openings' | 'cutLines'> {
	const { notebook } = plan;
	const cuts = cutsOf(plan);
	const fronts = [...new Set(cuts.flatMap(frontsOf))].sort((a, b) => a - b);
	const spreads = new Set(fronts.flatMap((front) => [front - 1, front + 1]));
	const seen = (stack: ReturnType<typeof openingAt>['left']) =>
		stack
			.filter(({ page }) => page > 0)
			.map(({ page }): SeenDocument => ({ page, visible: seenRects(notebook, stack, page) }));
	return {
		openings: [...spreads].map((left) => {
			const opening = openingAt(notebook, cuts, spreadOf(left).left);
			return { left: seen(opening.left), right: seen(opening.right) };
		}),
		cutLines: fronts.flatMap((front) =>
			leafLines(notebook, cuts, front).map(({ cut, front: lines, back }) => ({
				cut: cut.id,
				leaf: { front, back: front + 1 },
				front: lines,
				back
			}))
		)
	};
}
