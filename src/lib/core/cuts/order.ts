import { marginMm, type Notebook, type Side } from '../paper';
import { frontsOf, usual, type Cut } from './cut';
import { leafLines, type CutLine } from './cut-lines';
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

/** When a page with a window is drawn (common practice). */
export const windowLast =
	'With a window: draw what is to show through it, cut, and finish the page with the window last.';

/** Why a waterfall is begun at its end (common practice). */
export const fromTheEnd =
	'A waterfall is cut from its last leaf backwards: a cut that comes out wider costs every leaf before it.';

/** The order in which leaves are cut: cut by cut, a waterfall from its last leaf backwards. */
export function cutOrder(notebook: Notebook, cuts: readonly Cut[]): CutStep[] {
	return cuts.flatMap((cut) => {
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
			leafLines(notebook, [cut], front).map(({ front: seen, back }) => ({
				cut: cut.id,
				front,
				text: `Leaf ${front}/${front + 1}, on page ${front}: ${linesInWords(notebook, seen)}.`,
				back: `On page ${front + 1}: ${linesInWords(notebook, back)}.`
			}))
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

/** Cut lines in words: a straight one by its distance from two paper edges, others by their ends. */
export function linesInWords(notebook: Notebook, lines: readonly CutLine[]): string {
	const { width, height } = notebook.pageMm;
	return lines
		.map(({ from, to, offDots }) => {
			const off = offDots > 0 ? ` (${mm(offDots)} mm beside the dots)` : '';
			if (from.x === to.x) {
				const [top, bottom] = [Math.min(from.y, to.y), Math.max(from.y, to.y)];
				const reach =
					top <= 0 && bottom >= height
						? 'from top to bottom'
						: `from ${mm(top)} to ${mm(bottom)} mm`;
				return `${mm(from.x)} mm from the left edge and ${mm(width - from.x)} mm from the right, ${reach}${off}`;
			}
			if (from.y === to.y) {
				const [left, right] = [Math.min(from.x, to.x), Math.max(from.x, to.x)];
				const reach =
					left <= 0 && right >= width ? 'from side to side' : `from ${mm(left)} to ${mm(right)} mm`;
				return `${mm(from.y)} mm from the top edge and ${mm(height - from.y)} mm from the bottom, ${reach}${off}`;
			}
			return `from (${mm(from.x)}, ${mm(from.y)}) to (${mm(to.x)}, ${mm(to.y)}) mm`;
		})
		.join('; ');
}

function mm(length: number): string {
	return String(Math.round(length * 100) / 100);
}
