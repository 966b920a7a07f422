import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyHand } from '../../../../../tests/support/arbitraries';
import type { TextMark } from '../../draw';
import { defaultHand, letters } from '../../hand';
import { setText } from '..';

const anyMark: fc.Arbitrary<TextMark> = fc.record({
	kind: fc.constant('text' as const),
	text: fc.string({ minLength: 1, maxLength: 20 }),
	style: fc.constantFrom('hand' as const, 'figure' as const, 'lettering' as const),
	align: fc.constantFrom('start' as const, 'center' as const),
	turned: fc.boolean(),
	x: fc.integer({ min: 0, max: 20 }),
	y: fc.integer({ min: 0, max: 30 }),
	w: fc.integer({ min: 1, max: 28 }),
	h: fc.integer({ min: 1, max: 12 })
});

test('a text starts inside its rectangle and is no higher and no longer than it', () => {
	fc.assert(
		fc.property(anyMark, anyHand, (mark, hand) => {
			const set = setText(mark, hand);
			const [length, height] = mark.turned ? [mark.h, mark.w] : [mark.w, mark.h];
			expect(set.x).toBeGreaterThanOrEqual(mark.x);
			expect(set.x).toBeLessThanOrEqual(mark.x + mark.w);
			expect(set.baseline).toBeGreaterThanOrEqual(mark.y);
			expect(set.baseline).toBeLessThanOrEqual(mark.y + mark.h);
			// Capitals are seven tenths of the size, and must not reach out of the rectangle.
			expect(0.7 * set.size).toBeLessThanOrEqual(height + 1e-9);
			// The hand typeface's letters are a little under half its size wide on average.
			if (mark.style !== 'lettering')
				expect(letters(mark.text).length * 0.46 * set.size).toBeLessThanOrEqual(length);
		})
	);
});

test('a hand twice as large on lines twice as high is drawn twice as large', () => {
	const mark: TextMark = {
		kind: 'text',
		text: 'Bread',
		style: 'hand',
		align: 'start',
		x: 0,
		y: 0,
		w: 28,
		h: 1
	};
	const small = setText(mark, defaultHand).size;
	expect(setText({ ...mark, h: 2 }, defaultHand).size).toBeCloseTo(2 * small);
});

test('a turned text starts at the foot of its rectangle', () => {
	const turned: TextMark = {
		kind: 'text',
		text: 'Concertina',
		style: 'hand',
		align: 'start',
		turned: true,
		x: 3,
		y: 5,
		w: 1,
		h: 6
	};
	const set = setText(turned, defaultHand);
	expect(set.baseline).toBeGreaterThan(10);
	expect(set.x).toBeGreaterThan(3.5);
});
