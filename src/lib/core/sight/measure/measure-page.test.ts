import { describe, expect, test } from 'vitest';
import { photographed, truthOf, type Shot } from '../../../standins/camera';
import { drawnPage, usualHand } from '../../../standins/drawn-page';
import { presets, type Notebook, type Side } from '../../paper';
import { greyOf, type Grey } from '../picture/image';
import { measurePage } from './measure-page';
import { measureSpread } from './measure-spread';

const plain: Shot = {
	side: 'right',
	seed: 'plain',
	width: 860,
	table: 90,
	lean: 0,
	nod: 0,
	turn: 0,
	shade: 0.1,
	noise: 2,
	blur: 0,
	curl: 0,
	barrel: 0
};

function book(index: number): Notebook {
	const preset = presets[index];
	if (!preset) throw new RangeError('there is no such preset');
	const marginsMm = { left: { x: 3.1, y: 6.4 }, right: { x: 4.2, y: 5.8 } };
	return { ...preset.paper, name: 'Book', freePages: [{ first: 1, last: 100 }], marginsMm };
}

function measured(notebook: Notebook, shot: Shot) {
	const { rgba, width, height } = photographed(notebook, shot);
	return measurePage(greyOf(rgba, width, height), shot.side, notebook.pageMm);
}

/** The middle of a picture. */
function cut(picture: Grey, { width, height }: { width: number; height: number }): Grey {
	const [left, top] = [
		Math.round((picture.width - width) / 2),
		Math.round((picture.height - height) / 2)
	];
	const light = new Float32Array(width * height);
	for (let row = 0; row < height; row++) {
		const from = (top + row) * picture.width + left;
		light.set(picture.light.subarray(from, from + width), row * width);
	}
	return { width, height, light };
}

// The truth is that of a simulated camera, which shares no code with what reads its pictures.
describe('a page is measured in a photograph', () => {
	const shots: [string, number, Partial<Shot>][] = [
		['from straight above, on a dark table', 0, { seed: 'a' }],
		['the left page', 0, { seed: 'b', side: 'left' as Side }],
		[
			'a scan, flat and even, its edges before a grey lid',
			0,
			{ seed: 's', table: 140, noise: 1, shade: 0, width: 1240 }
		],
		['leaned and turned, with grain', 0, { seed: 'c', lean: 5, nod: -4, turn: 3, noise: 5 }],
		['curled at the fold, light from the side', 1, { seed: 'd', curl: 4, shade: 0.4, nod: 3 }],
		[
			'a lens and a little blur, on a light table',
			1,
			{ seed: 'e', barrel: 0.01, blur: 1, table: 190 }
		]
	];
	test.each(shots)('%s', (_, index, more) => {
		const notebook = book(index);
		const shot = { ...plain, ...more };
		const found = measured(notebook, shot);
		if ('says' in found) throw new Error(found.says);
		const truth = truthOf(notebook, shot.side);
		expect({ columns: found.columns, rows: found.rows }).toEqual({
			columns: notebook.columns,
			rows: notebook.rows
		});
		expect(Math.abs(found.pitchMm - notebook.pitchMm)).toBeLessThan(0.01);
		for (const [own, wanted] of [
			[found.firstDot, truth.first],
			[found.lastDot, truth.last]
		] as const)
			for (const axis of ['x', 'y'] as const)
				expect(Math.abs((own[axis] ?? NaN) - wanted[axis]), axis).toBeLessThan(0.25);
		expect(found.warp.error).toBeLessThan(0.5);
	});

	test('both pages of an open spread, each by its own dots', () => {
		const notebook = book(0);
		const sheets = (['right', 'left'] as const).map((side) =>
			drawnPage(notebook, side, [], [], usualHand)
		);
		const shot = { ...plain, seed: 'spread', width: 1700, lean: 2, turn: 1, curl: 2 };
		const { rgba, width, height } = photographed(notebook, shot, ...sheets);
		const found = measureSpread(greyOf(rgba, width, height), notebook.pageMm);
		if ('says' in found) throw new Error(found.says);
		for (const side of ['left', 'right'] as const) {
			const { columns, rows, pitchMm, firstDot, dots } = found[side];
			expect({ columns, rows }).toEqual({ columns: notebook.columns, rows: notebook.rows });
			expect(Math.abs(pitchMm - notebook.pitchMm)).toBeLessThan(0.01);
			const { first } = truthOf(notebook, side);
			for (const axis of ['x', 'y'] as const)
				expect(Math.abs((firstDot[axis] ?? NaN) - first[axis]), `${side} ${axis}`).toBeLessThan(
					0.25
				);
			expect(dots.every(({ x }) => x < width / 2 === (side === 'left'))).toBe(true);
		}
		const { rgba: single } = photographed(notebook, { ...plain, seed: 'one', table: 240 });
		expect(
			measureSpread(greyOf(single.fill(200), plain.width, (plain.width * 4) / 3), notebook.pageMm)
		).toMatchObject({ says: expect.stringContaining('fold') });
	});

	test('a table as light as the paper has no edge, and that is said with what would help', () => {
		const found = measured(book(0), { ...plain, table: 240 });
		expect(found).toMatchObject({ says: expect.stringContaining('edge of the paper') });
		expect(found).toMatchObject({ says: expect.stringContaining('darker or lighter') });
	});

	test('a scan that ends with the paper is measured by its resolution, where a side agrees', () => {
		const notebook = book(0);
		const shot = { ...plain, seed: 'flat', width: 1240, shade: 0, noise: 1, table: 250 };
		const { rgba, width, height } = photographed(notebook, shot);
		const grey = greyOf(rgba, width, height);
		// Seen from straight above the page fills so much of the picture's middle.
		const perMm = Math.min(
			(0.8 * height) / notebook.pageMm.height,
			(0.8 * width) / notebook.pageMm.width
		);
		const scan = cut(grey, {
			width: Math.round(notebook.pageMm.width * perMm),
			height: Math.round(notebook.pageMm.height * perMm)
		});
		const found = measurePage(scan, 'right', notebook.pageMm, { perMm });
		if ('says' in found) throw new Error(found.says);
		const { first, last } = truthOf(notebook, 'right');
		expect(Math.abs(found.pitchMm - notebook.pitchMm)).toBeLessThan(0.01);
		for (const axis of ['x', 'y'] as const) {
			expect(Math.abs((found.firstDot[axis] ?? NaN) - first[axis]), axis).toBeLessThan(0.25);
			expect(Math.abs((found.lastDot[axis] ?? NaN) - last[axis]), axis).toBeLessThan(0.25);
		}
		for (const other of [undefined, 72 / 25.4])
			expect(measurePage(scan, 'right', notebook.pageMm, { perMm: other })).toMatchObject({
				says: expect.stringContaining('edge of the paper')
			});
	});

	test('a picture without dots is refused in words', () => {
		const grey = { width: 400, height: 500, light: new Float32Array(200_000).fill(180) };
		expect(measurePage(grey, 'left', { width: 148, height: 210 })).toMatchObject({
			says: expect.stringMatching(/^No dots were found/)
		});
	});
});
