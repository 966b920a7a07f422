import { expect, test } from 'vitest';
import { choose, onStage, visit } from './stage';

const stage = onStage('/months');

test('a second book is begun with the month that comes next, and planned in', async () => {
	const { app, page } = stage();
	await page
		.getByRole('link', { name: /^May 2027/ })
		.first()
		.click();
	await page.waitForURL(/\/months\/[^/]+$/);
	await visit(page, `${page.url()}/look-back?over=next`);
	// June can be planned in this book, or in one that is added for it.
	await choose(page, /^In the book/, 'another book …');
	await page.waitForURL(/\/notebooks\/new\?month=2027-06$/);
	await page.getByLabel('What you call it').fill('Ferry log, volume 4');
	await page.getByRole('button', { name: 'Add it, and plan June 2027 in it' }).click();
	await page.waitForURL(/\/months\?book=/);
	expect(await page.getByLabel('Plan another month').inputValue()).toBe('2027-06');
	await page.getByRole('combobox', { name: /^In the book.*Ferry log, volume 4/ }).waitFor();
	await page.getByRole('button', { name: 'Plan June 2027' }).click();
	await page.getByRole('heading', { name: 'June 2027' }).waitFor();
	await page.getByTestId('month-menu').filter({ hasText: 'Ferry log, volume 4' }).waitFor();
	// An empty book offers to be planned in as well.
	await visit(page, `${app.address}/notebooks/new`);
	await page.getByLabel('What you call it').fill('Spare book');
	await page.getByRole('button', { name: 'Add this notebook' }).click();
	await page.getByRole('link', { name: /^Spare book/ }).click();
	await page.getByRole('link', { name: 'Plan a month in it' }).click();
	await page.getByRole('combobox', { name: /^In the book.*Spare book/ }).waitFor();
});
