import fc from 'fast-check';
import { expect, test } from 'vitest';
import { frame, grid, line, mergeLines, type LineMark } from '.';

/** Unit strokes that lines cover, each by its ends. */
function units(lines: readonly LineMark[]): string[] {
	return lines.flatMap(({ x1, y1, x2, y2 }) => {
		const length = Math.abs(x2 - x1) + Math.abs(y2 - y1);
		return Array.from({ length }, (_, index) =>
			y1 === y2 ? `h ${Math.min(x1, x2) + index} ${y1}` : `v ${x1} ${Math.min(y1, y2) + index}`
		);
	});
}

test('neighbouring frames share one stroke, and strokes that continue each other are one', () => {
	const lines = mergeLines([
		...frame({ x: 0, y: 0, w: 3, h: 2 }),
		...frame({ x: 3, y: 0, w: 4, h: 2 })
	]);
	expect(lines).toEqual([
		line(0, 0, 7, 0),
		line(0, 2, 7, 2),
		line(0, 0, 0, 2),
		line(3, 0, 3, 2),
		line(7, 0, 7, 2)
	]);
});

test('a grid of 7 × 6 cells has 7 + 8 strokes', () => {
	expect(mergeLines(grid({ x: 0, y: 0 }, { w: 6, h: 6 }, 7, 6))).toHaveLength(15);
});

test('merging keeps every piece of every stroke, each once', () => {
	const at = fc.integer({ min: 0, max: 9 });
	const stroke = fc
		.tuple(at, at, at, fc.boolean())
		.map(([a, b, c, flat]) => (flat ? line(a, b, c, b) : line(a, b, a, c)));
	fc.assert(
		fc.property(fc.array(stroke, { maxLength: 25 }), (lines) => {
			const merged = mergeLines(lines);
			const covered = units(merged);
			expect(new Set(covered)).toEqual(new Set(units(lines)));
			expect(new Set(covered).size).toBe(covered.length);
			expect(mergeLines(merged)).toEqual(merged);
		})
	);
});

test('slanted strokes stand once, whichever way they were ruled', () => {
	expect(mergeLines([line(0, 0, 2, 2), line(2, 2, 0, 0), line(0, 2, 2, 0)])).toEqual([
		line(0, 0, 2, 2),
		line(0, 2, 2, 0)
	]);
});
