import { afterAll, afterEach, beforeAll, beforeEach, expect } from 'vitest';
import demoMonth from '../../demo/month.json';
import type { Browser, BrowserContext, Page } from 'playwright';
import { oneApp, type App } from './app';
import { launch, oneWindow, watch } from './chromium';

export { addKind } from './add-kind';

/** What a test file works with: a fresh window for each test, over one application and browser. */
export interface Stage {
	app: App;
	/** A browser apart from the one that the test's windows are in. */
	elsewhere: () => Promise<Browser>;
	context: BrowserContext;
	page: Page;
	troubles: string[];
}

/**
 * Sets up the application with the demo data for a test file, and a fresh page at `path` for each test, in one window
 * whose scripts need not be read anew each time. What is not about the month's pages does with its first few `wishes`.
 * After each test nothing may have gone wrong on its pages.
 */
export function onStage(path = '/', { wishes }: { wishes?: number } = {}): () => Stage {
	let stage: Stage;
	let app: App;
	let browser: Browser | undefined;
	let context: BrowserContext;
	const elsewhere = async () => (browser ??= await launch());
	beforeAll(async () => {
		[app, context] = await Promise.all([oneApp(), oneWindow()]);
		// A window that stays on the application keeps the process in which its pages are shown.
		await context.pages()[0]?.goto(`${app.address}/favicon.svg`);
		if (wishes !== undefined) await shortened(app, context, wishes);
	});
	afterAll(async () => {
		await browser?.close();
		await context.clearCookies();
	});
	beforeEach(async () => {
		const page = await context.newPage();
		stage = { app, elsewhere, context, page, troubles: watch(page) };
		await visit(page, app.address + path);
	});
	afterEach(async () => {
		// What a test has told the browser to remember is no other test's business.
		const { page } = stage;
		// The next test begins with what this one left.
		await expect
			.poll(() => page.getByText('Saving …', { exact: true }).count(), { timeout: 30_000 })
			.toBe(0);
		if (page.url().startsWith(app.address)) await page.evaluate(() => localStorage.clear());
		await context.clearPermissions();
		// Without any window the browser would end.
		for (const open of context.pages().slice(1)) await open.close();
		expect(stage.troubles).toEqual([]);
	});
	return () => stage;
}

/** Has the demo month begun anew with its first wishes. */
async function shortened(app: App, context: BrowserContext, wishes: number): Promise<void> {
	const page = await context.newPage();
	await page.goto(app.address);
	const path = new URL(page.url()).pathname;
	const document = { ...demoMonth, wishes: demoMonth.wishes.slice(0, wishes) };
	const made = await context.request.post(`${app.address}/app/import`, { data: { document } });
	expect(made.status(), await made.text()).toBe(201);
	await context.request.patch(`${app.address}/app${path}`, { data: { deleted: true } });
	await page.close();
}

/** Looks through the month's pages, which are drawn as they come near the window, until a text stands on one. */
export async function drawn(page: Page, text: string): Promise<void> {
	const there = page.locator('svg text', { hasText: text }).first();
	await expect
		.poll(async () => {
			for (const spread of await page.getByRole('link', { name: /^Pages/ }).all()) {
				if (await there.isVisible()) return true;
				await spread.scrollIntoViewIfNeeded();
			}
			return there.isVisible();
		})
		.toBe(true);
}

/** Waits until everything shown is kept. */
export async function saved(page: Page): Promise<void> {
	await page
		.getByTestId('save-state')
		.filter({ hasText: /^\s*Saved\s*$/ })
		.waitFor();
}

/** Opens a list field and takes an option, by its words or its place. */
export async function choose(
	page: Page,
	field: RegExp,
	option: string | RegExp | number
): Promise<void> {
	await page.getByRole('combobox', { name: field }).click();
	const list = page.getByRole('listbox');
	const item =
		typeof option === 'number'
			? list.getByRole('option').nth(option)
			: list.getByRole('option', { name: option, exact: typeof option === 'string' });
	await item.click();
	await list.waitFor({ state: 'hidden' });
}

/** Opens what is folded among the settings of the chosen wish, or elsewhere. */
export async function unfold(page: Page, words: string) {
	const folded = page.locator('details:not([open]) > summary', { hasText: words });
	if ((await folded.count()) > 0) await folded.first().click();
}

/** Goes back to the plan. */
export const toPlan = (page: Page) => page.getByRole('link', { name: 'Plan', exact: true }).click();

/** Goes to where the month is printed and saved, by its menu. */
export async function toSheets(page: Page) {
	await page.getByTestId('month-menu').click();
	await page.getByRole('menuitem', { name: /^Print, save or share/ }).click();
	await page.getByRole('heading', { name: 'Sheets' }).waitFor();
}

/** Goes to the counting guide, by way of what is drawn tonight. */
export async function toGuide(page: Page) {
	await page.getByRole('link', { name: 'Draw', exact: true }).click();
	await page.getByRole('link', { name: 'Counting guide' }).click();
}

/** Goes to a page and waits until its controls answer. */
export async function visit(page: Page, address: string): Promise<void> {
	await page.goto(address, { waitUntil: 'commit' });
	await live(page);
}

/** Loads a page again, as a person does, and waits until its controls answer. */
export async function reloaded(page: Page): Promise<void> {
	await page.reload({ waitUntil: 'commit' });
	await live(page);
}

async function live(page: Page): Promise<void> {
	await page.locator('html[data-live]').waitFor({ state: 'attached' });
}
