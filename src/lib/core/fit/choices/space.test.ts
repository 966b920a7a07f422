import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { contains, overlaps, type Rect } from '../../paper';
import { firstPlace, largestEmpty, withGap } from './space';

const page = { w: 9, h: 11 };
const anyRect: fc.Arbitrary<Rect> = fc
	.record({
		x: fc.integer({ min: -1, max: 8 }),
		y: fc.integer({ min: -1, max: 10 }),
		w: fc.integer({ min: 1, max: 6 }),
		h: fc.integer({ min: 1, max: 6 })
	})
	.filter(({ x, y, w, h }) => x + w <= page.w + 1 && y + h <= page.h + 1);
const anyBlocks = fc.array(anyRect, { maxLength: 6 });

/** Every rectangle of whole squares on the page that no block touches. */
function allEmpty(blocks: readonly Rect[]): Rect[] {
	const found: Rect[] = [];
	for (let y = 0; y < page.h; y++)
		for (let x = 0; x < page.w; x++)
			for (let h = 1; y + h <= page.h; h++)
				for (let w = 1; x + w <= page.w; w++) {
					const rect = { x, y, w, h };
					if (!blocks.some((block) => overlaps(block, rect))) found.push(rect);
				}
	return found;
}

describe('the largest empty rectangle', () => {
	test('is as large as the largest of all, and empty', () => {
		fc.assert(
			fc.property(anyBlocks, (blocks) => {
				const areas = allEmpty(blocks).map(({ w, h }) => w * h);
				const found = largestEmpty(page, blocks);
				expect(found ? found.w * found.h : 0).toBe(Math.max(0, ...areas));
				if (!found) return;
				expect(contains({ x: 0, y: 0, ...page }, found)).toBe(true);
				expect(blocks.some((block) => overlaps(block, found))).toBe(false);
			}),
			{ numRuns: 150 }
		);
	});

	test('keeps a square away from blocks that stand with a gap', () => {
		const block = { x: 0, y: 0, w: 9, h: 4 };
		expect(largestEmpty(page, [block])).toEqual({ x: 0, y: 4, w: 9, h: 7 });
		expect(largestEmpty(page, [withGap(block)])).toEqual({ x: 0, y: 5, w: 9, h: 6 });
		expect(largestEmpty(page, [{ x: 0, y: 0, ...page }])).toBeUndefined();
	});
});

describe('the first place', () => {
	test('is free and on the page; where there is none, nothing that is pushed left and down fits', () => {
		const size = fc.record({
			w: fc.integer({ min: 1, max: 9 }),
			h: fc.integer({ min: 1, max: 11 })
		});
		fc.assert(
			fc.property(anyBlocks, size, (blocks, { w, h }) => {
				const at = firstPlace(page, blocks, { w, h });
				const fits = allEmpty(blocks).some((rect) => rect.w === w && rect.h === h);
				expect(at !== undefined).toBe(fits);
				if (at) expect(blocks.some((block) => overlaps(block, { ...at, w, h }))).toBe(false);
			}),
			{ numRuns: 150 }
		);
	});

	test('is the one nearest the top, then the left', () => {
		const blocks = [{ x: 0, y: 0, w: 4, h: 3 }];
		expect(firstPlace(page, blocks, { w: 5, h: 2 })).toEqual({ x: 4, y: 0 });
		expect(firstPlace(page, blocks, { w: 6, h: 2 })).toEqual({ x: 0, y: 3 });
	});
});
