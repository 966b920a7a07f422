import { describe, expect, test } from 'vitest';
import {
	contradictions,
	correctionFor,
	farMarginMm,
	forecast,
	geometryOf,
	indexAfter,
	paperHints,
	pitchFrom20,
	type Notebook
} from '.';

/** A worked example: an odd notebook, its dots measured from each page's own edges. */
const odd: Notebook = {
	name: 'Odd notebook',
	pageMm: { width: 137, height: 203 },
	pitchMm: 4.95,
	columns: 25,
	rows: 38,
	gutter: 3,
	freePages: [{ first: 1, last: 100 }],
	marginsMm: { left: { x: 6, y: 7 }, right: { x: 9, y: 8 } }
};

describe('measuring', () => {
	test('the pitch is a twentieth of 20 squares', () => {
		expect(pitchFrom20(99)).toBeCloseTo(4.95, 10);
	});

	test('gutter and register error follow from the first dots', () => {
		const { gutterMm, gutterSquares, registerMm } = geometryOf(odd);
		expect(gutterMm).toBeCloseTo(16.25, 10);
		expect(gutterSquares).toBeCloseTo(3.28, 2);
		expect(registerMm.x).toBeCloseTo(1.75, 10);
		expect(registerMm.y).toBeCloseTo(1, 10);
		expect(farMarginMm(odd, 'right').x).toBeCloseTo(4.25, 10);
	});

	test('halved margins have no register error', () => {
		const { registerMm, gutterMm } = geometryOf({ ...odd, marginsMm: undefined });
		expect(registerMm).toEqual({ x: 0, y: 0 });
		expect(gutterMm).toBeCloseTo(13.25, 10);
	});

	test('26 squares are impossible on the right page, 25 are fine', () => {
		expect(contradictions(odd)).toEqual([]);
		expect(contradictions({ ...odd, columns: 26 })).toEqual([
			{
				severity: 'impossible',
				message:
					'26 squares across are impossible on the right page: 9 mm + 128.7 mm is more than the page’s 137 mm. At most 25 fit.'
			}
		]);
	});

	test('what was measured twice is compared, half a millimetre is forgiven', () => {
		const far = { left: { x: 7.25, y: 7.9 }, right: { x: 6, y: 6.9 } };
		expect(contradictions({ ...odd, farMarginsMm: far })).toEqual([
			{
				severity: 'disagrees',
				message:
					'On the right page the last dot was measured 6 mm from the right edge; by the other numbers it lies 4.25 mm from it: they disagree by 1.75 mm.'
			}
		]);
	});
});

describe('the book', () => {
	test('says how many months like these still fit and when it will be full', () => {
		expect(forecast([20, 24], 70, { year: 2027, month: 5 })).toEqual({
			pagesPerMonth: 22,
			monthsLeft: 3,
			fullIn: { year: 2027, month: 9 }
		});
		expect(forecast([], 70, { year: 2027, month: 5 })).toBeUndefined();
		expect(forecast([10], 9, { year: 2027, month: 12 })?.fullIn).toEqual({ year: 2028, month: 1 });
	});

	test('warns before the index overflows', () => {
		expect(indexAfter({ lines: 40, used: 10 }, 9)).toEqual({ left: 21 });
		expect(indexAfter({ lines: 40, used: 25 }, 9).warning).toContain('6 lines are left');
		expect(indexAfter({ lines: 40, used: 35 }, 9)).toMatchObject({
			left: -4,
			warning: expect.stringContaining('4 too few')
		});
	});

	test('paper gives advice; what was tried counts more than the weight', () => {
		expect(paperHints({})).toEqual([]);
		expect(paperHints({ weight: 160 }).join(' ')).toContain('takes light paint');
		expect(paperHints({ weight: 80 }).join(' ')).toMatch(/would wrinkle.*Dark ink will show/);
		expect(paperHints({ weight: 160, bearsPaint: false })[0]).toContain('would wrinkle');
		expect(paperHints({ bearsAlcoholInk: false })).toEqual([
			'Alcohol ink bleeds through: leave the back of such a page free.'
		]);
		expect(paperHints({ weight: 200, bearsAlcoholInk: true })).toHaveLength(1);
	});
});

test('a print that shrinks to 98.5 mm needs a file 100 / 98.5 larger', () => {
	const { x, y } = correctionFor({ acrossMm: 98.5, downMm: 100 });
	expect([x, y]).toEqual([100 / 98.5, 1]);
});
