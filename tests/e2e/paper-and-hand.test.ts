import { createRequire } from 'node:module';
import { beforeEach, expect, test } from 'vitest';
import demoMonth from '../../demo/month.json';
import type { BrowserContext, Page } from 'playwright';
import { dotMm, type Notebook } from '../../src/lib/core/paper';
import { readPdf } from '../support/read-pdf';
import type { App } from './app';
import { choose, drawn, onStage, saved, toPlan, toSheets, visit } from './stage';

const stage = onStage('/notebooks');
let app: App;
let context: BrowserContext;
let page: Page;
beforeEach(() => {
	({ app, context, page } = stage());
});

const open = async (path: string) => visit(page, `${app.address}${path}`);

test('an odd notebook is measured, and its pages lie exactly on its dots', async () => {
	await page
		.getByRole('listitem')
		.filter({ hasText: 'volume 3' })
		.getByRole('link', { name: /^Ferry log/ })
		.click();
	await page.getByRole('link', { name: 'Measure it with a ruler' }).click();
	await page.getByRole('heading', { name: /^Measure/ }).waitFor();
	// Smaller counts first: every state in between is consistent and is kept.
	const fields: [string, string][] = [
		['Squares across', '25'],
		['Squares down', '38'],
		['length of 20 squares', '99'],
		['Page width', '137'],
		['Page height', '203'],
		['left page: first dot from its left edge', '6'],
		['left page: first dot from its top edge', '7'],
		['right page: first dot from its left edge', '9'],
		['right page: first dot from its top edge', '8']
	];
	for (const [label, value] of fields) await page.getByLabel(label).fill(value);
	await page.getByText('16.25 mm, that is 3.28 squares').waitFor();
	await page.getByText('1.75 mm across, 1 mm down').waitFor();
	await saved(page);

	await page.getByLabel('Squares across').fill('26');
	await page
		.getByText('26 squares across are impossible on the right page: 9 mm + 128.7 mm')
		.waitFor();
	await page.getByText('Not saved until').waitFor();
	await page.getByLabel('Squares across').fill('25');
	await page.getByLabel('right page: last dot from its right edge').fill('6');
	await page.getByText('they disagree by 1.75 mm').waitFor();
	await saved(page);

	await toPlan(page);
	await toSheets(page);
	const print = page.getByRole('link', { name: 'PDF, page by page' });
	const href = await print.getAttribute('href');
	const response = await context.request.get(`${app.address}${href}`);
	const { pages } = await readPdf(new Uint8Array(await response.body()));
	const measured: Notebook = {
		name: '',
		pageMm: { width: 137, height: 203 },
		pitchMm: 4.95,
		columns: 25,
		rows: 38,
		gutter: 2,
		freePages: [],
		marginsMm: { left: { x: 6, y: 7 }, right: { x: 9, y: 8 } }
	};
	expect(pages.length).toBeGreaterThanOrEqual(5);
	pages.forEach(({ widthMm, dots, strokes }, index) => {
		expect(widthMm).toBeCloseTo(137, 2);
		// The first free page, 62, is a left page.
		const side = index % 2 === 0 ? 'left' : 'right';
		const { x, y } = dotMm(measured, side, { x: 0, y: 0 });
		expect(Math.hypot((dots[0]?.x ?? 0) - x, (dots[0]?.y ?? 0) - y)).toBeLessThan(0.01);
		for (const stroke of strokes) {
			const across = (stroke.x1 - x) / 4.95;
			const down = (stroke.y1 - y) / 4.95;
			expect(Math.abs(across - Math.round(across)) * 4.95).toBeLessThan(0.01);
			expect(Math.abs(down - Math.round(down)) * 4.95).toBeLessThan(0.01);
		}
	});
});

test('the book says what is left of it, and its paper what it bears', async () => {
	await page
		.getByRole('listitem')
		.filter({ hasText: 'volume 3' })
		.getByRole('link', { name: /^Ferry log/ })
		.click();
	await page.getByRole('heading', { name: 'Pages of the book' }).waitFor();
	await page.getByText(/more months? like these fits?/).waitFor();
	await page.getByLabel('lines it has').fill('20');
	await page.getByLabel('lines written on').fill('18');
	await page.getByText('12 too few').waitFor();
	await page.getByLabel('weight').fill('160');
	await page.getByText('This paper takes light paint').waitFor();
	await page.getByRole('button', { name: 'Add a page' }).click();
	await page.getByLabel('page', { exact: true }).fill('63');
	await saved(page);
	await toPlan(page);
	// Page 63 is spoilt now, so what stood there has moved.
	await page.getByRole('img', { name: /^Pages 64 and 65/ }).waitFor();
	expect(await page.getByText(/^p\. 63/).count()).toBe(0);
});

test('a measured hand is kept and shortens what does not fit', async () => {
	await open('/notebooks/hand');
	await page.getByLabel('Words took').fill('54');
	await page.getByText('54 ÷ 54 = 1 to the square').waitFor();
	await saved(page);
	await toPlan(page);
	await page
		.getByTestId(/^wish-/)
		.filter({ has: page.getByText('Habits', { exact: true }) })
		.click();
	await page.getByText('“Concertina” is 3 squares too long for 7').first().waitFor();
	await open('/notebooks/hand');
	expect(await page.getByLabel('Words took').inputValue()).toBe('54');
	await page.getByLabel('Words took').fill('27');
	await saved(page);
});

