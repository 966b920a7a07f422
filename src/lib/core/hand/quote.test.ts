import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
	breakLines,
	defaultHand,
	handFrom,
	largestQuote,
	letteringOf,
	letterStarts,
	fitLettering,
	perSquare,
	phrases,
	quoteIn,
	quoteSize,
	squaresOf,
	wordsOf
} from '.';

const anyWords = (most: number) =>
	fc.array(
		fc.integer({ min: 1, max: 9 }).map((length) => 'abcdefghi'.slice(0, length)),
		{
			minLength: 1,
			maxLength: most
		}
	);

/** Least slack and the fewest lines that reach it, by trying every way to break. */
function bruteForce(words: readonly string[], capacity: number): [number, number] | undefined {
	let best: [number, number] | undefined;
	for (let breaks = 0; breaks < 2 ** (words.length - 1); breaks++) {
		const lines: string[] = [];
		words.forEach((word, index) => {
			if (index > 0 && (breaks & (1 << (index - 1))) === 0) lines[lines.length - 1] += ` ${word}`;
			else lines.push(word);
		});
		if (lines.some((line) => line.length > capacity)) continue;
		const slack = lines.reduce((sum, line) => sum + (capacity - line.length) ** 2, 0);
		if (!best || slack < best[0] || (slack === best[0] && lines.length < best[1]))
			best = [slack, lines.length];
	}
	return best;
}

/**
 * The total-fit algorithm as published (Software: Practice and Experience 11, 1981), with squared slack
 * as the demerits of a line: breakpoints are taken left to right, and each keeps the best of the active
 * breakpoints from which a line to it is not too long.
 */
function totalFit(words: readonly string[], capacity: number): number {
	interface Break {
		readonly after: number;
		readonly demerits: number;
	}
	const position = [0];
	for (const word of words) position.push((position.at(-1) ?? 0) + word.length);
	let active: Break[] = [{ after: 0, demerits: 0 }];
	for (let after = 1; after <= words.length; after++) {
		const length = (from: number) =>
			(position[after] ?? 0) - (position[from] ?? 0) + (after - from - 1);
		active = active.filter((node) => length(node.after) <= capacity);
		const reached = active.map((node) => node.demerits + (capacity - length(node.after)) ** 2);
		if (after === words.length) return Math.min(...reached);
		if (reached.length > 0) active.push({ after, demerits: Math.min(...reached) });
	}
	return 0;
}

describe('line breaks', () => {
	test('are as even as the best of all ways to break', () => {
		fc.assert(
			fc.property(anyWords(12), fc.integer({ min: 3, max: 30 }), (words, capacity) => {
				const broken = breakLines(words, capacity);
				expect(broken && [broken.slack, broken.lines.length]).toEqual(bruteForce(words, capacity));
				if (broken) expect(broken.lines.join(' ')).toBe(words.join(' '));
			}),
			{ numRuns: 300 }
		);
	});

	test('are as even as the published total-fit algorithm finds on long texts', () => {
		fc.assert(
			fc.property(anyWords(250), fc.integer({ min: 9, max: 60 }), (words, capacity) => {
				expect(breakLines(words, capacity)?.slack).toBe(totalFit(words, capacity));
			})
		);
	});

	test('a word longer than the line has no place; nothing breaks into nothing', () => {
		expect(breakLines(['concertina'], 9)).toBeUndefined();
		expect(breakLines([], 9)).toEqual({ lines: [], slack: 0 });
	});
});

describe('quotes', () => {
	const text = 'Calm water is for the passengers';

	test('take the largest hand that fits the rectangle', () => {
		fc.assert(
			fc.property(
				anyWords(20),
				fc.integer({ min: 5, max: 28 }),
				fc.integer({ min: 1, max: 20 }),
				(words, width, height) => {
					const quote = words.join(' ');
					const fitted = largestQuote(quote, width, height, defaultHand);
					const heights = Array.from({ length: height }, (_, index) => index + 1);
					const fitting = heights.filter((line) =>
						quoteIn(quote, width, height, defaultHand, line)
					);
					expect(fitted?.lineHeight).toBe(fitting.at(-1));
					for (const line of fitted?.lines ?? [])
						expect(line.length).toBeLessThanOrEqual(fitted?.capacity ?? 0);
				}
			)
		);
	});

	test('ask for a rectangle in which they fit', () => {
		fc.assert(
			fc.property(
				anyWords(30),
				fc.integer({ min: 5, max: 28 }),
				fc.integer({ min: 1, max: 3 }),
				(words, width, lineHeight) => {
					const quote = words.join(' ');
					const size = quoteSize(quote, width, defaultHand, lineHeight);
					const longest = Math.max(...words.map((word) => word.length));
					const fits = longest <= Math.floor((width * 2) / lineHeight);
					expect(size !== undefined).toBe(fits);
					if (size) expect(quoteIn(quote, size.w, size.h, defaultHand, lineHeight)).toBeDefined();
				}
			)
		);
	});

	test('a hand twice as large holds half as many letters to the line', () => {
		expect(quoteIn(text, 10, 20, defaultHand, 1)?.capacity).toBe(20);
		expect(quoteIn(text, 10, 20, defaultHand, 2)?.capacity).toBe(10);
		expect(wordsOf('  a\n b ')).toEqual(['a', 'b']);
	});
});

describe('the measured hand', () => {
	test('follows from the squares that the phrases took', () => {
		const hand = handFrom({ text: 18, figures: 11, lettering: 22 }, 2);
		expect(hand).toEqual({
			lettersPerSquare: 3,
			figuresPerSquare: 2,
			letteringPerSquare: 0.5,
			lineHeight: 2
		});
		expect(perSquare('text', phrases.text.length / 2)).toBe(2);
		expect(squaresOf('text', 3)).toBe(18);
	});
});

describe('titles', () => {
	test('say where each letter starts', () => {
		const fit = fitLettering(3, 28, 6);
		expect(fit && letterStarts(fit, 3)).toEqual([0, 11, 22]);
	});

	test('a wanted size is met, or the largest that can be is named', () => {
		expect(letteringOf(9, 28, 2)).toMatchObject({ fits: true, lettering: { letter: 2, gap: 1 } });
		expect(letteringOf(9, 28, 3)).toMatchObject({ fits: true, lettering: { letter: 3, gap: 0 } });
		expect(letteringOf(9, 28, 4)).toMatchObject({
			fits: false,
			needed: 44,
			largest: { letter: 3 }
		});
	});
});
