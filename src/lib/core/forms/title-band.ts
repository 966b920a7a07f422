import { line, text, type Mark } from '../draw';
import { fitLettering, letters } from '../hand';
import type { Rect } from '../paper';
import type { Setting } from './form';

/** Height of a page title: 1 square above the letters, 2 for them, 1 below (common practice: 4). */
export const titleHeight = 4;

/** Squares the wish's title takes at the top of its block: 4, 1 where it must, or 0 where it has none. */
export function titleRows(setting: Setting): number {
	return setting.wish.title ? (setting.titleRows ?? titleHeight) : 0;
}

/**
 * Drawn letters, each in a box of its own, centred in a rectangle. Where not even letters of two
 * squares fit, the word is written in one piece instead of drawn.
 */
export function letteringMarks(word: string, rect: Rect): Mark[] {
	const drawn = letters(word);
	const spaced = fitLettering(drawn.length, rect.w, rect.h);
	const fit =
		spaced && spaced.letter >= 2 ? spaced : fitLettering(drawn.length, rect.w, rect.h, true);
	if (!fit || fit.letter < 2) return [text(word, rect, 'hand')];
	return drawn.flatMap((letter, index) =>
		letter === ' '
			? []
			: [
					text(
						letter,
						{
							x: rect.x + fit.margin + index * (fit.letter + fit.gap),
							y: rect.y + Math.floor((rect.h - fit.letter) / 2),
							w: fit.letter,
							h: fit.letter
						},
						'lettering'
					)
				]
	);
}

/** The title over the full width of a block's first rows, nothing where the wish has no title. */
export function titleMarks(setting: Setting, width: number, ruled: boolean): Mark[] {
	const { title } = setting.wish;
	if (!title) return [];
	const rows = titleRows(setting);
	const letters = letteringMarks(
		title,
		rows < titleHeight
			? { x: 0, y: 0, w: width, h: rows }
			: { x: 0, y: 1, w: width, h: titleHeight - 2 }
	);
	return ruled ? [...letters, line(0, rows, width, rows)] : letters;
}
