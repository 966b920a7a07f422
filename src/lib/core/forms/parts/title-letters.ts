import { text, type Mark } from '../../draw';
import { hangsTogether, leastCapital, letters, runsFromRight, type Hand } from '../../hand';
import type { Rect, Size } from '../../paper';

/** A title's drawn letters, the usual size and the next lower one, and how far words stand apart. (Common practice.) */
export const titleLetter = { w: 2, h: 3 };
const lowerLetter = { w: 1, h: 2 };
export const naturalGap = 1;
const naturalSpace = 2;
const tightSpace = 1;
/** Letters stay so far from the edges of their page or frame. */
const edge = 1;

/** How a title's letters stand on a line. */
export interface TitleFit {
	readonly letter: Size;
	/** Squares between the letters of a word. */
	readonly gap: number;
	/** Squares between words. */
	readonly space: number;
	/** Squares from the first letter's start to the last one's end. */
	readonly used: number;
}

/**
 * The ways to letter a line, the liked one first: the usual size with natural gaps, then without and with narrower spaces, then
 * the same one size lower. (Common practice; 9 letters and a space take 27, then 19, then 18, then 10.)
 */
function waysOf(hand: Hand, line: string): readonly TitleFit[] {
	const least = leastCapital(hand);
	const signs = letters(line);
	const spaces = signs.filter(isSpace).length;
	const drawn = signs.length - spaces;
	const gaps = signs.filter(
		(sign, at) => at > 0 && !isSpace(sign) && !isSpace(signs[at - 1])
	).length;
	const sizes = [{ ...titleLetter, w: Math.max(titleLetter.w, least) }];
	if (lowerLetter.w >= least) sizes.push(lowerLetter);
	return sizes.flatMap((letter) =>
		[
			{ gap: naturalGap, space: naturalSpace },
			{ gap: 0, space: tightSpace }
		].map(({ gap, space }) => ({
			letter,
			gap,
			space,
			used: drawn * letter.w + gaps * gap + spaces * space
		}))
	);
}

const isSpace = (sign: string | undefined) => sign === ' ';

/**
 * The first of these ways, with letters of so many squares at most, that all lines have in a width, less a square at each edge;
 * nothing where they are too long.
 */
export function fitTitle(
	hand: Hand,
	lines: readonly string[],
	width: number,
	high = titleLetter.h
): TitleFit | undefined {
	const all = lines.map((line) => waysOf(hand, line).filter(({ letter }) => letter.h <= high));
	const at = (all[0] ?? []).findIndex((_, way) =>
		all.every((ways) => (ways[way]?.used ?? Infinity) <= width - 2 * edge)
	);
	return all[0]?.[at];
}

/** Squares that a title's line needs: with its natural gaps, and without, both with the edges beside it. */
export function titleWidths(hand: Hand, line: string): number[] {
	return waysOf(hand, line)
		.slice(0, 2)
		.map(({ used }) => used + 2 * edge);
}

/** A line's letters in a rectangle, in the middle and on its foot, each in a box of its own; from the right where it runs from there. */
export function titleLineMarks(line: string, { letter, gap, space }: TitleFit, rect: Rect): Mark[] {
	const signs = letters(line);
	const shown = runsFromRight(line) ? signs.toReversed() : signs;
	const y = rect.y + rect.h - letter.h;
	let x = 0;
	const places = shown.map((sign, at) => {
		if (at > 0 && !isSpace(sign) && !isSpace(shown[at - 1])) x += gap;
		const start = x;
		x += isSpace(sign) ? space : letter.w;
		return { sign, start };
	});
	const left = rect.x + Math.floor((rect.w - x) / 2);
	if (hangsTogether(line)) return [text(line, { x: left, y, w: x, h: letter.h }, 'lettering')];
	return places.flatMap(({ sign, start }) =>
		isSpace(sign) ? [] : [text(sign, { x: left + start, y, ...letter }, 'lettering')]
	);
}
