import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { anyCuts, anyBook } from '../../../../tests/support/cuts';
import { paintOpening } from '../../../../tests/support/paint-opening';
import {
	adviceFor,
	alwaysSeen,
	cutFault,
	cutOrder,
	leafLines,
	openingAt,
	removals,
	seenAt,
	seenRects,
	usableOf,
	viewOf,
	type Cut
} from '.';

const cut = (kind: Cut['kind'], parts: Partial<Cut> = {}): Cut => ({
	id: kind,
	kind,
	leaves: { first: 13, last: 13 },
	...parts
});
const area = (rects: readonly { w: number; h: number }[]) =>
	rects.reduce((sum, { w, h }) => sum + w * h, 0);

// Values of common practice, from memory of the trade.
describe('usual cuts on a page of 28 × 40 squares', () => {
	test('a strip of 10 squares leaves 18, on the front at the fold and on the back at the fold', () => {
		expect(usableOf(a5, [cut('strip', { amount: 10 })], 13).rects).toEqual([
			{ x: 0, y: 0, w: 18, h: 40 }
		]);
		expect(usableOf(a5, [cut('strip', { amount: 10 })], 14).rects).toEqual([
			{ x: 10, y: 0, w: 18, h: 40 }
		]);
	});

	test('a waterfall of three leaves with step 2 is 24, 26 and 28 wide', () => {
		const waterfall = cut('waterfall', { leaves: { first: 13, last: 17 }, step: 2 });
		const widths = [13, 15, 17].map((page) => usableOf(a5, [waterfall], page).rects[0]?.w);
		expect(widths).toEqual([24, 26, 28]);
	});

	test('six tabs of 6 stand on 40 rows and five on 34; one more is refused', () => {
		const tabs = (count: number) =>
			cut('tab', { leaves: { first: 13, last: 13 + 2 * (count - 1) } });
		const small = { ...a5, rows: 34 };
		expect(cutFault(a5, tabs(6))).toBeUndefined();
		expect(cutFault(a5, tabs(7))?.message).toContain('at most 6 (40 ÷ 6)');
		expect(cutFault(small, tabs(5))).toBeUndefined();
		expect(cutFault(small, tabs(6))?.field).toBe('leaves.last');
	});

	test('each tab is 2 × 6 and stands 6 lower than the one before; the last leaf may stay whole', () => {
		const tabs = cut('tab', { leaves: { first: 13, last: 17 }, lastUncut: true });
		expect(usableOf(a5, [tabs], 15).rects).toEqual([
			{ x: 0, y: 0, w: 26, h: 40 },
			{ x: 0, y: 0, w: 28, h: 12 }
		]);
		expect(usableOf(a5, [tabs], 17).lost).toEqual([]);
	});

	test('cut back by 5 with a tab of 2 × 6, each leaf is 23 wide and its tab 6 lower than the one before', () => {
		const tabs = cut('tab', { leaves: { first: 13, last: 17 }, depth: 5 });
		for (const [index, page] of [13, 15, 17].entries())
			expect(usableOf(a5, [tabs], page).rects).toEqual([
				{ x: 0, y: 0, w: 23, h: 40 },
				{ x: 0, y: 6 * index, w: 25, h: 6 }
			]);
		// On the back the leaf is cut at the left.
		expect(usableOf(a5, [tabs], 14).rects[0]).toEqual({ x: 5, y: 0, w: 23, h: 40 });
		expect(cutFault(a5, { ...tabs, depth: 1 })?.message).toContain("from 2, the tab's width");
		expect(cutFault(a5, { ...tabs, depth: 28 })?.field).toBe('depth');
	});

	test('tabs of 2 × 5 below an upper part of 14 that is cut away stand at rows 14, 19, 24 and 29', () => {
		const leaves = { first: 13, last: 19 };
		const door = cut('top', { leaves, amount: 14 });
		const tabs = cut('tab', { leaves, depth: 5, size: { w: 2, h: 5 }, from: 14 });
		for (const [index, page] of [13, 15, 17, 19].entries())
			expect(usableOf(a5, [door, tabs], page).rects).toEqual([
				{ x: 0, y: 14, w: 23, h: 26 },
				{ x: 0, y: 14 + 5 * index, w: 25, h: 5 }
			]);
		// 40 − 14 = 26 rows: five tabs of 5, and no sixth.
		expect(cutFault(a5, { ...tabs, leaves: { first: 13, last: 23 } })?.message).toContain(
			'6 tabs of 5 need 30 rows and the page has 26 from row 14 on: at most 5 (26 ÷ 5)'
		);
		// What the door has taken away is not cut again.
		const texts = cutOrder(a5, [door, tabs]).map(({ text }) => text);
		expect(texts).toHaveLength(8);
		expect(texts[5]).toContain('along the dots of column 23, from row 14 to row 19');
		expect(texts.join(' ')).not.toContain('column 23, from the top edge');
	});

	test('pointed and round tabs bear less than square ones', () => {
		const shaped = (tabShape: Cut['tabShape']) => {
			const tabs = cut('tab', { leaves: { first: 13, last: 13 }, depth: 5, tabShape });
			return usableOf(a5, [tabs], 13).lost.reduce((sum, { w, h }) => sum + w * h, 0);
		};
		const [square, round, pointed] = [shaped('square'), shaped('round'), shaped('pointed')];
		// 5 × 40 without the 12 squares of the tab.
		expect(square).toBe(188);
		expect(round).toBeGreaterThan(square);
		expect(pointed).toBeGreaterThanOrEqual(round);
	});

	test('a circle and an arch are told with a compass, from both sides', () => {
		const circle = cut('window', { rect: { x: 9, y: 10, w: 10, h: 12 }, shape: 'circle' });
		const [step] = cutOrder(a5, [circle]);
		// The middle of the leaf: 4 + 14 × 5 = 74 mm of 148 from either side, 5 + 16 × 5 = 85 mm down.
		const words =
			'set the compass 74 mm from the left edge and 85 mm from the top, open by 25 mm, and cut around the circle';
		expect(step?.text).toContain(words);
		expect(step?.back).toContain(words);
		// π r² of the squares, but for those on the line: 5² π = 78.5.
		const lost = usableOf(a5, [circle], 13).lost.reduce((sum, { w, h }) => sum + w * h, 0);
		expect(lost).toBeGreaterThanOrEqual(79);
		expect(lost).toBeLessThanOrEqual(100);
		const arch = cut('window', { rect: { x: 4, y: 10, w: 10, h: 20 }, shape: 'arch' });
		expect(cutOrder(a5, [arch])[0]?.text).toContain('then 75 mm straight down from both ends');
		expect(usableOf(a5, [arch], 13).lost.some(({ x, y }) => x === 4 && y === 10)).toBe(false);
	});

	test('a window of 10 × 34 in the middle leaves four rectangles around it', () => {
		const window = cut('window', { rect: { x: 9, y: 3, w: 10, h: 34 } });
		const { rects, lost } = usableOf(a5, [window], 13);
		expect(lost).toEqual([{ x: 9, y: 3, w: 10, h: 34 }]);
		expect(rects).toHaveLength(4);
		expect(rects[0]).toEqual({ x: 0, y: 0, w: 9, h: 40 });
	});

	test('glued leaves lose the part on the inner sides only', () => {
		const glue = cut('glue', {
			leaves: { first: 13, last: 15 },
			rect: { x: 0, y: 0, w: 28, h: 5 }
		});
		const lost = (page: number) => area(usableOf(a5, [glue], page).lost);
		expect([13, 14, 15, 16].map(lost)).toEqual([0, 140, 140, 0]);
	});

	test('a strip is cut 94 mm from the fold, and both numbers are told where the dots disagree', () => {
		const strip = cut('strip', { amount: 10 });
		const [line] = leafLines(a5, [strip], 13);
		expect(line?.front).toMatchObject([{ from: { x: 94 }, to: { x: 94 }, offDots: 0 }]);
		expect(line?.back).toMatchObject([{ from: { x: 54 }, to: { x: 54 }, offDots: 0 }]);
		const crooked = { ...a5, marginsMm: { left: { x: 5.5, y: 5 }, right: { x: 4, y: 5 } } };
		const [off] = leafLines(crooked, [strip], 13);
		expect(off?.back[0]?.offDots).toBeCloseTo(1.5);
		// Squares that the cut runs through on the back are lost as well.
		expect(usableOf(crooked, [strip], 14).rects[0]).toMatchObject({ x: 10, w: 18 });
	});

	test('a ruled line that is left standing keeps half a millimetre', () => {
		const [line] = leafLines(a5, [cut('strip', { amount: 10, leaveLine: true })], 13);
		expect(line?.front[0]?.from.x).toBeCloseTo(94.5);
	});

	test('a waterfall is cut from its last leaf backwards', () => {
		const waterfall = cut('waterfall', { leaves: { first: 13, last: 17 } });
		expect(cutOrder(a5, [waterfall]).map(({ front }) => front)).toEqual([15, 13]);
		const [, first] = cutOrder(a5, [waterfall]);
		expect(first?.text).toBe(
			'Leaf 13/14, on page 13: along the dots of column 24, from top to bottom (124 mm from the left edge and 24 mm from the right).'
		);
	});
});

