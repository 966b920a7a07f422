import { expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { contains, dotMm, marginMm, mostSquares, overlaps, plannablePages, spreadOf } from '.';

test('even pages are left and open with the odd page after them', () => {
	expect(spreadOf(14)).toEqual({ left: 14, right: 15 });
	expect(spreadOf(15)).toEqual({ left: 14, right: 15 });
	expect(spreadOf(1)).toEqual({ left: 0, right: 1 });
});

test('pages that are drawn, reserved or spoilt are not planned; narrower ones keep their size', () => {
	const pages = plannablePages({
		...a5,
		freePages: [
			{ first: 20, last: 22 },
			{ first: 12, last: 14 },
			{ first: 14, last: 15 }
		],
		pages: [
			{ number: 13, state: 'drawn' },
			{ number: 14, columns: 25 },
			{ number: 21, state: 'spoilt' }
		]
	});
	expect(pages.map((page) => page.number)).toEqual([12, 14, 15, 20, 22]);
	expect(pages[1]).toMatchObject({ columns: 25, rows: 40, side: 'left' });
});

test('until margins are measured they are the page minus the grid, halved', () => {
	expect(marginMm(a5, 'left')).toEqual({ x: 4, y: 5 });
	expect(dotMm(a5, 'right', { x: 3, y: 5 })).toEqual({ x: 19, y: 30 });
	const measured = { ...a5, marginsMm: { left: { x: 6, y: 7 }, right: { x: 9, y: 8 } } };
	expect(dotMm(measured, 'right', { x: 1, y: 1 })).toEqual({ x: 14, y: 13 });
});

test('squares that fit on a length, despite binary rounding', () => {
	expect(mostSquares(148, 5)).toBe(29);
	expect(mostSquares(0.3, 0.1)).toBe(3);
	expect(mostSquares(137, 4.95, 9)).toBe(25);
	expect(mostSquares(3, 5)).toBe(0);
});

test('rectangles that share an edge do not overlap', () => {
	const rect = { x: 2, y: 2, w: 3, h: 3 };
	expect(overlaps(rect, { x: 5, y: 2, w: 3, h: 3 })).toBe(false);
	expect(overlaps(rect, { x: 4, y: 4, w: 3, h: 3 })).toBe(true);
	expect(contains(rect, { x: 2, y: 3, w: 3, h: 2 })).toBe(true);
	expect(contains(rect, { x: 2, y: 3, w: 4, h: 2 })).toBe(false);
});
