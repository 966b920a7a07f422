import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { contains, overlaps, type Size } from '../../paper';
import { packed } from './packed';
import { shelve, shareOut, type SizeOf } from './shelves';

/** Things of a size of their own that take no other. */
const rigid =
	(sizes: readonly Size[]): SizeOf =>
	(member, room) => {
		const size = sizes[member];
		return size && size.w <= room.w && size.h <= room.h ? { ...size, discomfort: 0 } : undefined;
	};
/** Things that take all they are offered, from a least size on. */
const growing =
	(least: readonly Size[]): SizeOf =>
	(member, room) => {
		const size = least[member];
		return size && size.w <= room.w && size.h <= room.h ? { ...room, discomfort: 0 } : undefined;
	};
const anySize = fc.record({
	w: fc.integer({ min: 1, max: 12 }),
	h: fc.integer({ min: 1, max: 12 })
});
const room = { w: 28, h: 36 };

describe('a shared room', () => {
	test.each([
		['rows and columns', shelve],
		['packing', packed]
	] as const)('%s keep inside it, a square apart', (_, way) => {
		fc.assert(
			fc.property(
				fc.array(anySize, { minLength: 2, maxLength: 5 }),
				fc.boolean(),
				(sizes, grow) => {
					const found = way(room, sizes.length, grow ? growing(sizes) : rigid(sizes));
					if (!found) return;
					expect(found.rects).toHaveLength(sizes.length);
					for (const [index, rect] of found.rects.entries()) {
						expect(contains({ x: 0, y: 0, ...room }, rect)).toBe(true);
						const around = { x: rect.x - 1, y: rect.y - 1, w: rect.w + 2, h: rect.h + 2 };
						for (const other of found.rects.slice(index + 1))
							expect(overlaps(around, other)).toBe(false);
					}
				}
			),
			{ numRuns: 60 }
		);
	});

	test('what wants less leaves its share to the others', () => {
		const take = (most: number) => ({
			take: (share: number) => ({ w: Math.min(share, most), h: 1 }),
			least: 1
		});
		const widths = shareOut(28, [take(7), take(99), take(99)], ({ w }) => w);
		// 28 − 2 gaps − 7 leave 19 for two equal ones.
		expect(widths?.map(({ w }) => w)).toEqual([7, 9, 9]);
	});

	test('four equal boxes become two by two or stand in rows, all of one size', () => {
		const least = Array.from({ length: 4 }, () => ({ w: 10, h: 8 }));
		const rects = shelve(room, 4, growing(least))?.rects ?? [];
		expect(new Set(rects.map(({ h }) => h)).size).toBe(1);
		expect(
			Math.max(...rects.map(({ w }) => w)) - Math.min(...rects.map(({ w }) => w))
		).toBeLessThan(2);
	});

	test('what neither rows nor columns hold is packed', () => {
		// A pinwheel around a hole: no line cuts it in two.
		const sizes = [
			{ w: 6, h: 3 },
			{ w: 3, h: 6 },
			{ w: 6, h: 3 },
			{ w: 3, h: 6 }
		];
		const small = { w: 10, h: 10 };
		expect(shelve(small, 4, rigid(sizes))).toBeUndefined();
		expect(packed(small, 4, rigid(sizes))?.rects).toHaveLength(4);
		expect(packed({ w: 9, h: 9 }, 4, rigid(sizes))).toBeUndefined();
	});
});
