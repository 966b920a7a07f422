import { beforeEach, describe, expect, test } from 'vitest';
import type { BrowserContext, Page } from 'playwright';
import { readPdf } from '../support/read-pdf';
import type { App } from './app';
import { watch } from './chromium';
import {
	addKind,
	choose,
	drawn,
	onStage,
	reloaded,
	saved,
	toGuide,
	toPlan,
	unfold,
	visit
} from './stage';

const stage = onStage();
let app: App;
let context: BrowserContext;
let page: Page;
let troubles: string[];
beforeEach(() => {
	({ app, context, page, troubles } = stage());
});

const wishNames = () =>
	page.locator('ol[aria-label="Wishes"] > li > div [data-name]').allTextContents();
const addWish = (name: string) => addKind(page, name);
/** The row of a wish, by its name. */
const wish = (name: string) =>
	page
		.getByTestId(/^wish-/)
		.filter({ has: page.getByText(name, { exact: true }) })
		.first();
const undo = () => page.getByRole('button', { name: 'Undo', exact: true }).click();

describe('the month', () => {
	test('opens on the demo month, fitted and drawn', async () => {
		expect(await page.title()).toBe('May 2027 · Horarium');
		expect((await wishNames()).slice(0, 4)).toEqual([
			'Cover',
			'Quote',
			'Month calendar',
			'At a glance'
		]);
		const spread = page.getByRole('img', { name: /^Pages 64 and 65/ });
		// The calendar has its spread for itself, and the quote faces the cover.
		expect(await spread.locator('text', { hasText: /^31$/ }).count()).toBe(1);
		const opening = page.getByRole('img', { name: /^Pages 62 and 63/ });
		expect(await opening.locator('text', { hasText: 'Calm water' }).count()).toBe(1);
	});

	test('events are rows that take a pasted list, and drop nothing that was typed', async () => {
		await page
			.getByRole('button', { name: /^Month calendar/ })
			.first()
			.click();
		// A wish is one line; its sums are told when it is opened.
		expect(await page.getByText('left 4 × 5 = 20 of 28, 8 over at the side').count()).toBe(1);
		await page.getByRole('button', { name: 'Add an event' }).click();
		await page.keyboard.type('12');
		await page.getByLabel('Time of event 1').fill('19:30');
		await page.getByLabel('What event 1 is').fill('Reel');
		await page.locator('svg text', { hasText: '19:30 Reel' }).first().waitFor();
		await page.getByLabel('What event 1 is').press('Enter');
		await page.getByLabel('What event 2 is').fill('some day');
		await page.getByText('Type a day from 1 to 31.').waitFor();
		await page.getByRole('button', { name: 'Add an event' }).click();
		await page.getByLabel('What event 3 is').evaluate((field) => {
			const clipboardData = new DataTransfer();
			clipboardData.setData('text/plain', 'May 5 Dentist\n3.5. 8:00 Yard\nno day at all');
			field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, cancelable: true }));
		});
		await page.locator('svg text', { hasText: 'Dentist' }).first().waitFor();
		await page.getByText('no day at all').waitFor();
		await saved(page);
		await reloaded(page);
		const values = () =>
			page
				.getByLabel(/^What event/)
				.evaluateAll((fields) => fields.map((field) => 'value' in field && field.value));
		await page
			.getByRole('button', { name: /^Month calendar/ })
			.first()
			.click();
		expect(await values()).toEqual(['Yard', 'Dentist', 'Reel', 'some day']);
		await page.getByRole('button', { name: 'Take event 2 away' }).click();
		await page.getByLabel('What event 3 is').waitFor();
		expect(await values()).toEqual(['Yard', 'Reel', 'some day']);
		await page.keyboard.press('Control+z');
		await page.getByLabel('What event 4 is').waitFor();
		await page.getByRole('button', { name: 'Take event 4 away' }).click();
	});

	test('what is added, changed and moved is kept, drawn, and can be taken back', async () => {
		await addWish('Habit trackers');
		await page.getByLabel('Names, one per line').fill('Oil the bellows\nKnead');
		await drawn(page, 'Knead');
		await saved(page);
		await reloaded(page);
		expect(await wishNames()).toHaveLength(15);
		await drawn(page, 'Knead');
		const last = page
			.getByTestId(/^wish-\d+$/)
			.filter({ has: page.getByText('Habits', { exact: true }) });
		// It stands where trackers do, behind the last of them.
		expect((await wishNames()).slice(8, 10)).toEqual(['Steps', 'Habits']);
		await last.last().focus();
		await page.keyboard.press('Alt+ArrowUp');
		await saved(page);
		expect((await wishNames()).slice(8, 10)).toEqual(['Habits', 'Steps']);
		await page.keyboard.press('Delete');
		expect(await wishNames()).toHaveLength(14);
		await page.keyboard.press('Control+z');
		expect(await wishNames()).toHaveLength(15);
		await page.keyboard.press('Control+Shift+z');
		await saved(page);
		expect(await wishNames()).toHaveLength(14);
	});

	test('what the month was before is looked at and brought back', async () => {
		const { page } = stage();
		await wish('Quote').click();
		await page.keyboard.press('Delete');
		await saved(page);
		await page.getByRole('link', { name: 'Earlier' }).click();
		const first = page.getByRole('listitem').filter({ hasText: 'took away' });
		await first.first().getByText('14 wishes').waitFor();
		await first.first().getByRole('link').click();
		await page.getByRole('region', { name: 'What it held' }).getByText('Quote').waitFor();
		await page.getByRole('button', { name: 'Bring it back' }).click();
		await page.getByText(/^The month is back to how it was until/).waitFor();
		await undo();
		await page.getByRole('button', { name: 'Bring it back' }).click();
		await page.getByRole('link', { name: 'Back to the month' }).click();
		await saved(page);
		await reloaded(page);
		expect(await wishNames()).toHaveLength(14);
	});

	test('a wish is dragged to another place', async () => {
		const handle = page.getByLabel('Drag Cover to another place');
		const target = page.getByLabel('Drag Quote to another place');
		const from = await handle.boundingBox();
		const to = await target.boundingBox();
		if (!from || !to) throw new Error('no handle');
		await page.mouse.move(from.x + 8, from.y + 8);
		await page.mouse.down();
		await page.mouse.move(from.x + 8, from.y + 20, { steps: 6 });
		await page.mouse.move(to.x + 8, to.y + to.height / 2 + 4, { steps: 12 });
		await page
			.locator('ol[aria-label="Wishes"] li:nth-child(2):has-text("Cover")')
			.waitFor({ state: 'attached' });
		await page.mouse.up();
		await saved(page);
		expect((await wishNames()).slice(0, 2)).toEqual(['Quote', 'Cover']);
		await undo();
		await saved(page);
		expect((await wishNames())[0]).toBe('Cover');
	});

	test('what cannot be placed says what is missing, in squares', async () => {
		await wish('Month calendar').click();
		await unfold(page, 'Place and priority');
		await page.getByRole('radio', { name: 'one page' }).click();
		await page.getByLabel('Cell across').fill('5');
		await page.getByText('7 across missing').waitFor();
		await page.getByText('One wish has no place in the free pages.').waitFor();
		await undo();
		await undo();
		await page.getByText('left 4 × 5 = 20 of 28').waitFor();
		await saved(page);
	});

	test('a wrong number is explained at its field and changes nothing', async () => {
		await wish('Month calendar').click();
		const field = page.getByLabel('Cell across');
		await field.fill('-3');
		await page.getByText('-3 is out of range: type a whole number from 1 to 300.').waitFor();
		expect(await field.getAttribute('aria-invalid')).toBe('true');
		expect(await page.getByRole('button', { name: 'Undo', exact: true }).isDisabled()).toBe(true);
	});

	test('another month and week start are drawn at once', async () => {
		await page.getByText('Change', { exact: true }).click();
		await choose(page, /^Month /, 'February');
		await page.getByText('28 days in 4 weeks, 0 cells empty before the 1st').waitFor();
		await page.getByRole('radio', { name: 'Sunday' }).click();
		await page.getByText('28 days in 5 weeks, 1 cell empty before the 1st').waitFor();
		await undo();
		await undo();
		await page.getByText('31 days in 6 weeks').waitFor();
		await saved(page);
	});

	test('a crash loses nothing that was shown as saved, and what was not is kept when it is back', async () => {
		await wish('Brain dump').click();
		const title = page.getByRole('textbox', { name: 'Title' });
		await title.fill('Loose thoughts');
		await saved(page);
		await app.crash(async () => {
			await title.fill('Loose ends');
			await page.getByText('Horarium does not answer.').waitFor();
			expect(await page.getByTestId('save-state').textContent()).toContain('Not saved');
		});
		await saved(page);
		await reloaded(page);
		expect(await wishNames()).toContain('Loose ends');
	});

	test('two windows do not overwrite each other silently', async () => {
		const other = await context.newPage();
		troubles.push(...watch(other));
		await visit(other, page.url());
		// A change shows up in the other window by itself.
		await wish('Cover').click();
		await page.getByRole('textbox', { name: 'Title' }).fill('MAY TWO');
		await other.getByText('MAY TWO').first().waitFor();
		// A window that missed the change is told when it writes.
		await other.evaluate(() => (BroadcastChannel.prototype.postMessage = () => undefined));
		await other.getByTestId('wish-0').click();
		await other.getByRole('textbox', { name: 'Title' }).fill('MINE');
		await saved(other);
		await page.getByRole('textbox', { name: 'Title' }).fill('THEIRS');
		await page.getByText('May 2027 was changed in another window.').waitFor();
		await page.getByRole('button', { name: /Take the other/ }).click();
		await saved(page);
		expect((await wishNames())[0]).toBe('MINE');
		await undo();
		await saved(page);
		expect((await wishNames())[0]).toBe('THEIRS');
	});
});

