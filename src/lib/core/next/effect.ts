import type { Block, Run } from '../fit';
import type { Proposal } from './proposal';
import { moreEnd } from './table-proposals';

/** What a proposal comes to in the next month as it is planned with it and without. */
export interface Effect {
	/** Pages of the month without it and with it. */
	readonly pages: { readonly before: number; readonly after: number };
	/** How many more wishes find no place. */
	readonly lost: number;
	/** What changes, as it is drawn; nothing where nothing of it is drawn otherwise. */
	readonly what: string | undefined;
}

/** Compares the next month planned without a proposal and with it. */
export function effectOf({ wish, what, rows }: Proposal, before: Run, after: Run): Effect {
	const own = ({ blocks }: Run) =>
		blocks.filter((block) => block.wish === wish || block.wish.startsWith(wish + moreEnd));
	return {
		pages: { before: before.pagesUsed, after: after.pagesUsed },
		lost: after.unplaced.length - before.unplaced.length,
		what:
			rows && own(before).length > 0
				? rowsDrawn(rows, rowsIn(own(before)), rowsIn(own(after)))
				: drawing(own(before)) === drawing(own(after))
					? undefined
					: what
	};
}

const rowsIn = (blocks: readonly Block[]) =>
	blocks.reduce((sum, { facts }) => sum + (facts.capacity ?? 0), 0);

function rowsDrawn(
	{ name, needed }: { readonly name: string; readonly needed: number },
	before: number,
	after: number
): string | undefined {
	const asWanted = needed > before ? after > before : after < before;
	if (!asWanted) return undefined;
	const more = after > needed ? `, where ${needed} are needed` : '';
	return `${name}: ${after} rows instead of ${before}${more}`;
}

/** How blocks are ruled, wherever they stand. */
function drawing(blocks: readonly Block[]): string {
	return JSON.stringify(
		blocks.map(({ form, as, facts, pieces }) => [
			form,
			as.items,
			as.columns,
			as.goals,
			facts,
			pieces.map(({ rect: { w, h } }) => [w, h])
		])
	);
}
