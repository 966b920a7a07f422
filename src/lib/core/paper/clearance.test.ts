import fc from 'fast-check';
import { expect, test } from 'vitest';
import { alignments, clearance, overlaps, type Rect } from '.';

const page = { w: 28, h: 40 };
const anyRect: fc.Arbitrary<Rect> = fc
	.record({ x: fc.nat(26), y: fc.nat(38), w: fc.integer({ min: 1, max: 28 }), h: fc.nat(39) })
	.map(({ x, y, w, h }) => ({
		x,
		y,
		w: Math.min(w, page.w - x),
		h: Math.max(1, Math.min(h, page.h - y))
	}));

test('a block in the middle of an empty page is told from the page’s last dots', () => {
	const gaps = clearance({ x: 4, y: 10, w: 20, h: 12 }, page, []);
	expect(gaps).toEqual({
		left: { squares: 4 },
		right: { squares: 4 },
		top: { squares: 10 },
		bottom: { squares: 18 }
	});
});

test('a neighbour counts only on the side on which it stands beside the block', () => {
	const above = { x: 0, y: 0, w: 28, h: 6 };
	const beside = { x: 20, y: 12, w: 8, h: 8 };
	const gaps = clearance({ x: 0, y: 10, w: 12, h: 10 }, page, [above, beside]);
	expect(gaps.top).toEqual({ squares: 4, neighbour: 0 });
	expect(gaps.right).toEqual({ squares: 8, neighbour: 1 });
	expect(gaps.bottom).toEqual({ squares: 20 });
});

test('a block over the edge has less than nothing left there', () => {
	expect(clearance({ x: 20, y: -2, w: 12, h: 5 }, page, []).right.squares).toBe(-4);
	expect(clearance({ x: 20, y: -2, w: 12, h: 5 }, page, []).top.squares).toBe(-2);
});

test('a block can grow by each of its gaps and then touches, and by one more it would not be free', () => {
	fc.assert(
		fc.property(anyRect, fc.array(anyRect, { maxLength: 5 }), (rect, all) => {
			const others = all.filter((other) => !overlaps(other, rect));
			const free = (grown: Rect) =>
				grown.x >= 0 &&
				grown.y >= 0 &&
				grown.x + grown.w <= page.w &&
				grown.y + grown.h <= page.h &&
				!others.some((other) => overlaps(other, grown));
			const { left, right, top, bottom } = clearance(rect, page, others);
			const grow = (l: number, r: number, t: number, b: number): Rect => ({
				x: rect.x - l,
				y: rect.y - t,
				w: rect.w + l + r,
				h: rect.h + t + b
			});
			expect(free(grow(left.squares, 0, 0, 0))).toBe(true);
			expect(free(grow(left.squares + 1, 0, 0, 0))).toBe(false);
			expect(free(grow(0, right.squares, 0, 0))).toBe(true);
			expect(free(grow(0, right.squares + 1, 0, 0))).toBe(false);
			expect(free(grow(0, 0, top.squares, 0))).toBe(true);
			expect(free(grow(0, 0, top.squares + 1, 0))).toBe(false);
			expect(free(grow(0, 0, 0, bottom.squares))).toBe(true);
			expect(free(grow(0, 0, 0, bottom.squares + 1))).toBe(false);
		})
	);
});

test('blocks that begin on one line of dots are aligned there, and a block in the middle with the page', () => {
	const lines = alignments({ x: 4, y: 10, w: 20, h: 12 }, page, [{ x: 4, y: 30, w: 6, h: 4 }]);
	expect(lines).toContainEqual({ axis: 'x', at: 4, from: 10, to: 34, what: 'edge' });
	expect(lines).toContainEqual({ axis: 'x', at: 14, from: 0, to: 40, what: 'middle' });
	expect(lines.filter(({ axis }) => axis === 'y')).toEqual([]);
});
