import { afterAll, beforeAll, expect, test } from 'vitest';
import type { Browser, Locator } from 'playwright';
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

test('a month of ten wishes from nothing takes at most 25 clicks and one’s own words', async () => {
	const { page, troubles } = await openWindow(browser);
	let clicks = 0;
	const click = async (what: Locator) => {
		clicks += 1;
		await what.click();
	};
	await visit(page, `${app.address}/welcome`);
	await page.getByLabel('Month to plan').fill('2027-06');
	// The button is seen without scrolling, beside the month that comes, also on a telephone.
	const begin = page.getByRole('button', { name: 'Draw June 2027' });
	for (const size of [
		{ width: 390, height: 844 },
		{ width: 1280, height: 800 }
	]) {
		await page.setViewportSize(size);
		const box = await begin.boundingBox();
		expect(box && box.y + box.height).toBeLessThan(size.height);
	}
	await page
		.getByRole('img', { name: /^Pages \d+ and \d+/ })
		.first()
		.waitFor();
	await click(begin);
	await page.getByRole('heading', { name: 'June 2027' }).waitFor();
	const names = () =>
		page.locator('ol[aria-label="Wishes"] > li > div [data-name]').allTextContents();
	const begun = (await names()).length;
	const field = page.getByTestId('add-wish');
	for (const words of ['gratitude', 'expense tracker', 'reading', 'sleep', 'to do']) {
		const before = (await names()).length;
		await click(field);
		await field.fill(words);
		await field.press('Enter');
		await expect.poll(async () => (await names()).length).toBe(before + 1);
	}
	expect(begun + 5).toBeGreaterThanOrEqual(10);
	// Its own words: the names of the habits, and a title.
	await click(
		page
			.getByTestId(/^wish-\d+$/)
			.filter({ hasText: 'Habit' })
			.first()
	);
	await page.getByLabel('Names, one per line').fill('Concertina\nFeed the dough');
	await page.getByRole('textbox', { name: 'Title' }).fill('Every day');
	await saved(page);
	expect(clicks).toBeLessThanOrEqual(25);
	expect(troubles).toEqual([]);
});
