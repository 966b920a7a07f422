import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { differenceCiede2000 } from 'culori';
import {
	contrastOf,
	hueOfMonth,
	keyColours,
	leastDifference,
	legible,
	paletteOf,
	proposedThemes,
	themeFaults,
	differenceOf,
	type Theme
} from '.';

const anyHue = fc.integer({ min: 0, max: 359 });
const anyColour = fc
	.integer({ min: 0, max: 0xffffff })
	.map((value) => `#${value.toString(16).padStart(6, '0')}`);
const anyTheme: fc.Arbitrary<Theme> = fc.record({
	lines: anyColour,
	lettering: anyColour,
	rest: anyColour,
	accent: anyColour,
	key: anyColour
});

/**
 * Pairs of colours in CIELAB and how much they differ: G. Sharma, W. Wu, E. N. Dalal, “The CIEDE2000 color-difference
 * formula: implementation notes, supplementary test data, and mathematical observations” (2005), table 1; the table is
 * written down from memory.
 */
const published: readonly (readonly [number, number, number, number, number, number, number])[] = [
	[50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
	[50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
	[50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
	[50, -1.3802, -84.2814, 50, 0, -82.7485, 1],
	[50, -1.1848, -84.8006, 50, 0, -82.7485, 1],
	[50, -0.9009, -85.5211, 50, 0, -82.7485, 1],
	[50, 0, 0, 50, -1, 2, 2.3669],
	[50, -1, 2, 50, 0, 0, 2.3669],
	[50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
	[50, 2.49, -0.001, 50, -2.49, 0.001, 7.1792],
	[50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195],
	[50, 2.49, -0.001, 50, -2.49, 0.0012, 7.2195],
	[50, -0.001, 2.49, 50, 0.0009, -2.49, 4.8045],
	[50, -0.001, 2.49, 50, 0.001, -2.49, 4.8045],
	[50, -0.001, 2.49, 50, 0.0011, -2.49, 4.7461],
	[50, 2.5, 0, 50, 0, -2.5, 4.3065],
	[50, 2.5, 0, 73, 25, -18, 27.1492],
	[50, 2.5, 0, 61, -5, 29, 22.8977],
	[50, 2.5, 0, 56, -27, -3, 31.903],
	[50, 2.5, 0, 58, 24, 15, 19.4535],
	[50, 2.5, 0, 50, 3.1736, 0.5854, 1],
	[50, 2.5, 0, 50, 3.2972, 0, 1],
	[50, 2.5, 0, 50, 1.8634, 0.5757, 1],
	[50, 2.5, 0, 50, 3.2592, 0.335, 1],
	[60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
	[63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
	[61.2901, 3.7196, -5.3901, 61.4292, 2.248, -4.962, 1.8731],
	[35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
	[22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373],
	[36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
	[90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441],
	[90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
	[6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
	[2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082]
];

test.each(published)(
	'colours differ as published: (%d, %d, %d) and (%d, %d, %d)',
	(l, a, b, l2, a2, b2, far) => {
		// The published values are CIELAB of D65, as the pairs were made on a screen.
		const found = differenceCiede2000()(
			{ mode: 'lab65', l, a, b },
			{ mode: 'lab65', l: l2, a: a2, b: b2 }
		);
		expect(found).toBeCloseTo(far, 4);
	}
);

// WCAG 2.2, definition of contrast ratio: 21 : 1 at most; #767676 is the lightest grey with 4.5 : 1 on white (common
// worked example, from memory).
test.each([
	['#000000', '#ffffff', 21, 21],
	['#ffffff', '#ffffff', 1, 1],
	['#767676', '#ffffff', 4.5, 4.6],
	['#777777', '#ffffff', 4.4, 4.5]
])('contrast of %s on %s is that of WCAG', (one, other, least, most) => {
	expect(contrastOf(one, other)).toBeGreaterThanOrEqual(least);
	expect(contrastOf(one, other)).toBeLessThanOrEqual(most);
});

describe('proposals', () => {
	test('all are legible and their keys are told apart, whatever the hue', () => {
		fc.assert(
			fc.property(anyHue, (hue) => {
				for (const { theme } of proposedThemes(hue)) expect(themeFaults(theme)).toEqual([]);
			})
		);
	});

	test('each month begins at a hue of its own', () => {
		const hues = Array.from({ length: 12 }, (_, month) => hueOfMonth(month + 1));
		expect(new Set(hues).size).toBe(12);
	});
});

test('no two states of a key look alike, whatever colour it begins with', () => {
	fc.assert(
		fc.property(anyColour, (key) => {
			const colours = keyColours(key);
			for (const [at, one] of colours.entries())
				for (const other of colours.slice(at + 1))
					expect(differenceOf(one, other)).toBeGreaterThanOrEqual(leastDifference);
		})
	);
});

test('what is said to be wrong with a theme names its numbers', () => {
	const [proposed] = proposedThemes(200);
	if (!proposed) throw new Error('no proposal');
	const pale: Theme = { ...proposed.theme, lettering: '#9aa0a6' };
	expect(themeFaults(pale)).toEqual([
		expect.stringMatching(/^Lettering on .* has a contrast of [12]\.\d : 1/)
	]);
	expect(themeFaults({ ...proposed.theme, rest: '#fcf9f0' })).toEqual([
		expect.stringContaining('can hardly be told from the paper')
	]);
});

test('a theme that is not legible is made so, and one that is stays as it is', () => {
	fc.assert(
		fc.property(anyTheme, (theme) => {
			expect(themeFaults(legible(theme))).toEqual([]);
		})
	);
	const [proposed] = proposedThemes(30);
	expect(proposed && legible(proposed.theme)).toBe(proposed?.theme);
});

test('a month without a theme has the usual palette, and one with it keeps its colours', () => {
	expect(paletteOf(undefined).lettering).toBe(paletteOf(undefined).lines);
	fc.assert(
		fc.property(anyTheme, (theme) => {
			const { lines, lettering, tones } = paletteOf(theme);
			expect([lines, lettering, tones.rest, tones.bar]).toEqual([
				theme.lines,
				theme.lettering,
				theme.rest,
				theme.accent
			]);
		})
	);
});