test('beneath a door the same strip of the shared page stays in view for the whole set', () => {
	const door = cut('strip', { leaves: { first: 13, last: 17 } });
	expect(alwaysSeen(a5, [door], 19)).toEqual([{ x: 18, y: 0, w: 10, h: 40 }]);
	// On the left one looks back through the leaves to the page before the first of them.
	expect(alwaysSeen(a5, [door], 12)).toEqual([{ x: 0, y: 0, w: 10, h: 40 }]);
	expect(alwaysSeen(a5, [door], 21)).toEqual([]);
	const fall = cut('waterfall', { leaves: { first: 13, last: 17 } });
	// The second leaf's own strip is 2 wide; the third shows as much beside it.
	expect(alwaysSeen(a5, [fall], 15)).toEqual([{ x: 24, y: 0, w: 2, h: 40 }]);
	expect(alwaysSeen(a5, [fall], 17)).toEqual([{ x: 26, y: 0, w: 2, h: 40 }]);
});

test('a cut is told by its dots where they agree with it on both sides, else by the ruler first', () => {
	const window = cut('window', { rect: { x: 9, y: 3, w: 10, h: 34 } });
	const [step] = cutOrder(a5, [window]);
	expect(step?.text).toContain(
		'along the dots of row 3, from column 9 to column 19 (20 mm from the top edge and 190 mm from the bottom, from 49 to 99 mm)'
	);
	expect(step?.back).toContain('along the dots of column 19, from row 3 to row 37');
	const strip = cut('strip', { amount: 10 });
	const told = (left: number, right: number, one = strip) => {
		const marginsMm = { left: { x: left, y: 5 }, right: { x: right, y: 5 } };
		const [found] = cutOrder({ ...a5, marginsMm }, [one]);
		return [found?.text, found?.back];
	};
	// Of 148 mm, 28 squares take 140: the margins of both sides make up 8 mm where the dots lie on each other.
	expect(told(5.5, 4)).toEqual([
		'Leaf 13/14, on page 13: 94 mm from the left edge and 54 mm from the right, from top to bottom (along the dots of column 18).',
		'On page 14: 54 mm from the left edge and 94 mm from the right, from top to bottom (1.5 mm left of the dots of column 10).'
	]);
	expect(told(4.3, 4)[1]).toBe(
		'On page 14: 0.3 mm left of the dots of column 10, from top to bottom (54 mm from the left edge and 94 mm from the right).'
	);
	expect(told(4, 4, { ...strip, leaveLine: true })[0]).toContain(
		'0.5 mm right of the dots of column 18, from top to bottom'
	);
});

