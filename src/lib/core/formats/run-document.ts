import type { Mark } from '../draw';
import {
	blocksOn,
	PackingCache,
	pieceMarks,
	remediesFor,
	type Plan,
	type Remedy,
	type Run
} from '../fit';
import type { Facts } from '../forms';
import { gridOf, type Rect, type Side } from '../paper';

const mostExplained = 3;
const mostTries = 12;

/** A block's part on one page, as the API gives it. */
export interface BlockDocument {
	readonly wish: string;
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

/** The answer to a plan request. */
export interface RunDocument {
	readonly run: {
		readonly pages: readonly RunPageDocument[];
		readonly pagesUsed: number;
		readonly optimal: boolean;
		readonly bound: number;
		readonly unplaced: readonly {
			readonly wish: string;
			readonly part?: string;
			readonly reason: string;
			readonly remedies: readonly Pick<Remedy, 'text' | 'changes'>[];
		}[];
	};
}

/** A run as the API answers it, with each block's marks if asked for. */
export function runDocument(plan: Plan, run: Run, withMarks: boolean): RunDocument {
	const cache = new PackingCache();
	const explained = [...new Set(run.unplaced.map(({ wish }) => wish))].slice(0, mostExplained);
	return {
		run: {
			pages: run.pages.map((page) => ({
				number: page.number,
				side: page.side,
				columns: page.columns,
				rows: page.rows,
				usable: [gridOf(page)],
				blocks: blocksOn(run, page.number).flatMap((block) =>
					block.pieces
						.filter((piece) => piece.page === page.number)
						.map((piece) => ({
							wish: block.wish,
							form: block.form,
							rect: piece.rect,
							why: block.why,
							facts: block.facts,
							...(withMarks ? { marks: pieceMarks(plan, block, page.number) } : {})
						}))
				)
			})),
			pagesUsed: run.pagesUsed,
			optimal: run.optimal,
			bound: run.bound,
			unplaced: run.unplaced.map(({ wish, part, reason }, index, all) => ({
				wish,
				...(part === undefined ? {} : { part }),
				reason,
				// Each remedy is a run of its own, so only the first few misfits get any.
				remedies:
					explained.includes(wish) && all.findIndex((other) => other.wish === wish) === index
						? remediesFor(plan, run, wish, cache, mostTries).map(({ text, changes }) => ({
								text,
								changes
							}))
						: []
			}))
		}
	};
}
