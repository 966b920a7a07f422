import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Rect } from '$lib/core/paper';
import { grips, heldInside, pulled, wholeBlock } from './grip';

const anyRect: fc.Arbitrary<Rect> = fc.record({
	x: fc.nat(20),
	y: fc.nat(30),
	w: fc.integer({ min: 1, max: 20 }),
	h: fc.integer({ min: 1, max: 20 })
});
const anyStep = fc.record({
	x: fc.integer({ min: -30, max: 30 }),
	y: fc.integer({ min: -30, max: 30 })
});

test('a block that is moved keeps its size', () => {
	fc.assert(
		fc.property(anyRect, anyStep, (rect, by) => {
			const { x, y, ...size } = pulled(rect, wholeBlock, by);
			expect([x, y]).toEqual([rect.x + by.x, rect.y + by.y]);
			expect(size).toEqual({ w: rect.w, h: rect.h });
		})
	);
});

test('pulled by a handle, the edges that are not held stay, and a square always remains', () => {
	fc.assert(
		fc.property(anyRect, fc.constantFrom(...grips), anyStep, (rect, grip, by) => {
			const next = pulled(rect, grip, by);
			expect(Math.min(next.w, next.h)).toBeGreaterThanOrEqual(1);
			if (grip.x !== -1) expect(next.x).toBe(rect.x);
			if (grip.x !== 1) expect(next.x + next.w).toBe(rect.x + rect.w);
			if (grip.y !== -1) expect(next.y).toBe(rect.y);
			if (grip.y !== 1) expect(next.y + next.h).toBe(rect.y + rect.h);
		})
	);
});

test('an edge holds a block that is pushed over it a little, and lets it go when pushed further', () => {
	const page = { w: 28, h: 40 };
	const at = (x: number) => heldInside({ x, y: 3, w: 10, h: 5 }, page, 2).x;
	expect([-3, -2, 0, 18, 20, 21].map(at)).toEqual([-3, 0, 0, 18, 18, 21]);
});
