import { titleOf, type Plan, type Run } from '../fit';
import type { Hand } from '../hand';
import { text, type TextMark, type TextStyle } from '../draw';
import { daysIn, weekdayNames } from '../month';
import { naturalLength, naturalSize, setText } from '../render/pages/lettering-size';
import { allWishes } from '../wish';

/** What can be put on labels. */
export const labelSets = ['dates', 'weekdays', 'names', 'titles'] as const;

export type LabelSet = (typeof labelSets)[number];

/** A piece to be stuck in: a text in a rectangle of whole squares, which is where it is cut. */
export interface Label {
	readonly mark: TextMark;
	/** Size that the text is set in, in squares: one for all of a set. */
	readonly size: number;
}

/** The height of a label in squares; more would be no label. */
export const labelHeights = { least: 1, most: 4 };

/**
 * Labels of a month, `high` squares high and as many whole squares long as their words need: a date is as long as it is high,
 * weekdays are all of one length, names and titles as long as each is, but never longer than `longest`. The texts of a set
 * are of one size, as one hand writes them.
 */
export function labelsOf(
	plan: Plan,
	run: Run,
	set: LabelSet,
	high: number,
	longest: number
): Label[] {
	const { hand } = plan;
	const words = [...new Set(wordsOf(plan, run, set))];
	const { style, air } = looks[set];
	const needed = (word: string) =>
		Math.min(longest, Math.max(1, Math.ceil(air * naturalLength(word, style, high, hand))));
	const even = set === 'weekdays' ? Math.max(1, ...words.map(needed)) : high;
	const marks = words.map((word) => {
		const w = set === 'dates' || set === 'weekdays' ? even : needed(word);
		// In the middle also names that stand at the left on a page: what begins at the cut loses its first stroke.
		return text(word, { x: 0, y: 0, w, h: high }, style, 'center');
	});
	const natural = naturalSize(style, high, hand);
	const size = Math.min(air * natural, ...marks.map((mark) => setText(mark, hand).size));
	return marks.map((mark) => ({ mark, size }));
}

/**
 * How a set is written, and which part of a row's height its letters take: what hangs below the line must not be cut off, as
 * the tail of a Q (common practice).
 */
const looks: Readonly<Record<LabelSet, { readonly style: TextStyle; readonly air: number }>> = {
	dates: { style: 'figure', air: 1 },
	weekdays: { style: 'hand', air: 0.85 },
	names: { style: 'hand', air: 0.85 },
	titles: { style: 'lettering', air: 0.65 }
};

function wordsOf(plan: Plan, run: Run, set: LabelSet): string[] {
	switch (set) {
		case 'dates':
			return Array.from({ length: daysIn(plan.month) }, (_, index) => String(index + 1));
		case 'weekdays':
			return [...weekdayNames(plan.locale, plan.weekStart, 'short')];
		case 'names':
			return allWishes(plan.wishes).flatMap(({ items = [] }) => items.map(({ name }) => name));
		case 'titles':
			return run.blocks.map((block) => titleOf(plan, block).toLocaleUpperCase(plan.locale));
	}
}

/** Squares of a notebook that lie side by side on a tape: 12 mm hold two of 5 mm. */
export function squaresAcross(tapeMm: number, pitchMm: number): number {
	// Half a micrometre is no paper: 4 squares of 3 mm are 12 mm.
	return Math.floor(tapeMm / pitchMm + 0.0005);
}

/** Where the text of a label stands: a point of its baseline in squares. */
export function placeOf({ mark, size }: Label, hand: Hand): ReturnType<typeof setText> {
	return setText(mark, hand, size);
}
