import { formsOf, type Plan, type Run, type Titles } from '../../fit';
import { pieceMarks } from '../../page';
import { withChanged } from '../../wish';

/** A change that may make a month shorter to draw. */
export type SimplerWay =
	| { readonly kind: 'titles'; readonly titles: Extract<Titles, 'written' | 'none'> }
	| { readonly kind: 'form'; readonly wish: string; readonly form: string }
	/** Printed and pasted in. */
	| { readonly kind: 'paste'; readonly wish: string };

/** So many of the wishes with the most to draw are looked at. */
const mostWishes = 3;

/** What could be tried where the time does not do: titles, other forms of what takes the most strokes, and pasting it in. */
export function simplerWays(plan: Plan, run: Run): SimplerWay[] {
	const titles = (['written', 'none'] as const).flatMap((titles): SimplerWay[] =>
		plan.titles === titles || plan.titles === 'none' ? [] : [{ kind: 'titles', titles }]
	);
	const long = plan.wishes
		.filter(({ weeks, pin, members }) => !weeks && !pin && !members)
		.map((wish) => ({ wish, marks: marksOf(plan, run, wish.id) }))
		.sort((a, b) => b.marks - a.marks)
		.slice(0, mostWishes);
	const pasted = long.flatMap(({ wish, marks }): SimplerWay[] =>
		wish.pasted || marks === 0 ? [] : [{ kind: 'paste', wish: wish.id }]
	);
	const forms = long.flatMap(({ wish }) => {
		const now = run.blocks.find((block) => block.wish === wish.id)?.form;
		return formsOf(wish).flatMap(({ id }): SimplerWay[] =>
			id === now ? [] : [{ kind: 'form', wish: wish.id, form: id }]
		);
	});
	return [...titles, ...forms, ...pasted];
}

/** What of a month a simpler way changes. */
export function simplified(plan: Plan, way: SimplerWay): Partial<Pick<Plan, 'titles' | 'wishes'>> {
	if (way.kind === 'titles') return { titles: way.titles };
	if (way.kind === 'paste')
		return { wishes: withChanged(plan.wishes, way.wish, (old) => ({ ...old, pasted: true })) };
	const { wish, form } = way;
	return { wishes: withChanged(plan.wishes, wish, (old) => ({ ...old, form, size: undefined })) };
}

function marksOf(plan: Plan, run: Run, wish: string): number {
	return run.blocks
		.filter((block) => block.wish === wish)
		.flatMap((block) => block.pieces.map(({ page }) => pieceMarks(plan, block, page).length))
		.reduce((sum, count) => sum + count, 0);
}
