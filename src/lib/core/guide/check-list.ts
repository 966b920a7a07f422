import { titleOf, type Block, type Plan, type Run } from '../fit';
import { pieceMarks } from '../page';
import { monthShape, weekdayNames } from '../month';
import { pageOf } from '../paper';

/** What to look over once a page is drawn. */
export function checkList(plan: Plan, run: Run, page: number): string[] {
	const { columns, rows } = pageOf(plan.notebook, page);
	const blocks = run.blocks.filter(({ pieces }) => pieces.some((piece) => piece.page === page));
	if (blocks.length === 0) return [];
	const checks = blocks.flatMap((block) => [...datesOf(plan, block), ...lettersOf(plan, block)]);
	return [
		...new Set(checks),
		`Nothing goes over the edge: ${columns} squares across, ${rows} down.`
	];
}

function datesOf(plan: Plan, block: Block): string[] {
	const month = monthShape(plan.month, plan.weekStart);
	const texts = textsOf(plan, block).map(({ text }) => text);
	const dates = Array.from({ length: month.days }, (_, index) => String(index + 1));
	const all = dates.every((date) => texts.filter((text) => text === date).length === 1);
	if (!all) return [];
	const where = block.pieces.length > 1 ? ' on the two pages together' : '';
	const weekday = weekdayNames(plan.locale, plan.weekStart, 'long')[month.lead] ?? '';
	return [`Every date from 1 to ${month.days} is there once${where}.`, `The 1st is a ${weekday}.`];
}

function lettersOf(plan: Plan, block: Block): string[] {
	const drawn = textsOf(plan, block).filter(({ style }) => style === 'lettering');
	if (drawn.length === 0) return [];
	const word = drawn.map(({ text }) => text).join('');
	const title = titleOf(plan, block);
	// Spaces are not drawn, but they are read.
	const read = title.replaceAll(' ', '') === word ? title : word;
	return [`“${read}” has all its ${drawn.length} letters.`];
}

function textsOf(plan: Plan, block: Block) {
	return block.pieces
		.flatMap(({ page }) => pieceMarks(plan, block, page))
		.flatMap((mark) => (mark.kind === 'text' ? [mark] : []));
}
