import { describe, expect, test } from 'vitest';
import { someMonth } from '../../../../tests/looks/months';
import { often } from '../../../../tests/support/effort';
import { planWith } from '../../../../tests/support/arbitraries';
import { drawPage, kindOf, planRun, type Block, type Plan, type Run } from '../fit';
import { pieceMarks } from '.';

/** How high the letters of a block's title are drawn on a page. */
function lettersOn(plan: Plan, block: Block, page: number): number[] {
	return pieceMarks(plan, block, page).flatMap((mark) =>
		mark.kind === 'text' && mark.style === 'lettering' ? [mark.h] : []
	);
}

/** Heights of all letters of titles that are seen together; a cover's word is no title. */
function heightsIn(plan: Plan, { blocks }: Run, left: number): number[] {
	return blocks
		.filter(({ as }) => as.title && kindOf(as).purpose !== 'open')
		.flatMap((block) =>
			block.pieces
				.filter(({ page }) => page === left || page === left + 1)
				.flatMap(({ page }) => lettersOn(plan, block, page))
		);
}

describe('titles', () => {
	test('are in letters of one height wherever the book lies open', () => {
		let seen = 0;
		for (let seed = 0; seed < often(30, 10); seed++) {
			const { name, plan } = someMonth(seed);
			if (plan.aim === 'fewest-pages') continue;
			const run = planRun({ ...plan, sizes: 'usual' });
			for (const { number } of run.pages) {
				const heights = heightsIn(plan, run, number - (number % 2));
				seen += heights.length;
				expect(new Set(heights).size, `${name}, page ${number}`).toBeLessThanOrEqual(1);
			}
		}
		expect(seen).toBeGreaterThan(100);
	});

	test('that need small letters make those beside them small, and what is drawn stays as it is', () => {
		const notes = (id: string, title: string, page: number) =>
			({ id, kind: 'notes', filler: false, title, pin: { page } }) as const;
		const short = notes('short', 'Ideas', 12);
		// 27 and 2 at the edges with natural gaps: more than 28 (see `title-letters.ts`).
		const long = notes('long', 'What the sea said today', 13);
		const alone = planWith([short]);
		expect(heightsIn(alone, planRun(alone), 12)).toEqual([3, 3, 3, 3, 3]);
		const both = planWith([short, long]);
		expect(new Set(heightsIn(both, planRun(both), 12))).toEqual(new Set([2]));
		const before = planRun(alone);
		const drawn = { ...both, drawn: drawPage(alone, before, undefined, 12) };
		const after = planRun(drawn);
		const heights = after.blocks.map((block) => [
			block.wish,
			...new Set(lettersOn(drawn, block, block.pieces[0].page))
		]);
		expect(heights).toEqual([
			['short', 3],
			['long', 2]
		]);
	});
});
