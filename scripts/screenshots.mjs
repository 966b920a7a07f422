// Takes the pictures in docs/screenshots/ from the demo data, in a database of their own.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from 'playwright';
import { ensureChromium } from './chromium.mjs';
import { serve } from './serve.mjs';

ensureChromium();

const folder = mkdtempSync(join(tmpdir(), 'horarium-'));
process.env.HORARIUM_DB = join(folder, 'pictures.db');
process.env.PORT = '0';
const address = await serve({ database: '', demo: true });
const browser = await chromium.launch({
	executablePath: process.env.CHROMIUM ?? '',
	args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync']
});

/**
 * @param {string} name
 * @param {string} path
 * @param {{ dark?: boolean, act?: (page: import('playwright').Page) => Promise<unknown> }} [options]
 */
async function picture(name, path, { dark = false, act } = {}) {
	const page = await browser.newPage({
		viewport: { width: 1280, height: 800 },
		colorScheme: dark ? 'dark' : 'light',
		reducedMotion: 'reduce',
		locale: 'en-GB'
	});
	await page.goto(address + path, { waitUntil: 'networkidle' });
	await act?.(page);
	await page.screenshot({ path: `docs/screenshots/${name}.png` });
	await page.close();
}

const home = await fetch(address, { redirect: 'manual' });
const month = home.headers.get('location') ?? '';
const books = await (await fetch(`${address}/notebooks`)).text();
const book = books.match(/\/notebooks\/[0-9a-f-]{36}(?=[^]{0,400}volume 3)/g)?.at(-1) ?? '';
const months = await (await fetch(`${address}/months`)).text();
const april =
	/(\/months\/[0-9a-f-]{36})"[^>]*>\s*(?:<(?!a)[^>]*>\s*)*April 2027/.exec(months)?.[1] ?? '';

/** @param {import('playwright').Page} page */
const aimsKnown = (page) =>
	page.locator('[aria-label="Three ways to fit the month"][aria-busy="false"]').waitFor();
await picture('month', month, { act: aimsKnown });
await picture('month-dark', month, { dark: true, act: aimsKnown });
await picture('compare', `${month}/compare`, {
	act: (page) => page.getByText('…', { exact: true }).first().waitFor({ state: 'detached' })
});
await picture('kinds', `${month}?kinds`, {
	act: async (page) => {
		const drawer = page.getByRole('dialog');
		await drawer.getByRole('button', { name: /^Month calendar/ }).click();
		await drawer.getByRole('img', { name: 'Cover, drawn' }).waitFor();
	}
});
await picture('opened', `${month}/pages/66`, {
	act: async (page) => {
		await page.getByRole('button', { name: /^Due on page 66/ }).focus();
		for (let step = 0; step < 2; step++) await page.keyboard.press('ArrowDown');
	}
});
await picture('weeks', `${month}/pages/76`);
await picture('cuts', `${month}/pages/72`, {
	act: async (page) => {
		await page.getByRole('button', { name: /^Add a cut/ }).click();
		await page.getByRole('menuitem', { name: /^Tabs/ }).click();
		await page.getByText(/^\s*Run: /).waitFor();
	}
});
await picture('sheets', `${month}/sheets`);
await picture('labels', `${month}/labels`, {
	act: async (page) => {
		await page.getByText('two', { exact: true }).click();
	}
});
await picture('guide', `${month}/guide/65`, { act: (page) => page.keyboard.press('ArrowDown') });
await picture('follow', `${month}/guide/64`, {
	act: async (page) => {
		await page.getByRole('button', { name: 'Follow step by step' }).click();
		for (let step = 0; step < 5; step++) await page.keyboard.press(' ');
	}
});
await picture('draw', `${month}/draw`, {
	act: async (page) => {
		await page.getByRole('button', { name: 'Done', exact: true }).waitFor();
		for (let step = 0; step < 2; step++) await page.keyboard.press(' ');
		await page.getByRole('timer').waitFor();
	}
});
await picture('keep', `${month}/keep?day=7`, {
	act: (page) => page.getByRole('heading', { name: 'Friday 7 May' }).waitFor()
});
const taken = await fetch(
	`${address}/standins/page.png?month=${month.split('/').at(-1)}&page=69&whole`
);
const photograph = {
	name: 'page-69.png',
	mimeType: 'image/png',
	buffer: Buffer.from(await taken.arrayBuffer())
};
await picture('photograph', `${month}/keep?way=picture`, {
	act: async (page) => {
		await page.getByLabel('Choose photographs of pages').setInputFiles(photograph);
		await page.getByRole('button', { name: /^Keep \d+ values/ }).waitFor();
	}
});
await picture('look-back', `${april}/look-back`, {
	act: (page) => page.locator('main svg').nth(2).waitFor()
});
await picture('next-month', `${april}/look-back?over=next`, {
	act: async (page) => {
		await page.getByText(/everything fits/).waitFor();
		await page.getByText('…', { exact: true }).first().waitFor({ state: 'detached' });
	}
});
await picture('books', '/notebooks', {
	act: (page) => page.getByText('full in July 2027').waitFor()
});
await picture('measure', `${book}/measure`, {
	act: (page) => page.getByLabel('length of 20 squares').focus()
});
await picture('lettering', '/notebooks/lettering', {
	act: (page) => page.getByLabel('Word', { exact: true }).fill('SEPTEMBER')
});

await browser.close();
rmSync(folder, { recursive: true, force: true });
process.exit(0);
