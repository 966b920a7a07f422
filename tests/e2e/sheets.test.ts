import { readFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import { PNG } from 'pngjs';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { readPdf } from '../support/read-pdf';
import { readSvg } from '../support/read-svg';
import { type App, startApp } from './app';
import { openWindow } from './chromium';
import { onStage, reloaded, saved, toSheets, visit } from './stage';

const stage = onStage();
let empty: App;
beforeAll(async () => {
	empty = await startApp('start');
});
afterAll(() => empty.stop());

const sheets = async () => {
	const { page } = stage();
	await toSheets(page);
	await page.getByRole('heading', { name: 'Sheets' }).waitFor();
	return page;
};

describe('sheets', () => {
	test('printed from the browser, a page is the same as in the PDF', async () => {
		const page = await sheets();
		await page.getByLabel('Pages, such as').fill('70');
		const picture = page.getByRole('img', { name: 'Page 70, as it is printed' });
		await picture.waitFor();
		await picture.evaluate(async (image) => {
			if (image instanceof HTMLImageElement) await image.decode();
		});
		const printed = await readPdf(new Uint8Array(await page.pdf({ preferCSSPageSize: true })));
		const href = await page.getByRole('link', { name: 'PDF, page by page' }).getAttribute('href');
		const answer = await page.request.get(`${stage().app.address}${href}`);
		const ours = await readPdf(new Uint8Array(await answer.body()));
		expect(printed.pages).toHaveLength(1);
		const [ink, paper] = [ours.pages[0], printed.pages[0]];
		if (!ink || !paper) throw new Error('a page is missing');
		// A browser's page is a whole number of its own units, of which 96 make an inch.
		expect(Math.abs(paper.widthMm - ink.widthMm)).toBeLessThan(25.4 / 96);
		expect(Math.abs(paper.heightMm - ink.heightMm)).toBeLessThan(25.4 / 96);
		expect(paper.dots).toHaveLength(ink.dots.length);
		expect(paper.strokes).toHaveLength(ink.strokes.length);
		ink.strokes.forEach((stroke, at) => {
			const other = paper.strokes[at];
			expect(Math.abs((other?.x1 ?? 0) - stroke.x1)).toBeLessThan(0.1);
			expect(Math.abs((other?.y2 ?? 0) - stroke.y2)).toBeLessThan(0.1);
		});
		expect(paper.text.replaceAll(/\s/g, '')).toContain('Sleep');
	});

	test('lines, stencils, pictures and drawings of one page are had at the size asked for', async () => {
		const page = await sheets();
		const { app } = stage();
		const get = async (name: string) => {
			const href = await page.getByRole('link', { name }).getAttribute('href');
			return (await page.request.get(`${app.address}${href}`)).body();
		};
		const pages = page.getByLabel('Pages, such as');
		await pages.fill('64–99');
		await page.getByText('The run has pages 62 to 83; “99” is none of them').waitFor();
		await pages.fill('64-65, 70');
		const some = await readPdf(new Uint8Array(await get('PDF, page by page')));
		expect(some.pages).toHaveLength(3);
		const leaves = await readPdf(new Uint8Array(await get('PDF, leaves to glue in')));
		// The leaves 63/64 and 65/66 on one sheet, 69/70 on another, each with its back.
		expect(leaves.pages).toHaveLength(4);
		await pages.fill('66');
		await page.getByLabel('Pictures').fill('150');
		expect(PNG.sync.read(await get('Picture (PNG)')).width).toBe(Math.round((148 / 25.4) * 150));
		const whole = readSvg((await get('SVG in mm')).toString());
		await page.getByRole('radio', { name: 'Only its lines, to trace' }).click();
		const lines = readSvg((await get('SVG in mm')).toString());
		expect(lines.texts).toEqual([]);
		expect(lines.strokes).toEqual(whole.strokes);
		await page.getByRole('radio', { name: /^A stencil/ }).click();
		expect(readSvg((await get('SVG in mm')).toString()).dots).toHaveLength(4);
	});

	test('a ZIP being drawn is stopped, and nothing is saved', async () => {
		const page = await sheets();
		await page.getByLabel('Pictures').fill('600');
		await page.getByRole('button', { name: /^Everything as one ZIP/ }).click();
		await page.getByText(/\d of \d+ files/).waitFor();
		await page.getByRole('button', { name: 'Stop' }).click();
		await page.getByRole('button', { name: /^Everything as one ZIP/ }).waitFor();
	});
});

test('plan, move, undo, follow a guide to its end, save all, open it elsewhere: the same run', async () => {
	const { elsewhere, page } = stage();
	const month = page.url();
	await visit(page, `${month}/pages/69`);
	const block = (place: string) =>
		page.getByRole('button', {
			name: new RegExp(`^Weather inside on page 69.* from dot ${place}$`)
		});
	await block('1, 0').focus();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Enter');
	await block('1, 2').waitFor();
	await page.keyboard.press('Control+z');
	await block('1, 0').waitFor();
	await page.keyboard.press('Control+y');
	await block('1, 2').waitFor();

	await visit(page, `${month}/guide/69`);
	await page.getByRole('button', { name: 'Follow step by step' }).click();
	const status = page.getByText(/^Part \d+ of \d+, \d+ done$/);
	const of = Number(/of (\d+)/.exec((await status.textContent()) ?? '')?.[1]);
	const half = Math.floor(of / 2);
	for (let step = 0; step < half; step++) await page.keyboard.press(' ');
	await page.getByText(`Part ${half + 1} of ${of}, ${half} done`).waitFor();
	await reloaded(page);
	await page.getByRole('button', { name: 'Follow step by step' }).click();
	await page.getByText(`Part ${half + 1} of ${of}, ${half} done`).waitFor();
	for (let step = half; step < of; step++) await page.keyboard.press(' ');
	await page.getByText(`Part ${of} of ${of}, ${of} done`).waitFor();

	await sheets();
	await page.getByLabel('Pictures').fill('50');
	const download = page.waitForEvent('download', { timeout: 60_000 });
	await page.getByRole('button', { name: /^Everything as one ZIP/ }).click();
	const files = unzipSync(await readFile(await (await download).path()));
	const named = (end: string) => Object.keys(files).filter((name) => name.endsWith(end));
	expect(named('.svg').length).toBe(named('.png').length);
	expect(named('.pdf').sort()).toEqual([
		'horarium-2027-05-strips.pdf',
		'horarium-2027-05-two-on-a4.pdf',
		'horarium-2027-05.pdf'
	]);
	const json = files['horarium-2027-05.json'];
	const pdf = files['horarium-2027-05.pdf'];
	if (!json || !pdf) throw new Error('a file is missing');
	expect((await readPdf(pdf)).pages).toHaveLength(named('.svg').length);

	const other = await openWindow(await elsewhere());
	await visit(other.page, empty.address);
	await other.page.getByLabel(/^A file that was saved from Horarium/).setInputFiles({
		name: 'month.json',
		mimeType: 'application/json',
		buffer: Buffer.from(strFromU8(json))
	});
	await other.page.getByRole('button', { name: 'Take it' }).click();
	await other.page
		.getByText(/pages,/)
		.first()
		.waitFor();
	await saved(other.page);
	const run = (at: typeof page) =>
		at
			.locator('[aria-label="The run of pages"] ol a svg path')
			.evaluateAll((paths) => paths.map((path) => path.getAttribute('d')));
	await visit(page, month);
	expect(await run(other.page)).toEqual(await run(page));
	expect(other.troubles).toEqual([]);
	await other.context.close();
}, 120_000);
