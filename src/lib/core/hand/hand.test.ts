import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { defaultHand, fitLettering, letters, textWidth } from '.';

test('letters are counted as people see them', () => {
	expect(letters('Zoë')).toHaveLength(3);
	expect(letters('e\u0301clair')).toHaveLength(6);
	expect(letters('👩‍🔧🎶')).toHaveLength(2);
	expect(textWidth('Concertina', defaultHand)).toBe(5);
	expect(textWidth('Dough', defaultHand)).toBe(3);
});

// Check values: common practice.
describe('lettering', () => {
	test('9 letters in 28: letters of 2, gaps of 1, 26 used, margins 1 + 1', () => {
		expect(fitLettering(9, 28, 6)).toEqual({ letter: 2, gap: 1, used: 26, margin: 1 });
	});

	test('9 letters in 28 without gaps: letters of 3, 27 used, the odd square right', () => {
		expect(fitLettering(9, 28, 6, true)).toEqual({ letter: 3, gap: 0, used: 27, margin: 0 });
	});

	test('4 letters of height 6 in 28: letters of 6, gaps of 1, 27 used', () => {
		expect(fitLettering(4, 28, 6)).toMatchObject({ letter: 6, gap: 1, used: 27 });
	});

	test('a single letter has no gap; too many letters do not fit', () => {
		expect(fitLettering(1, 28, 6)).toEqual({ letter: 6, gap: 0, used: 6, margin: 11 });
		expect(fitLettering(20, 28, 6)).toBeUndefined();
		expect(fitLettering(0, 28, 6)).toBeUndefined();
	});

	test('is what trying every letter and gap finds', () => {
		const count = fc.integer({ min: 1, max: 14 });
		const length = fc.integer({ min: 1, max: 45 });
		const height = fc.integer({ min: 1, max: 8 });
		fc.assert(
			fc.property(count, length, height, fc.boolean(), (n, width, high, tight) => {
				let best: [number, number] | undefined;
				for (let a = 1; a <= high; a++)
					for (let b = n === 1 || tight ? 0 : 1; b <= (n === 1 ? 0 : a); b++)
						if (n * a + (n - 1) * b <= width) best = [a, b];
				const fit = fitLettering(n, width, high, tight);
				expect(fit && [fit.letter, fit.gap]).toEqual(best);
			})
		);
	});
});
