import { marginMm, type Notebook, type Side } from '../paper';
import { frontsOf, usual, type Cut } from './cut';
import { leafLines } from './cut-lines';
import { cutInWords, mm } from './cut-words';
import { compassOf } from './removed';

/** Cutting one leaf, with the numbers for its front and for its back. */
export interface CutStep {
	readonly cut: string;
	readonly front: number;
	readonly text: string;
	/** The same cut measured from the back, whose dots may lie elsewhere. */
	readonly back: string;
}

/** What to mind with a blade (common practice). */
export const cautions = [
	'Cut before you draw: a cut takes squares from both sides of a leaf.',
	'Lay a board under the leaf, and nothing of the book beneath the blade.',
	'Use a metal ruler, cut slowly and with several light strokes; fingers away from the line, the blade away from you.',
	'Keep the scraps: they patch mistakes.'
] as const;

/** How the sentences of a cut count. */
export const dotsCount =
	'Columns and rows of dots count from 0, the first dot of the page that is named; lengths are measured from its paper’s edges.';

/** When a page with a window is drawn (common practice). */
export const windowLast =
	'With a window: draw what is to show through it, cut, and finish the page with the window last.';

/** Why a waterfall is begun at its end (common practice). */
export const fromTheEnd =
	'A waterfall is cut from its last leaf backwards: a cut that comes out wider costs every leaf before it.';

/** The order in which leaves are cut: cut by cut, a waterfall from its last leaf backwards. */
export function cutOrder(notebook: Notebook, cuts: readonly Cut[]): CutStep[] {
	return cuts.flatMap((cut, at) => {
		const fronts = frontsOf(cut);
		const whole = cut.lastUncut ? fronts.at(-1) : undefined;
		const turned = cut.kind === 'waterfall' ? fronts.toReversed() : fronts;
		const ordered = turned.filter((front) => front !== whole);
		if (cut.kind === 'glue')
			return ordered.slice(1).map((front): CutStep => ({
				cut: cut.id,
				front,
				text: `Glue the back of leaf ${front - 2}/${front - 1} to the front of leaf ${front}/${front + 1}.`,
				back: ''
			}));
		if (cut.kind === 'corner') {
			const radius = mm((cut.amount ?? usual.corner) * notebook.pitchMm);
			const round = `round both outer corners with a radius of ${radius} mm`;
			return ordered.map((front): CutStep => ({
				cut: cut.id,
				front,
				text: `Leaf ${front}/${front + 1}, on page ${front}: ${round}.`,
				back: `On page ${front + 1}: ${round}.`
			}));
		}
		const compass = compassOf(cut);
		if (compass)
			return ordered.map((front): CutStep => ({
				cut: cut.id,
				front,
				text: `Leaf ${front}/${front + 1}, on page ${front}: ${compassInWords(notebook, cut, compass, 'right')}.`,
				back: `On page ${front + 1}: ${compassInWords(notebook, cut, compass, 'left')}.`
			}));
		return ordered.flatMap((front): CutStep[] =>
			leafLines(notebook, cuts.slice(0, at + 1), front).flatMap((lines) => {
				if (lines.cut !== cut || lines.front.length === 0) return [];
				const words = cutInWords(notebook, lines);
				return {
					cut: cut.id,
					front,
					text: `Leaf ${front}/${front + 1}, on page ${front}: ${words.front}.`,
					back: `On page ${front + 1}: ${words.back}.`
				};
			})
		);
	});
}

/** Where the compass stands on a side of a leaf, and what is straight below an arch. */
function compassInWords(
	notebook: Notebook,
	{ rect, shape }: Cut,
	{ x, y, radius }: NonNullable<ReturnType<typeof compassOf>>,
	side: Side
): string {
	const front = marginMm(notebook, 'right');
	const fromLeft = front.x + x * notebook.pitchMm;
	const across = side === 'right' ? fromLeft : notebook.pageMm.width - fromLeft;
	const down = front.y + y * notebook.pitchMm;
	const circle = `set the compass ${mm(across)} mm from the left edge and ${mm(down)} mm from the top, open by ${mm(radius * notebook.pitchMm)} mm`;
	if (shape === 'circle' || !rect) return `${circle}, and cut around the circle`;
	const sides = mm((rect.y + rect.h - y) * notebook.pitchMm);
	return `${circle}, cut around its upper half, then ${sides} mm straight down from both ends and across`;
}
