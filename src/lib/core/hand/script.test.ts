import bidiFactory from 'bidi-js';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
	defaultHand,
	hangsTogether,
	leastCapital,
	letterRoom,
	letters,
	missingLetters,
	roomForMissing,
	runsFromRight,
	textWidth,
	type Coverage
} from '.';

const latin: Coverage = { hand: [[0x20, 0x17f]], lettering: [[0x41, 0x5a]] };

describe('letters of other scripts', () => {
	test('a wide letter takes the room of two (UAX 11)', () => {
		expect(letterRoom('習慣')).toBe(4);
		expect(letterRoom('Zoë 🎶')).toBe(6);
		expect(textWidth('習慣と予定', defaultHand)).toBe(5);
		expect(textWidth('e\u0301clair', defaultHand)).toBe(3);
	});

	test('a long text is the letters of its parts', () => {
		const part = fc.constantFrom('bread', 'e\u0301', '👩‍🍳', 'لحم', ' ', '\u0308x', '麦', '\u200d');
		fc.assert(
			fc.property(fc.array(part), (parts) => {
				const text = parts.join(' ');
				const segmenter = new Intl.Segmenter('und', { granularity: 'grapheme' });
				expect(letters(text)).toEqual(
					Array.from(segmenter.segment(text), ({ segment }) => segment)
				);
			})
		);
	});

	test('what Arabic, Hebrew and Syriac letters begin runs from the right', () => {
		expect(runsFromRight('12 عادات')).toBe(true);
		expect(runsFromRight('(הרגלים) habits')).toBe(true);
		expect(runsFromRight('habits הרגלים')).toBe(false);
		expect(runsFromRight('12.5.')).toBe(false);
	});

	// Referee: bidi-js, an implementation of the Unicode Bidirectional Algorithm (UAX 9).
	test('texts of any letters run as the bidirectional algorithm says', () => {
		const bidi = bidiFactory();
		const letter = fc.constantFrom(...'aZ ßжщ1٣ .,(ابجאבגܐ漢あ');
		fc.assert(
			fc.property(fc.string({ unit: letter, minLength: 1 }), (text) => {
				const [paragraph] = bidi.getEmbeddingLevels(text, 'auto').paragraphs;
				expect(runsFromRight(text)).toBe(paragraph?.level === 1);
			})
		);
	});

	test('hanging scripts are not drawn letter by letter', () => {
		expect(hangsTogether('عادات')).toBe(true);
		expect(hangsTogether('आदतें')).toBe(true);
		expect(hangsTogether('הרגלים')).toBe(false);
		expect(hangsTogether('MAI')).toBe(false);
	});
});

describe('letters without a font', () => {
	test('are told once each, by what they are written with', () => {
		expect(
			missingLetters(
				[
					{ text: 'Bread 麦 麦', style: 'hand' },
					{ text: 'É', style: 'lettering' },
					{ text: 'é', style: 'hand' }
				],
				latin
			)
		).toEqual(['麦', 'É']);
	});

	test('leave their room, wide where they are wide; joiners and spaces are no letters', () => {
		expect(roomForMissing('a麦b', 'hand', latin)).toBe('a\u2003b');
		expect(roomForMissing('жar', 'hand', latin)).toBe('\u2002ar');
		expect(roomForMissing('a\u200db\u00a0c', 'hand', latin)).toBe('a\u200db\u00a0c');
	});
});

test('the smallest capitals of a hand take whole squares', () => {
	expect(leastCapital(defaultHand)).toBe(1);
	expect(leastCapital({ ...defaultHand, letteringPerSquare: 0.5 })).toBe(2);
	// 33 squares for 11 letters are kept as 0.33 to the square.
	expect(leastCapital({ ...defaultHand, letteringPerSquare: 0.33 })).toBe(3);
	expect(leastCapital({ ...defaultHand, letteringPerSquare: 4 })).toBe(1);
});
