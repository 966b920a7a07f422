import { letters, roomOf } from './script';

/** Code points that fonts have letters for, as ranges in rising order, both ends included. */
export type Ranges = readonly (readonly [number, number])[];

/** What the fonts can write by hand, and what they can draw. */
export interface Coverage {
	readonly hand: Ranges;
	readonly lettering: Ranges;
}

/** The shipped fonts have these, and most texts have no others. */
const plain = /^[\x20-\x7e]*$/;
/** Joiners, variation selectors and white space are shown by no letter of their own. */
export const isUnseen = (part: string): boolean =>
	/^[\s\p{Default_Ignorable_Code_Point}]$/u.test(part);
/** As wide as a wide letter, and as an ordinary one; neither is swallowed like a plain space. */
const blank = { 1: '\u2002', 2: '\u2003' } as const;

/** Whether no font has a letter: one of its parts is in none of the ranges. */
export function isMissing(letter: string, ranges: Ranges): boolean {
	for (const part of letter) {
		if (isUnseen(part)) continue;
		const code = part.codePointAt(0) ?? 0;
		if (!ranges.some(([first, last]) => code >= first && code <= last)) return true;
	}
	return false;
}

/** Letters that no font has, each once, in the order in which they come. */
export function missingLetters(
	texts: Iterable<{ readonly text: string; readonly style: string }>,
	coverage: Coverage
): string[] {
	const missing = new Set<string>();
	for (const { text, style } of texts) {
		if (plain.test(text)) continue;
		for (const letter of letters(text))
			if (isMissing(letter, rangesFor(style, coverage))) missing.add(letter);
	}
	return [...missing];
}

/** A text with room left for the letters that no font has. */
export function roomForMissing(text: string, style: string, coverage: Coverage): string {
	if (plain.test(text)) return text;
	const ranges = rangesFor(style, coverage);
	const all = letters(text);
	if (!all.some((letter) => isMissing(letter, ranges))) return text;
	return all.map((letter) => (isMissing(letter, ranges) ? blank[roomOf(letter)] : letter)).join('');
}

function rangesFor(style: string, coverage: Coverage): Ranges {
	return style === 'lettering' ? coverage.lettering : coverage.hand;
}
