import axe from 'axe-core';
import { expect, test } from 'vitest';
import type { Page } from 'playwright';
import { onStage, visit } from './stage';

const stage = onStage('/', { wishes: 6 });

test('every screen of planning and making passes axe: light, dark, at 200 % zoom and on a tablet', async () => {
	const month = stage().page.url();
	await allPass([
		month,
		`${month}?kinds`,
		`${month}/compare`,
		`${month}/pages/64`,
		`${month}/guide/64`,
		`${month}/draw`,
		`${month}/sheets`,
		`${month}/labels`,
		`${month}/keep`,
		`${month}/keep?way=day`,
		`${month}/keep?way=picture`
	]);
}, 180_000);

test('every screen of books and records does', async () => {
	const { app, page } = stage();
	await page.goto(`${app.address}/notebooks`);
	const book = await page
		.getByRole('link', { name: /^Ferry log/ })
		.first()
		.getAttribute('href');
	await page.goto(`${app.address}/months`);
	const april = await page.getByRole('link', { name: /^April/ }).getAttribute('href');
	await allPass(
		[
			`${april}/keep?way=paper&of=habits`,
			`${april}/look-back`,
			`${april}/look-back?over=next`,
			`${april}/earlier`,
			'/notebooks',
			'/notebooks/new',
			'/notebooks/hand',
			'/notebooks/lettering',
			'/notebooks/printer',
			'/notebooks/everything',
			'/notebooks/tablet',
			`${book}`,
			`${book}/measure`,
			'/months',
			'/welcome',
			'/nowhere'
		].map((path) => app.address + path)
	);
}, 180_000);

/** Rules whose answer is another one in other colours, or at another width; all others are asked at the desk and at 200 %. */
const ofColours = ['color-contrast', 'link-in-text-block'];
const ofSizes = ['target-size', 'scrollable-region-focusable', 'color-contrast'];
const all = undefined;

/** Holds screens against axe in every colour and width, and looks whether anything runs out of the window. */
async function allPass(paths: readonly string[]): Promise<void> {
	const { page } = stage();
	for (const path of paths) {
		await visit(page, path);
		if (/\/months\/[^/?]+$/.test(path)) await page.getByTestId('wish-3').click();
		if (path.endsWith('/pages/64')) {
			await page.getByRole('button', { name: /^Add a cut/ }).click();
			await page.getByRole('menuitem', { name: /^Window/ }).click();
		}
		// 200 % zoom of a 1280 × 800 window leaves 640 × 400; a tablet upright has 768 × 1024.
		for (const [colorScheme, width, height, rules] of [
			['light', 1280, 800, all],
			['dark', 1280, 800, ofColours],
			['light', 768, 1024, ofSizes],
			['light', 640, 400, all]
		] as const) {
			await page.emulateMedia({ colorScheme });
			await page.setViewportSize({ width, height });
			expect(await violations(page, rules), `${path} ${colorScheme} ${width}`).toEqual([]);
			const wide = await page.evaluate(
				() => document.documentElement.scrollWidth - document.documentElement.clientWidth
			);
			expect(wide, `${path} is too wide for ${width}`).toBeLessThanOrEqual(0);
		}
		// A small phone: nothing runs out of the window (WCAG 2.2, 1.4.10).
		await page.setViewportSize({ width: 320, height: 640 });
		const wide = await page.evaluate(
			() => document.documentElement.scrollWidth - document.documentElement.clientWidth
		);
		expect(wide, `${path} is too wide for 320`).toBeLessThanOrEqual(0);
		await page.setViewportSize({ width: 1280, height: 800 });
	}
}

/** What axe objects to on a page, in short. */
async function violations(page: Page, rules?: readonly string[]): Promise<string[]> {
	if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
	return page.evaluate(async (rules) => {
		const { axe } = window;
		// What is inside a picture is read as one, by the picture's name.
		const { violations } = await axe.run(
			{ exclude: ['[role=img] > *', '[aria-roledescription=chart] > *'] },
			{ resultTypes: ['violations'], ...(rules ? { runOnly: rules } : {}) }
		);
		return violations.flatMap(({ id, nodes }) =>
			nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`)
		);
	}, rules?.slice());
}

test('menus lie in a landmark, and forced colours show what is chosen', async () => {
	const { page } = stage();
	await page.emulateMedia({ forcedColors: 'active' });
	await page.getByTestId('add-wish').click();
	expect(await violations(page)).toEqual([]);
	await page.keyboard.press('Escape');
	const ground = (name: string) =>
		page
			.getByRole('radio', { name })
			.evaluate((element) => getComputedStyle(element).backgroundColor);
	expect(await ground('Balanced')).not.toBe(await ground('Roomiest'));
	await page.emulateMedia({ forcedColors: 'none' });
});

test('the focus goes to what was made, or to its neighbour', async () => {
	const { app, page } = stage();
	const focused = () =>
		page.evaluate(() => {
			const { activeElement } = document;
			return activeElement?.getAttribute('aria-label') ?? activeElement?.textContent?.trim();
		});
	const month = page.url();
	await visit(page, `${month}/pages/64`);
	await page.getByRole('button', { name: /^Add a cut/ }).click();
	await page.getByRole('menuitem').first().click();
	await page.locator('[data-draft] input:focus').waitFor();
	await page.getByRole('button', { name: 'Make this cut' }).click();
	await expect.poll(focused).toMatch(/^Change/);
	// Without the cut again, and kept so before the page is left.
	const kept = page.waitForResponse((response) => {
		const request = response.request();
		return request.method() === 'PUT' && !request.postData()?.includes('"cuts"');
	});
	await page
		.getByRole('region', { name: 'Cuts' })
		.getByRole('button', { name: /^Remove/ })
		.click();
	await expect.poll(focused).toMatch(/^Add a cut/);
	await kept;

	await visit(page, month);
	const trigger = page.getByRole('button', { name: /^Habits.*on page/ });
	await trigger.click();
	await page.getByRole('menuitem', { name: /^Send to page/ }).hover();
	await page.getByRole('menuitem', { name: '70', exact: true }).click();
	await page.getByRole('button', { name: /^Habits.*on page 70/ }).waitFor();
	await expect.poll(focused).toMatch(/^Habits/);
	await page.getByRole('button', { name: 'Undo', exact: true }).click();

	await visit(page, `${app.address}/months`);
	const gone = page.getByRole('button', { name: /^Delete/ }).first();
	const name = (await gone.getAttribute('aria-label'))?.replace('Delete ', '') ?? '';
	await gone.click();
	// Others may have been deleted before it.
	await page.getByRole('button', { name: `Bring back ${name}` }).click();
	await expect.poll(focused).toMatch(new RegExp(`^${name}`));
});