describe('the page desk and the guide', () => {
	test('a spread is turned, looked at closely and counted on', async () => {
		await page.getByRole('link', { name: /Pages 62 and 63/ }).click();
		await page.getByRole('heading', { name: 'Pages 62 and 63' }).waitFor();
		await page.keyboard.press('ArrowRight');
		await page.getByRole('heading', { name: 'Pages 64 and 65' }).waitFor();
		const picture = page.getByRole('group', { name: /drawn to the dot/ });
		const before = (await picture.boundingBox())?.width ?? 0;
		await page.keyboard.press('+');
		await page.getByText('150 %').waitFor();
		expect((await picture.boundingBox())?.width).toBeCloseTo(before * 1.5, -1);
		await page.keyboard.press('0');
		await page.getByText('100 %').waitFor();
		const box = await picture.boundingBox();
		if (!box) throw new Error('no picture');
		await page.mouse.move(box.x + box.width * 0.25, box.y + box.height * 0.25);
		await page.getByText(/page 64, dot \(\d+, \d+\),\s+from the (top|middle)/).waitFor();
	});

	test('the guide steps through a page by keyboard', async () => {
		await toGuide(page);
		await page.getByRole('heading', { name: 'Page 62, dot by dot' }).waitFor();
		await page.keyboard.press('ArrowRight');
		await page.getByRole('heading', { name: 'Page 63, dot by dot' }).waitFor();
		const current = page.locator('[aria-current="step"]');
		expect(await current.textContent()).toMatch(/^\s*1/);
		await page.keyboard.press('ArrowDown');
		await page.keyboard.press(' ');
		expect(await current.textContent()).toMatch(/^\s*3/);
		expect(await page.getByLabel('Step 2 is done').isChecked()).toBe(true);
		await page.keyboard.press('ArrowRight');
		await page.getByRole('heading', { name: 'Page 64, dot by dot' }).waitFor();
		expect(await current.textContent()).toMatch(/^\s*1/);
	});

	test('a page is followed to its end, ticks are kept over a reload, and it is looked over', async () => {
		await toGuide(page);
		await page.getByRole('navigation', { name: 'Pages of the run' }).getByText('63').click();
		await page.getByRole('heading', { name: 'Page 63, dot by dot' }).waitFor();
		await page.getByRole('button', { name: 'Follow step by step' }).click();
		const status = page.getByText(/^Part \d+ of \d+, \d+ done$/);
		const of = Number(/of (\d+)/.exec((await status.textContent()) ?? '')?.[1]);
		await page.getByRole('button', { name: 'Done' }).click();
		await page.keyboard.press(' ');
		await page.getByText(`Part 3 of ${of}, 2 done`).waitFor();
		await reloaded(page);
		await page.getByRole('button', { name: 'Follow step by step' }).click();
		await page.getByText(`Part 3 of ${of}, 2 done`).waitFor();
		for (let part = 2; part < of; part++) await page.keyboard.press(' ');
		await page.getByText(`Part ${of} of ${of}, ${of} done`).waitFor();
		await page.getByText(/^Nothing goes over the edge/).waitFor();
		await page.getByText('Page 63 is finished.').waitFor();
		await page.getByRole('button', { name: 'Mark it as drawn in the book' }).click();
		await page.getByText('It is marked as drawn and stays as it is.').waitFor();
		await page.getByRole('link', { name: 'Go on with page 64' }).click();
		await page.getByRole('heading', { name: 'Page 64, dot by dot' }).waitFor();
		await toPlan(page);
		await page.getByRole('button', { name: 'Undo', exact: true }).click();
		await saved(page);
		await toGuide(page);
		await page.getByRole('navigation', { name: 'Pages of the run' }).getByText('63').click();
		await page.getByRole('heading', { name: 'Page 63, dot by dot' }).waitFor();
		await page.getByRole('button', { name: 'Mark it as drawn in the book' }).waitFor();
		await page.getByRole('button', { name: 'Follow step by step' }).click();
		await page.getByRole('button', { name: 'Restart page' }).click();
		await page.getByText(/0 done$/).waitFor();
		await page.getByRole('button', { name: 'Show all steps' }).click();
		await page.getByRole('radio', { name: 'dots' }).click();
		await reloaded(page);
		expect(await page.getByRole('radio', { name: 'dots' }).getAttribute('aria-checked')).toBe(
			'true'
		);
	});

	test('tick strips of one page and of all pages are printed from the guide', async () => {
		await toGuide(page);
		await choose(page, /^Paper/, 'US Letter');
		await page.keyboard.press('Escape');
		await page.getByRole('navigation', { name: 'Pages of the run' }).getByText('63').click();
		await page.getByRole('heading', { name: 'Page 63, dot by dot' }).waitFor();
		for (const [name, least] of [
			['Strips of page 63 (PDF)', 1],
			['All pages (PDF)', 3]
		] as const) {
			const href = await page.getByRole('link', { name }).getAttribute('href');
			const response = await context.request.get(`${app.address}${href}`);
			const { pages } = await readPdf(new Uint8Array(await response.body()));
			expect(pages.length).toBeGreaterThanOrEqual(least);
			expect(pages[0]?.widthMm).toBeCloseTo(279.4, 1);
			expect(pages[0]?.text).toContain('Page 63, along the top');
		}
	});

	test('an address beyond the run says so', async () => {
		await page.goto(`${page.url()}/pages/9999`);
		await page.getByText('This page is not part of the month’s run.').waitFor();
	});
});

test('pages carry a strict content security policy', async () => {
	const policy = (await context.request.get(page.url())).headers()['content-security-policy'] ?? '';
	expect(policy).toContain("default-src 'none'");
	expect(policy).toMatch(/script-src 'self' 'nonce-[^']+'(;|$)/);
	expect(policy.replace(/style-src-attr 'unsafe-inline'/, '')).not.toContain('unsafe');
});

test('notebooks and months are deleted and brought back', async () => {
	await visit(page, `${app.address}/months`);
	await page.getByRole('button', { name: 'Plan June 2027' }).click();
	await page.getByRole('heading', { name: 'June 2027' }).waitFor();
	await visit(page, `${app.address}/months`);
	await page.getByRole('button', { name: 'Delete June 2027' }).click();
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await page.getByRole('link', { name: 'June 2027' }).waitFor();
	await page.getByRole('button', { name: 'Delete June 2027' }).click();
	await page.getByRole('button', { name: 'Bring back June 2027' }).waitFor();
});
