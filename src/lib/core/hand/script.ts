import { eastAsianWidth } from 'get-east-asian-width';

const rightToLeft =
	/[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u;
const hanging =
	/\p{Script=Arabic}|\p{Script=Syriac}|\p{Script=Mongolian}|\p{Script=Devanagari}|\p{Script=Bengali}|\p{Script=Gurmukhi}|\p{Script=Nko}|\p{Script=Mandaic}/u;
const segmenter = new Intl.Segmenter('und', { granularity: 'grapheme' });

/** Letters of a text as people count them: grapheme clusters, an emoji is one. */
export function letters(text: string): string[] {
	// Plain ASCII needs no segmenting, and nearly every name is plain.
	if (/^[\x20-\x7e]*$/.test(text)) return [...text];
	// The segmenter's time grows with the square of the text, and no cluster reaches over a space before plain letters.
	return text
		.split(/(?<= )(?=[\x21-\x7e])/)
		.flatMap((words) => Array.from(segmenter.segment(words), (part) => part.segment));
}

/**
 * Room that a text's letters take, in ordinary letters: a wide one (Han, kana, Hangul, an emoji) takes that of two, as
 * in UAX 11, East Asian Width.
 */
export function letterRoom(text: string): number {
	let room = rooms.get(text);
	if (room === undefined) {
		if (rooms.size >= mostRooms) rooms.clear();
		room = measured(text);
		rooms.set(text, room);
	}
	return room;
}

/** Planning asks for the same names over and over. */
const rooms = new Map<string, number>();
const mostRooms = 4000;

function measured(text: string): number {
	const all = letters(text);
	if (!/[\u1100-\u{10ffff}]/u.test(text)) return all.length;
	return all.reduce((sum, letter) => sum + roomOf(letter), 0);
}

/** Room of one letter: 1, or 2 where it is a wide one. */
export function roomOf(letter: string): 1 | 2 {
	return /\ufe0f/.test(letter) ? 2 : eastAsianWidth(letter.codePointAt(0) ?? 0);
}

/** Whether a text begins at the right: its first letter with a direction has that one (UAX 9, P2 and P3). */
export function runsFromRight(text: string): boolean {
	const first = /\p{L}/u.exec(text);
	return first !== null && rightToLeft.test(first[0]);
}

/** Whether a word's letters hang together, so that it cannot be drawn letter by letter. */
export function hangsTogether(text: string): boolean {
	return hanging.test(text);
}
