import { letterRoom } from './script';

/** How much room a person's handwriting takes. */
export interface Hand {
	/** Letters that one square holds (common practice: about 2 in a 5 mm square). */
	readonly lettersPerSquare: number;
	/** Figures that one square holds. */
	readonly figuresPerSquare: number;
	/** Drawn capitals that one square holds when they are lettered as small as can be. */
	readonly letteringPerSquare: number;
	/** Squares from one written line to the next: 1, or 2 for large hands. */
	readonly lineHeight: number;
	/** The hand that writes; the right one where it is not said. */
	readonly writes?: 'left' | 'right';
}

export const defaultHand: Hand = {
	lettersPerSquare: 2,
	figuresPerSquare: 2,
	letteringPerSquare: 1,
	lineHeight: 1
};

/** Squares a text takes on one line: ceil(letters / letters per square), a wide letter counted as two. */
export function textWidth(text: string, hand: Hand): number {
	return Math.ceil(letterRoom(text) / hand.lettersPerSquare);
}

/** Letters that fit into a width of whole squares. */
export function lettersIn(width: number, hand: Hand): number {
	return Math.floor(width * hand.lettersPerSquare);
}

/**
 * Width of the smallest capital that a hand draws, in squares. Rates are kept to a hundredth: 3 squares a letter are
 * 0.33, and not 4.
 */
export function leastCapital({ letteringPerSquare }: Hand): number {
	return Math.max(1, Math.ceil(1 / letteringPerSquare - 0.05));
}