test('corners are told by their radius, glue by the leaves that it holds together', () => {
	const texts = (one: Cut) => cutOrder(a5, [one]).map(({ text }) => text);
	expect(texts(cut('corner', { amount: 3 }))).toEqual([
		'Leaf 13/14, on page 13: round both outer corners with a radius of 15 mm.'
	]);
	const glue = cut('glue', { leaves: { first: 13, last: 15 }, rect: { x: 0, y: 0, w: 9, h: 9 } });
	expect(texts(glue)).toEqual(['Glue the back of leaf 13/14 to the front of leaf 15/16.']);
});

describe('any set of cuts', () => {
	test('front and back lose mirror images in mm', () => {
		fc.assert(
			fc.property(anyBook, anyCuts, (book, cuts) => {
				for (const front of [13, 15, 17, 19]) {
					const lines = leafLines(book, cuts, front);
					for (const { front: seen, back } of lines)
						seen.forEach((line, index) => {
							expect(back[index]?.from.x).toBeCloseTo(book.pageMm.width - line.from.x, 9);
							expect(back[index]?.from.y).toBe(line.from.y);
						});
				}
			})
		);
	});

	test('what is usable and what is lost make up the page, and none is both', () => {
		fc.assert(
			fc.property(anyBook, anyCuts, (book, cuts) => {
				for (let page = 13; page <= 20; page++) {
					const { rects, lost } = usableOf(book, cuts, page);
					const squaresOf = (all: typeof lost) =>
						all.flatMap(({ x, y, w, h }) =>
							Array.from({ length: w * h }, (_, at) => `${x + (at % w)} ${y + Math.floor(at / w)}`)
						);
					const gone = squaresOf(lost);
					const known = new Set(gone);
					expect(known.size).toBe(gone.length);
					expect(squaresOf([...rects]).filter((square) => known.has(square))).toEqual([]);
					const free = book.columns * book.rows - known.size;
					expect(area(rects.slice(0, 1))).toBeLessThanOrEqual(free);
					if (free > 0) expect(rects.length).toBeGreaterThan(0);
				}
			}),
			{ numRuns: 60 }
		);
	});

	test('what is seen is what a painter leaves who paints from the last leaf to the first', () => {
		fc.assert(
			fc.property(anyBook, anyCuts, fc.constantFrom(12, 14, 16, 18, 20), (book, cuts, left) => {
				const opening = openingAt(book, cuts, left);
				for (const [side, stack] of [
					['left', opening.left],
					['right', opening.right]
				] as const) {
					const leaves = stack.map(({ page }) => ({
						page,
						cuts: removals(book, cuts, page % 2 === 1 ? page : page - 1).flatMap(
							({ outlines }) => outlines
						)
					}));
					const picture = paintOpening(book.pageMm, leaves, side);
					expect(picture.filter(({ page, ...at }) => seenAt(stack, at) !== page)).toEqual([]);
				}
			}),
			{ numRuns: 60 }
		);
	});

	test('the squares said to be in view are in view, corner by corner', () => {
		fc.assert(
			fc.property(anyBook, anyCuts, (book, cuts) => {
				const { right } = openingAt(book, cuts, 12);
				for (const { page } of right) {
					for (const rect of seenRects(book, right, page)) {
						expect(viewOf(book, right, page, rect)).toBe('whole');
						const margin = { x: 4, y: 5, ...book.marginsMm?.right };
						for (const [dx, dy] of [
							[0.01, 0.01],
							[rect.w - 0.01, rect.h - 0.01]
						] as const) {
							const point = {
								x: margin.x + (rect.x + dx) * book.pitchMm,
								y: margin.y + (rect.y + dy) * book.pitchMm
							};
							expect(seenAt(right, point)).toBe(page);
						}
					}
				}
			}),
			{ numRuns: 60 }
		);
	});
});