test('pages are written in the language the person chose', async () => {
	await open('/notebooks/hand');
	await choose(page, /^Language of weekdays/, /suomi/i);
	await saved(page);
	await open('/');
	await drawn(page, 'maanantai');
	await open('/notebooks/hand');
	await choose(page, /^Language of weekdays/, 0);
	await saved(page);
});

test('a title says where its letters start, and what would fit when it does not', async () => {
	await open('/notebooks/lettering');
	await page.getByLabel('Word', { exact: true }).fill('SEPTEMBER');
	await page.getByLabel('Width').fill('28');
	await page.getByText('letters start at dots 1, 4, 7, 10, 13, 16, 19, 22, 25').waitFor();
	await page.getByLabel('Letters wide').fill('4');
	await page.getByText('Letters of 3 with gaps of 0 would do.').waitFor();
	await page.getByRole('textbox', { name: 'Words' }).fill('Calm water is for the passengers');
	await page.getByText(/In a hand 1 high it needs \d+ × \d+ squares/).waitFor();
});

test('a printer that shrinks is corrected for', async () => {
	await open('/notebooks/printer');
	await page.getByLabel('Name of the printer').fill('Hall printer');
	await page.getByLabel('Bar across measures').fill('98,5');
	await page.getByRole('button', { name: 'Keep this printer' }).click();
	await page.getByText('sheets are made 101.52 % across and 100 % down').waitFor();
	await toSheets(page);
	await choose(page, /^Printer/, 'Hall printer');
	const href = await page.getByRole('link', { name: 'PDF, page by page' }).getAttribute('href');
	const response = await context.request.get(`${app.address}${href}`);
	const { pages } = await readPdf(new Uint8Array(await response.body()));
	const plain = await context.request.get(`${app.address}${href?.split('?')[0]}`);
	const read = await readPdf(new Uint8Array(await plain.body()));
	const ratio = (pages[0]?.widthMm ?? 0) / (read.pages[0]?.widthMm ?? 1);
	expect(ratio).toBeCloseTo(100 / 98.5, 5);
});

test('letters without a font are told, and a font of one’s own writes them', async () => {
	const habits = { id: 'h', kind: 'habits', items: [{ name: 'قراءة' }, { name: 'Bread' }] };
	const made = await context.request.post(`${app.address}/app/import`, {
		data: { document: { ...demoMonth, wishes: [habits] } }
	});
	const { id } = await made.json();
	await open(`/months/${id}`);
	const notice = page.getByText('No font here has the letters ق ر ا ء ة');
	await notice.waitFor();
	expect(await page.locator('svg text', { hasText: 'قراءة' }).count()).toBe(0);
	await open(`/months/${id}/sheets`);
	await notice.waitFor();
	await page.getByRole('link', { name: 'add a font that has them' }).click();

	const file = page.getByLabel(/^Font file/);
	await file.setInputFiles({ name: 'x.ttf', mimeType: '', buffer: Buffer.from('no font') });
	await page.getByText('This is no font file that can be read').waitFor();
	const require = createRequire(import.meta.url);
	const noto = '@fontsource/noto-sans-arabic/files/noto-sans-arabic-arabic-400-normal.woff';
	await file.setInputFiles(require.resolve(noto));
	const away = page.getByRole('button', { name: /^Take Noto Sans Arabic.* away$/ });
	await away.waitFor();

	await open(`/months/${id}`);
	await page.locator('svg text', { hasText: 'قراءة' }).first().waitFor();
	expect(await notice.count()).toBe(0);
	const pdf = await context.request.get(`${app.address}/app/months/${id}/plan.pdf`);
	const { pages } = await readPdf(new Uint8Array(await pdf.body()));
	expect(pages.some(({ text }) => /\p{Script=Arabic}/u.test(text.normalize('NFKC')))).toBe(true);

	await open('/notebooks/hand');
	await away.click();
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await away.waitFor();
});

test('a notebook is measured in a photograph, which is looked at before it is taken', async () => {
	const { app, context } = stage();
	const made = await context.request.get(`${app.address}/standins/page.png?side=right`);
	expect(made.headers()['content-type']).toBe('image/png');
	await page
		.getByRole('link', { name: /^Ferry log, volume 2/ })
		.first()
		.click();
	await page.getByRole('link', { name: 'Measure it with a ruler' }).click();
	const measuring = page.getByRole('region', { name: 'Measure by photograph' });
	await measuring.getByLabel('right page').check();
	const file = measuring.getByLabel('Photograph', { exact: true });
	await file.setInputFiles({
		name: 'a.png',
		mimeType: 'image/png',
		buffer: Buffer.from('garbage')
	});
	await measuring.getByText(/cannot read the file as a picture/).waitFor();
	await file.setInputFiles({ name: 'b.png', mimeType: 'image/png', buffer: await made.body() });
	await measuring.getByRole('img', { name: /^11\d\d dots that were found/ }).waitFor();
	const row = (name: string) => measuring.getByRole('row', { name: new RegExp(`^${name}`) });
	const seen = async (name: string) =>
		Number.parseFloat((await row(name).getByRole('cell').first().textContent()) ?? '');
	expect(await seen('Squares across')).toBe(28);
	expect(await seen('Squares down')).toBe(40);
	expect(Math.abs((await seen('From dot to dot')) - 5)).toBeLessThan(0.01);
	expect(Math.abs((await seen('First dot from the top edge')) - 5.2)).toBeLessThan(0.25);
	await measuring.getByRole('button', { name: 'Use these values' }).click();
	await measuring.getByText('The right page is measured.').waitFor();
	await saved(page);
});
