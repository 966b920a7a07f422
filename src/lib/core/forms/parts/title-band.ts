import { titleStyle } from '../form/common-rules';
import { line, text, type Mark } from '../../draw';
import { hangsTogether, letters, runsFromRight, type Lettering } from '../../hand';
import type { Rect } from '../../paper';
import type { Setting } from '../form/form';
import { fitTitle, titleLetter, titleLineMarks } from './title-letters';

/** Height of a page title: 3 squares for the letters, 1 below (common practice: 4). */
export const titleHeight = 4;

/** Squares the wish's title takes at the top of its block: 4, 8 on two lines, 1 where it is written, 0 where it has none. */
export function titleRows(setting: Setting): number {
	if (!setting.content.title) return 0;
	switch (titleStyle.of(setting)) {
		case 'none':
			return 0;
		case 'written':
			return 1;
		case 'two-lines':
			return 2 * titleHeight;
		default:
			return titleHeight;
	}
}

/**
 * Letters of a word where a lettering puts them, each in a box of its own as high as the rectangle, from the right
 * where the word runs from there; a word whose letters hang together is drawn in one piece.
 */
export function drawnLetters(drawn: readonly string[], fit: Lettering, rect: Rect): Mark[] {
	const word = drawn.join('');
	if (hangsTogether(word))
		return [text(word, { ...rect, x: rect.x + fit.margin, w: fit.used }, 'lettering')];
	const last = drawn.length - 1;
	const fromRight = runsFromRight(word);
	return drawn.flatMap((letter, index) => {
		const place = fromRight ? last - index : index;
		const x = rect.x + fit.margin + place * (fit.letter + fit.gap);
		return letter === ' ' ? [] : [text(letter, { ...rect, x, w: fit.letter }, 'lettering')];
	});
}

/**
 * A title's words on two lines whose longer one is as short as can be; undefined where there is only one word. Words
 * part at spaces.
 */
export function twoLines(title: string): readonly [string, string] | undefined {
	const words = title.split(' ').filter(Boolean);
	const ways = words.slice(1).map((_, index): readonly [string, string] => {
		const at = index + 1;
		return [words.slice(0, at).join(' '), words.slice(at).join(' ')];
	});
	const longest = (lines: readonly string[]) =>
		Math.max(...lines.map((line) => letters(line).length));
	return ways.sort((a, b) => longest(a) - longest(b))[0];
}

/**
 * Lines of a title, centred one below the other from a rectangle's top in the same letters; where they are too long for any,
 * written in one piece instead of drawn. `high` is what each line has.
 */
function titleLines(
	{ hand, letters: most }: Setting,
	lines: readonly string[],
	rect: Rect,
	high: number
): Mark[] {
	const fit = rect.h < titleLetter.h ? undefined : fitTitle(hand, lines, rect.w, most);
	return lines.flatMap((line, index) => {
		const own = { ...rect, y: rect.y + index * high };
		return fit ? titleLineMarks(line, fit, own) : [text(line, own, 'hand')];
	});
}

/** A title's letters, centred in a rectangle: whole, or as far as its words fit. */
export function titleMarksIn(setting: Setting, rect: Rect): Mark[] {
	const { title } = setting.content;
	return title ? titleLines(setting, [title], rect, titleHeight) : [];
}

/** The title over the full width of a block's first rows, nothing where the wish has no title. */
export function titleMarks(setting: Setting, width: number, ruled: boolean): Mark[] {
	const { title } = setting.content;
	if (!title) return [];
	const rows = titleRows(setting);
	if (rows === 0) return [];
	const both = titleStyle.of(setting) === 'two-lines' ? twoLines(title) : undefined;
	const rect = { x: 0, y: 0, w: width, h: Math.min(rows, titleLetter.h) };
	const marks = titleLines(setting, both ?? [title], rect, titleHeight);
	return ruled ? [...marks, line(0, rows, width, rows)] : marks;
}
