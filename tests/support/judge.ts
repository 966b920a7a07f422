import { kinds } from '../../src/lib/core/catalogue';
import type { Plan, Run } from '../../src/lib/core/fit';

/** Kinds that move freely unless a wish says otherwise. */
const fillerKinds = new Set(kinds.filter(({ filler }) => filler).map(({ id }) => id));

/**
 * Judges a run by the rules alone; shares no code with the planner. Gives every rule that is broken.
 */
export function brokenRules(plan: Plan, run: Run): string[] {
	const broken: string[] = [];
	const { notebook } = plan;
	const grid = (number: number) => {
		const own = notebook.pages?.find((page) => page.number === number);
		return {
			columns: own?.columns ?? notebook.columns,
			rows: own?.rows ?? notebook.rows,
			free:
				own?.state === undefined &&
				notebook.freePages.some((range) => range.first <= number && number <= range.last)
		};
	};
	const taken = new Map<string, string>();
	const perPage = new Map<number, number>();
	for (const block of run.blocks) {
		for (const { page, rect } of block.pieces) {
			const { columns, rows, free } = grid(page);
			perPage.set(page, (perPage.get(page) ?? 0) + 1);
			if (!free) broken.push(`${block.wish} lies on page ${page}, which is not free`);
			if (![rect.x, rect.y, rect.w, rect.h].every(Number.isInteger))
				broken.push(`${block.wish} is not in whole squares`);
			if (rect.x < 0 || rect.y < 0 || rect.x + rect.w > columns || rect.y + rect.h > rows)
				broken.push(`${block.wish} leaves page ${page}`);
			for (let x = rect.x; x < rect.x + rect.w; x++)
				for (let y = rect.y; y < rect.y + rect.h; y++) {
					const square = `${page} ${x} ${y}`;
					if (taken.has(square)) broken.push(`${block.wish} lies on ${taken.get(square)}`);
					taken.set(square, block.wish);
				}
		}
		const [left, right] = block.pieces;
		if (right && (left.page % 2 !== 0 || right.page !== left.page + 1))
			broken.push(`${block.wish} lies over pages ${left.page} and ${right.page}`);
		const wish = plan.wishes.find(({ id }) => id === block.wish);
		if (wish?.side === 'left' && left.page % 2 !== 0) broken.push(`${wish.id} is not on the left`);
		if (wish?.side === 'right' && left.page % 2 !== 1)
			broken.push(`${wish.id} is not on the right`);
		const filler = wish?.filler ?? fillerKinds.has(wish?.kind ?? '');
		if (wish?.size && !filler && (left.rect.w !== wish.size.w || left.rect.h !== wish.size.h))
			broken.push(`${wish.id} has not the size asked for`);
	}
	for (const [page, count] of perPage)
		if (count > 8) broken.push(`page ${page} holds ${count} wishes`);
	const ordered = plan.wishes.filter(
		(wish) => !wish.pin && !(wish.filler ?? fillerKinds.has(wish.kind))
	);
	let last = 0;
	for (const wish of ordered) {
		const page = run.blocks.find((block) => block.wish === wish.id)?.pieces[0].page;
		if (page === undefined) continue;
		if (page < last) broken.push(`${wish.id} stands before what comes before it`);
		last = page;
	}
	for (const wish of plan.wishes) {
		const placed = run.blocks.filter((block) => block.wish === wish.id).length;
		const lost = run.unplaced.filter((unplaced) => unplaced.wish === wish.id).length;
		if (placed + lost !== 1) broken.push(`${wish.id} is placed ${placed} and lost ${lost} times`);
	}
	return broken;
}
