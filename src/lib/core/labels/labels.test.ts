import fc from 'fast-check';
import { expect, test } from 'vitest';
import { demoPlan } from '../../../../tests/support/arbitraries';
import { faces as openedFaces } from '../../server/answer/fonts';
import { planRun } from '../fit';
import { sheetsMm } from '../render/pages/sheets';
import { labelSets, labelsOf, squaresAcross } from '.';
import { bmpOf, isBlack, joined, pbmOf, type Bitmap } from './bitmap';
import { labelSheets, sheetMarginMm, squaresOnSheet } from './label-art';
import { dotsOf, labelPicture } from './label-picture';

const demo = demoPlan();
const run = planRun(demo);
const faces = openedFaces();
const withPitch = (pitchMm: number) => ({ ...demo, notebook: { ...demo.notebook, pitchMm } });

test('a date is a square, weekdays are of one length, and a set is of one size', () => {
	const dates = labelsOf(demo, run, 'dates', 1, 38);
	expect(dates.map(({ mark }) => mark.text)).toEqual(
		Array.from({ length: 31 }, (_, index) => String(index + 1))
	);
	expect(dates.every(({ mark }) => mark.w === 1 && mark.h === 1)).toBe(true);
	for (const set of labelSets)
		expect(new Set(labelsOf(demo, run, set, 2, 38).map(({ size }) => size)).size).toBe(1);
	expect(new Set(labelsOf(demo, run, 'weekdays', 1, 38).map(({ mark }) => mark.w)).size).toBe(1);
});

test('a tape of 12 mm holds two squares of 5 mm, and four of 3 mm', () => {
	expect([5, 3, 4.95, 6.35, 12.1].map((pitch) => squaresAcross(12, pitch))).toEqual([
		2, 4, 2, 1, 0
	]);
});

test('a label is as many dots as its squares are, rounded once, and no letter is cut through', async () => {
	for (const pitchMm of [3.7, 4.95, 5, 6.35]) {
		const plan = withPitch(pitchMm);
		for (const set of labelSets)
			for (const label of labelsOf(plan, run, set, 1, 38).slice(0, 7)) {
				const picture = await labelPicture(plan, label, faces);
				// 203 dots per inch are 8 a millimetre (common practice of label printers).
				expect(picture.width).toBe(Math.round(label.mark.w * pitchMm * 8));
				expect(picture.height).toBe(Math.round(pitchMm * 8));
				expect(blackOf(picture)).toBeGreaterThan(0);
				const edge = [
					...Array.from({ length: picture.width }, (_, x) => [x, 0]),
					...Array.from({ length: picture.height }, (_, y) => [0, y]),
					...Array.from({ length: picture.height }, (_, y) => [picture.width - 1, y])
				];
				expect(
					edge.some(([x = 0, y = 0]) => isBlack(picture, x, y)),
					`${label.mark.text} of ${pitchMm} mm`
				).toBe(false);
			}
	}
});

function blackOf(picture: Bitmap): number {
	let black = 0;
	for (let y = 0; y < picture.height; y++)
		for (let x = 0; x < picture.width; x++) if (isBlack(picture, x, y)) black++;
	return black;
}

test('labels on a sheet lie on whole squares within its margins, apart, each with cuts all round', () => {
	fc.assert(
		fc.property(
			fc.constantFrom(3.7, 5, 6.35),
			fc.integer({ min: 1, max: 4 }),
			fc.subarray([...labelSets], { minLength: 1 }),
			fc.constantFrom('a4' as const, 'letter' as const),
			(pitchMm, high, sets, sheet) => {
				const plan = withPitch(pitchMm);
				const across = squaresOnSheet(sheet, pitchMm);
				const labels = sets.flatMap((set) => labelsOf(plan, run, set, high, across));
				const sheets = labelSheets(plan, labels, sheet);
				expect(sheets.flatMap(({ texts }) => texts.map(({ mark }) => mark.text))).toEqual(
					labels.map(({ mark }) => mark.text)
				);
				for (const { cuts, texts } of sheets) {
					const right = sheetsMm[sheet].width - sheetMarginMm;
					const foot = sheetsMm[sheet].height - sheetMarginMm;
					for (const { from, to } of cuts) {
						for (const { x, y } of [from, to]) {
							expect(x).toBeLessThanOrEqual(right + 1e-6);
							expect(y).toBeLessThanOrEqual(foot + 1e-6);
							const squares = [(x - sheetMarginMm) / pitchMm, (y - sheetMarginMm) / pitchMm];
							for (const at of squares) expect(Math.abs(at - Math.round(at))).toBeLessThan(1e-6);
						}
					}
					// Between the cuts beside it and above and below it each text has exactly its own squares.
					for (const { x, y, mark } of texts) {
						const beside = cuts
							.filter(({ from, to }) => from.x === to.x && from.y <= y && to.y >= y)
							.map(({ from }) => from.x);
						const left = Math.max(...beside.filter((at) => at <= x));
						const end = Math.min(...beside.filter((at) => at > left + 1e-6));
						expect((end - left) / pitchMm).toBeCloseTo(mark.w, 6);
						const level = cuts
							.filter(({ from, to }) => from.y === to.y && from.x <= x && to.x >= x)
							.map(({ from }) => from.y);
						const top = Math.max(...level.filter((at) => at <= y));
						expect((Math.min(...level.filter((at) => at > y)) - top) / pitchMm).toBeCloseTo(
							mark.h,
							6
						);
					}
				}
			}
		),
		{ numRuns: 20 }
	);
});

test('bitmaps are written as the Netpbm and BMP formats have them', () => {
	// The letter “J” of the PBM page of the Netpbm documentation (from memory), 6 dots wide.
	const rows = ['000010', '000010', '000010', '000010', '000010', '000010', '100010', '011100'];
	const bits = Uint8Array.from(rows, (row) => parseInt(row.padEnd(8, '0'), 2));
	const letter = { width: 6, height: rows.length, bits };
	expect([...pbmOf(letter)]).toEqual([...new TextEncoder().encode('P4\n6 8\n'), ...bits]);
	const bmp = bmpOf(letter);
	const view = new DataView(bmp.buffer);
	expect(String.fromCharCode(...bmp.subarray(0, 2))).toBe('BM');
	expect(view.getUint32(2, true)).toBe(bmp.length);
	// The lowest row comes first, each in whole groups of four bytes.
	expect(bmp[view.getUint32(10, true)]).toBe(0b01110000);
	expect(bmp.length - view.getUint32(10, true)).toBe(4 * rows.length);
	const twice = joined([letter, letter], letter.height);
	expect(twice.width).toBe(12);
	for (let y = 0; y < letter.height; y++)
		for (let x = 0; x < 12; x++) expect(isBlack(twice, x, y)).toBe(isBlack(letter, x % 6, y));
	expect(dotsOf(7, 4.95)).toBe(277);
});