describe('advice', () => {
	const on = (
		page: number,
		rect: { x: number; y: number; w: number; h: number },
		drawn = false
	) => ({
		name: 'Tasks',
		page,
		rect,
		drawn
	});
	const kinds = (cuts: Cut[], blocks = [] as ReturnType<typeof on>[]) =>
		adviceFor(a5, cuts, blocks).map(({ kind }) => kind);
	const door = cut('strip', { leaves: { first: 13, last: 15 } });

	test('beneath a door a block is in view, half in view, or hidden', () => {
		expect(kinds([door], [on(17, { x: 18, y: 0, w: 10, h: 20 })])).toEqual([]);
		expect(kinds([door], [on(17, { x: 10, y: 0, w: 18, h: 20 })])).toContain('part');
		expect(kinds([door], [on(17, { x: 0, y: 0, w: 18, h: 20 })])).toContain('hidden');
	});

	test('each block is spoken of once, and what a waterfall fans out is no fault', () => {
		const fan = cut('waterfall', { leaves: { first: 13, last: 19 }, step: 6 });
		const strip = { x: 0, y: 0, w: 28, h: 40 };
		const blocks = [15, 17, 19].map((page) => on(page, strip));
		expect(adviceFor(a5, [fan], blocks)).toEqual([]);
		const [told, ...more] = adviceFor(a5, [fan], [on(12, strip)]);
		expect(told?.text).toMatch(/^Tasks on page 12 is seen only in part past pages 14, 16/);
		expect(more).toEqual([]);
	});

	test('a window that opens on another leaf of the set shows what stands there', () => {
		const window = cut('window', { rect: { x: 4, y: 4, w: 20, h: 20 } });
		const next = cut('bottom', { id: 'next', leaves: { first: 15, last: 15 }, amount: 5 });
		expect(kinds([window, next], [on(15, { x: 6, y: 6, w: 4, h: 4 })])).toContain('shows');
	});

	test('cuts that meet, narrow bridges, cuts through what is drawn', () => {
		const window = (x: number, id: string) => cut('window', { id, rect: { x, y: 4, w: 5, h: 20 } });
		expect(kinds([window(4, 'a'), window(8, 'b')])).toContain('meet');
		expect(kinds([window(4, 'a'), window(10, 'b')])).toContain('bridge');
		expect(kinds([window(4, 'a'), window(12, 'b')])).toEqual([]);
		expect(kinds([door], [on(14, { x: 5, y: 0, w: 10, h: 4 }, true)])).toContain('drawn');
	});

	test('a door and the tabs or round corners on what it leaves may meet, as long as nothing hangs loose', () => {
		const upper = cut('top', { id: 'upper', amount: 14 });
		const tabs = cut('tab', { id: 'tabs', depth: 5, from: 14 });
		expect(kinds([upper, tabs])).toEqual([]);
		const round = cut('corner', { id: 'round', amount: 2 });
		expect(kinds([door, round])).toEqual([]);
		// The corners are those of what the strip has left: 4 + 18 × 5 = 94 mm from the fold.
		const [, { front } = { front: [] }] = leafLines(a5, [door, round], 13);
		expect(Math.max(...front.flatMap(({ from, to }) => [from.x, to.x]))).toBe(94);
		// What an outline cuts off from the leaf falls out.
		const loose = cut('tab', { id: 'loose', depth: 5, size: { w: 5, h: 40 }, step: 40 });
		const through = cut('outline', {
			id: 'through',
			points: [
				{ x: 23, y: -2 },
				{ x: 24, y: -2 },
				{ x: 24, y: 42 },
				{ x: 23, y: 42 }
			]
		});
		expect(kinds([loose, through])).toContain('meet');
	});
});
