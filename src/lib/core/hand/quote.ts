import type { Hand } from './hand';
import { letterRoom } from './script';

/** A text broken into lines. */
export interface Broken {
	readonly lines: readonly string[];
	/** Sum over all lines of (capacity − length)², in letters. */
	readonly slack: number;
}

/** A quote as written: its lines, and how many times the usual size the hand is. */
export interface FittedQuote extends Broken {
	/** Line height in squares; letters are as much larger as the line height is. */
	readonly lineHeight: number;
	/** Letters that one line holds. */
	readonly capacity: number;
}

/** The words of a text; any white space parts them. */
export function wordsOf(text: string): string[] {
	return text.split(/\s+/u).filter(Boolean);
}

/**
 * Breaks words into lines of at most `capacity` letters so that Σ (capacity − length)² over all lines,
 * the last one too, is least; of equal breaks that with fewer lines. A space between words counts as a
 * letter. Undefined when a word is longer than a line. Work grows with words × words to the line.
 */
export function breakLines(words: readonly string[], capacity: number): Broken | undefined {
	const lengths = words.map((word) => letterRoom(word));
	const count = words.length;
	// Best slack, number of lines and first break of what follows each word.
	const slack = new Float64Array(count + 1);
	const lineCount = new Int32Array(count + 1);
	const end = new Int32Array(count + 1);
	for (let from = count - 1; from >= 0; from--) {
		slack[from] = Infinity;
		let length = -1;
		for (let to = from; to < count; to++) {
			length += 1 + (lengths[to] ?? 0);
			if (length > capacity) break;
			const cost = (capacity - length) ** 2 + (slack[to + 1] ?? Infinity);
			const lines = 1 + (lineCount[to + 1] ?? 0);
			const best = slack[from] ?? Infinity;
			if (cost < best || (cost === best && lines < (lineCount[from] ?? 0))) {
				slack[from] = cost;
				lineCount[from] = lines;
				end[from] = to + 1;
			}
		}
	}
	if (count > 0 && slack[0] === Infinity) return undefined;
	const lines: string[] = [];
	for (let from = 0; from < count; from = end[from] ?? count)
		lines.push(words.slice(from, end[from]).join(' '));
	return { lines, slack: slack[0] ?? 0 };
}

/** Letters that one line holds when the hand writes lines of that height. */
function capacityOf(width: number, hand: Hand, lineHeight: number): number {
	return Math.floor((width * hand.lettersPerSquare * hand.lineHeight) / lineHeight);
}

/** A quote in a hand of a given line height, or undefined when it does not fit into the rectangle. */
export function quoteIn(
	text: string,
	width: number,
	height: number,
	hand: Hand,
	lineHeight: number
): FittedQuote | undefined {
	const capacity = capacityOf(width, hand, lineHeight);
	const broken = breakLines(wordsOf(text), capacity);
	if (!broken || broken.lines.length * lineHeight > height) return undefined;
	return { ...broken, lineHeight, capacity };
}

/** The largest hand, of so many squares at most, in which a quote fits into a rectangle; undefined when not even the usual one does. */
export function largestQuote(
	text: string,
	width: number,
	height: number,
	hand: Hand,
	most = height
): FittedQuote | undefined {
	// Larger hands need more lines and higher ones, so the first that fits from above is the largest.
	for (let lineHeight = Math.min(height, most); lineHeight >= hand.lineHeight; lineHeight--) {
		const fitted = quoteIn(text, width, height, hand, lineHeight);
		if (fitted) return fitted;
	}
	return undefined;
}

/**
 * The rectangle that a quote needs in a hand of a given line height: the lowest one of the given
 * width or less, made as narrow as that height allows. Undefined when a word is longer than the width.
 */
export function quoteSize(
	text: string,
	width: number,
	hand: Hand,
	lineHeight: number
): { w: number; h: number } | undefined {
	const words = wordsOf(text);
	const fewest = leastLines(words, capacityOf(width, hand, lineHeight));
	if (fewest === undefined) return undefined;
	let w = width;
	while (w > 1 && leastLines(words, capacityOf(w - 1, hand, lineHeight)) === fewest) w--;
	// Even breaks may take a line more than the fewest; the rectangle has room for them.
	const lines = breakLines(words, capacityOf(w, hand, lineHeight))?.lines.length ?? fewest;
	return { w, h: lines * lineHeight };
}

/** The fewest lines that words can be broken into: each line as full as it goes. */
function leastLines(words: readonly string[], capacity: number): number | undefined {
	let lines = 0;
	let left = -1;
	for (const word of words) {
		const length = letterRoom(word);
		if (length > capacity) return undefined;
		if (left < length + 1) {
			lines++;
			left = capacity - length;
		} else left -= length + 1;
	}
	return lines;
}
