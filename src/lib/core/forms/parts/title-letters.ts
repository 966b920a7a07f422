import { text, type Mark, type TextMark } from '../../draw';
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

/** Where the letters of a line begin, counted from the first one, and how long it is. */
function spaced(line: string, { letter, gap, space }: TitleFit) {
	const signs = letters(line);
	const shown = runsFromRight(line) ? signs.toReversed() : signs;
	let used = 0;
	const places = shown.flatMap((sign, at) => {
		if (at > 0 && !isSpace(sign) && !isSpace(shown[at - 1])) used += gap;
		const start = used;
		used += isSpace(sign) ? space : letter.w;
		return isSpace(sign) ? [] : [{ sign, start, end: used }];
	});
	return { places, used };
}

/** A line's letters in a rectangle, in the middle and on its foot, each in a box of its own; from the right where it runs from there. */
export function titleLineMarks(line: string, fit: TitleFit, rect: Rect): Mark[] {
	const { letter } = fit;
	const { places, used } = spaced(line, fit);
	const y = rect.y + rect.h - letter.h;
	const left = rect.x + Math.floor((rect.w - used) / 2);
	if (hangsTogether(line)) return [text(line, { x: left, y, w: used, h: letter.h }, 'lettering')];
	return places.map(({ sign, start }) =>
		text(sign, { x: left + start, y, ...letter }, 'lettering')
	);
}

/**
 * A line's letters over both pages of a spread, on the foot of a title's band: the fold, of which the left page is `width` wide,
 * takes the place of the gap that parts them most evenly.
 */
export function lettersOver(
	line: string,
	fit: TitleFit,
	width: number
): readonly [TextMark[], TextMark[]] {
	const { letter } = fit;
	const { places, used } = spaced(line, fit);
	const parted = (at: number) => (places[at - 1]?.end ?? 0) - (used - (places[at]?.start ?? used));
	const at = places
		.map((_, index) => index)
		.reduce((best, index) => (Math.abs(parted(index)) < Math.abs(parted(best)) ? index : best), 0);
	const y = titleLetter.h - letter.h;
	const mark = (sign: string, x: number) => text(sign, { x, y, ...letter }, 'lettering');
	const end = places[at - 1]?.end ?? 0;
	const begin = places[at]?.start ?? 0;
	return [
		places.slice(0, at).map(({ sign, start }) => mark(sign, width - end + start)),
		places.slice(at).map(({ sign, start }) => mark(sign, start - begin))
	];
}
