import { afterAll, beforeAll, expect, test } from 'vitest';
import type { Browser } from 'playwright';
import { type App, startApp } from './app';
import { launch, openWindow } from './chromium';
import { reloaded, saved, toPlan, visit } from './stage';

let app: App;
let browser: Browser;
beforeAll(async () => {
	[app, browser] = await Promise.all([startApp('start'), launch()]);
});
afterAll(async () => {
	await browser.close();
	await app.stop();
});

test('someone new has a drawn month in a few steps, in a notebook of their own numbers', async () => {
	const { page, troubles } = await openWindow(browser);
	await visit(page, app.address);
	await page.getByRole('heading', { name: 'Which book, and which month?' }).waitFor();
	await page.getByRole('button', { name: /^Small notebook/ }).click();
	await page.getByLabel('Squares across').fill('26');
	await page
		.getByText('26 squares of 5 mm need 130 mm and the page is 128 mm wide: at most 25 fit')
		.waitFor();
	expect(await page.getByRole('button', { name: /^Draw/ }).isDisabled()).toBe(true);
	await page.getByLabel('Squares across').fill('24');
	await page.getByLabel('First free page').fill('21');
	await page.getByLabel('Month to plan').fill('2027-05');
	await page.getByRole('button', { name: 'Draw May 2027' }).click();
	await page.getByRole('heading', { name: 'May 2027' }).waitFor();
	await page.getByRole('img', { name: /^Pages 22 and 23/ }).waitFor();
	// A wish is one line; its sums are told when it is opened.
	await page.getByTestId('wish-1').click();
	await page.getByText('left 4 × 6 = 24 of 24, 0 over at the side').waitFor();
	expect(troubles).toEqual([]);
});

test('a notebook is changed; a grid that is too large is not kept', async () => {
	const { page, troubles } = await openWindow(browser);
	await visit(page, `${app.address}/notebooks`);
	await page.getByRole('main').getByRole('link').nth(1).click();
	const across = page.getByLabel('Squares across');
	await across.fill('23');
	await saved(page);
	await across.fill('90');
	await page.getByText('Not saved until the marked number is put right').waitFor();
	await reloaded(page);
	expect(await across.inputValue()).toBe('23');
	await toPlan(page);
	await page.getByTestId('wish-1').click();
	await page.getByText(/left 4 × 5 = 20 of 23/).waitFor();
	expect(troubles).toEqual([]);
});
