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
}

export const defaultHand: Hand = {
	lettersPerSquare: 2,
	figuresPerSquare: 2,
	letteringPerSquare: 1,
	lineHeight: 1
};

const segmenter = new Intl.Segmenter('und', { granularity: 'grapheme' });

/** Letters of a text as people count them: grapheme clusters, an emoji is one. */
export function letters(text: string): string[] {
	// Plain ASCII needs no segmenting, and nearly every name is plain.
	if (/^[\x20-\x7e]*$/.test(text)) return [...text];
	return Array.from(segmenter.segment(text), (part) => part.segment);
}

/** Squares a text takes on one line: ceil(letters / letters per square). */
export function textWidth(text: string, hand: Hand): number {
	return Math.ceil(letters(text).length / hand.lettersPerSquare);
}

/** Letters that fit into a width of whole squares. */
export function lettersIn(width: number, hand: Hand): number {
	return Math.floor(width * hand.lettersPerSquare);
}
