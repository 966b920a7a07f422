import type { Hand } from './hand';
import { letters } from './script';

/** What is written to measure a hand: ordinary words, figures, and capitals drawn with care. */
export const phrases = {
	text: 'The dough rises while the ferry crosses the dark water',
	figures: '31 05 2027 1400 86 952',
	lettering: 'NIGHT FERRY'
} as const;

export type PhraseName = keyof typeof phrases;

/** Squares that each phrase took on the paper. */
export type MeasuredPhrases = Readonly<Record<PhraseName, number>>;

/** Letters to the square, to a hundredth, of a phrase that took so many squares. */
export function perSquare(name: PhraseName, squares: number): number {
	return Math.round((100 * letters(phrases[name]).length) / squares) / 100;
}

/** Squares that a phrase takes with a hand, to a half: what was measured, or would be. */
export function squaresOf(name: PhraseName, rate: number): number {
	return Math.round((2 * letters(phrases[name]).length) / rate) / 2;
}

/** A hand from the squares that the phrases took and the squares from line to line. */
export function handFrom(measured: MeasuredPhrases, lineHeight: number): Hand {
	return {
		lettersPerSquare: perSquare('text', measured.text),
		figuresPerSquare: perSquare('figures', measured.figures),
		letteringPerSquare: perSquare('lettering', measured.lettering),
		lineHeight
	};
}
