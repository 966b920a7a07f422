import { beforeEach, describe, expect, test } from 'vitest';
import type { BrowserContext, Page } from 'playwright';
import type { App } from './app';
import { choose, onStage, reloaded, saved } from './stage';

const stage = onStage();
let app: App;
let context: BrowserContext;
let page: Page;
beforeEach(() => {
	({ app, context, page } = stage());
});

const undo = () => page.getByRole('button', { name: 'Undo', exact: true }).click();
/** Names of what stands on a page, as its list tells them. */
const onPage = async (number: number) => {
	const names = await page
		.getByRole('list', { name: `On page ${number}` })
		.locator('[data-name]')
		.allTextContents();
	return names.map((name) => name.trim());
};
/** Chooses from the menu of a block that stands on a page. */
const ofBlock = async (name: string, number: number, choice: string) => {
	await page.getByRole('button', { name: new RegExp(`^${name}.*on page ${number}$`) }).click();
	await page.getByRole('menuitem', { name: choice }).click();
};
const ofSpread = async (pages: string, choice: string) => {
	await page.getByRole('button', { name: `Spread ${pages}` }).click();
	await page.getByRole('menuitem', { name: choice }).click();
};
const until = (number: number, names: string[]) => expect.poll(() => onPage(number)).toEqual(names);

describe('three ways to fit the month', () => {
	test('are worked out, switched between, and taken back', async () => {
		const ways = page.getByRole('radiogroup', { name: 'Three ways to fit the month' });
		const way = (name: string) => ways.getByRole('radio', { name: new RegExp(`^${name}`) });
		const pagesOf = async (name: string) => {
			const text = way(name).getByText(/^\d+$/);
			await text.waitFor();
			return Number(await text.textContent());
		};
		const [fewest, balanced, roomiest] = [
			await pagesOf('Fewest pages'),
			await pagesOf('Balanced'),
			await pagesOf('Roomiest')
		];
		expect(fewest).toBeLessThanOrEqual(balanced);
		expect(balanced).toBeLessThanOrEqual(roomiest);
		expect(await way('Balanced').getAttribute('aria-checked')).toBe('true');
		await way('Fewest pages').click();
		await page.getByText(`${fewest} pages,`).waitFor();
		// What the list stands in the way of is offered, and done only by a click.
		await page.getByRole('button', { name: /^Move At a glance after .*: 2 pages fewer$/ }).click();
		await page.getByText(`${fewest - 2} pages,`).waitFor();
		await saved(page);
		await undo();
		await page.getByText(`${fewest} pages,`).waitFor();
		// All sizes are kept with the month: what is drawn later is the same.
		await page.getByRole('button', { name: 'Other sizes: a little more comfortable' }).click();
		await page.getByText('Best fit found.').waitFor();
		await saved(page);
		await page.reload();
		await page.getByText('Best fit found.').waitFor();
		await undo();
		await undo();
		await page.getByText(`${balanced} pages,`).waitFor();
		await saved(page);
	});

	test('what is free is kept for a picture with one click', async () => {
		const free = page.getByRole('button', { name: /^Picture in the free / }).first();
		const [, w, h] = /(\d+) × (\d+)/.exec((await free.textContent()) ?? '') ?? [];
		await free.click();
		// Its squares and minutes are told where it is opened, and its motif is what one types.
		await page.getByText(`Lanterns on the quay: ${w} × ${h} squares`).waitFor();
		await saved(page);
		await undo();
		await saved(page);
	});

	test('a week more or less is told in pages beside each choice', async () => {
		await page
			.getByTestId(/^wish-/)
			.filter({ hasText: 'Weekly pages' })
			.first()
			.click();
		const weeks = page.getByRole('radiogroup', { name: 'Weeks', exact: true });
		// May 2027 from Monday: six weeks touch it, four have their middle day in it.
		await weeks.getByRole('radio', { name: /mostly in this month · 8 p\./ }).click();
		await saved(page);
		await undo();
		await saved(page);
		await page.getByText('Single weeks: 4 of 4 are planned').click();
		await choose(page, /^10.{1,3}16 May ruled/, 2);
		await saved(page);
		await undo();
		await saved(page);
		await page.getByRole('checkbox', { name: /^10.{1,3}16 May/ }).uncheck();
		await page.getByText('Single weeks: 3 of 4 are planned').waitFor();
		// Three weeks over two pages each.
		await page.getByText('3 weeks on 6 pages').waitFor();
		await saved(page);
		await undo();
		await page.getByText('4 weeks on 8 pages').waitFor();
		await saved(page);
	});
});

describe('what stands where', () => {
	test('a block is kept, sent elsewhere, and let go', async () => {
		await ofBlock('Habits', 68, 'Keep it here');
		await page.getByText('stays here').waitFor();
		await ofBlock('Habits', 68, 'Let it move');
		await page.getByText('stays here').waitFor({ state: 'detached' });
		await page.getByRole('button', { name: /^Habits.*on page 68$/ }).click();
		await page.getByRole('menuitem', { name: /Send to page/ }).focus();
		await page.keyboard.press('ArrowRight');
		await page.getByRole('menuitem', { name: '71', exact: true }).click();
		await expect.poll(() => onPage(71)).toContain('Habits');
		await saved(page);
		await undo();
		await until(68, ['Habits']);
		await undo();
		await undo();
		await saved(page);
	});

	test('what else a move moves is told, and can be held', async () => {
		await page.getByRole('button', { name: /^Quote.*on page 62$/ }).click();
		await page.getByRole('menuitem', { name: /Send to page/ }).focus();
		await page.keyboard.press('ArrowRight');
		await page.getByRole('menuitem', { name: '72', exact: true }).click();
		const told = page.getByText(/^Also changed: /);
		await told.waitFor();
		await page.getByRole('button', { name: 'Keep the rest as it was' }).click();
		await told.waitFor({ state: 'detached' });
		await expect.poll(() => onPage(72)).toEqual(['Quote', 'Loaves']);
		await saved(page);
		await undo();
		await undo();
		await until(62, ['Quote']);
		await saved(page);
	});

	test('a wish has a page to itself', async () => {
		await ofBlock('Habits', 68, 'Give it a page to itself');
		await page.getByText('alone here').waitFor();
		await expect.poll(() => onPage(68)).toEqual(['Habits']);
		await undo();
		await saved(page);
	});

	test('a block is dragged to another page', async () => {
		const before = await onPage(72);
		const handle = page.getByLabel('Drag Sleep on the pages');
		const target = page.getByRole('list', { name: 'On page 72' });
		await target.scrollIntoViewIfNeeded();
		// The hand closes on what lies still: pages that are drawn only now move the others.
		await handle.hover({ position: { x: 6, y: 8 } });
		await page.mouse.down();
		const from = await handle.boundingBox();
		if (!from) throw new Error('nothing to drag');
		await page.mouse.move(from.x - 20, from.y + 12, { steps: 6 });
		// The hand goes where the page is by then.
		const held = target.getByLabel('Drag Sleep on the pages');
		await expect
			.poll(async () => {
				const to = await target.boundingBox();
				if (to) await page.mouse.move(to.x + 40, to.y + 10, { steps: 12 });
				return held.count();
			})
			.toBeGreaterThan(0);
		await page.mouse.up();
		await expect.poll(() => onPage(72)).toContain('Sleep');
		await saved(page);
		await undo();
		await until(72, before);
		await saved(page);
	});

	test('two sides change places, and a spread is kept as it is', async () => {
		const [left, right] = [await onPage(68), await onPage(69)];
		await ofSpread('68–69', 'Swap left and right');
		await expect.poll(() => onPage(68)).toEqual(expect.arrayContaining(right));
		await expect.poll(() => onPage(69)).toEqual(expect.arrayContaining(left));
		await undo();
		await until(68, left);
		await ofSpread('68–69', 'Keep everything here');
		await page.getByText('stays here').first().waitFor();
		await ofSpread('68–69', 'Let everything here move');
		await page.getByText('stays here').first().waitFor({ state: 'detached' });
		await undo();
		await undo();
		await saved(page);
	});

	test('what is drawn in the book stays, whatever is planned afterwards, also after a reload', async () => {
		const there = await onPage(63);
		await ofSpread('62–63', 'Page 63 is drawn in the book');
		await page.getByText('drawn', { exact: true }).first().waitFor();
		await saved(page);
		await reloaded(page);
		const way = page.getByRole('radio', { name: /^Fewest pages/ });
		await way.click();
		await expect.poll(() => way.getAttribute('aria-checked')).toBe('true');
		await saved(page);
		expect(await onPage(63)).toEqual(there);
		await undo();
		await ofSpread('62–63', 'Page 63 is not drawn after all');
		await page.getByText('drawn', { exact: true }).first().waitFor({ state: 'detached' });
		await saved(page);
	});
});

test('lines for the index are copied with their pages', async () => {
	await context.grantPermissions(['clipboard-read', 'clipboard-write'], { origin: app.address });
	await page.getByText('Lines for the index').click();
	await page.getByRole('button', { name: /^Copy \d+ lines$/ }).click();
	await page.getByText('Copied.').waitFor();
	const text = await page.evaluate(() => navigator.clipboard.readText());
	expect(text).toContain('64–65\tMonth calendar');
	expect(text.split('\n')).toHaveLength(14);
});

test('the same wishes are compared with another book and month', async () => {
	await page.getByTestId('month-menu').click();
	await page.getByRole('menuitem', { name: /^Compare/ }).click();
	await page.getByRole('heading', { name: 'The same wishes elsewhere' }).waitFor();
	const used = page.getByRole('row', { name: /^Pages used/ }).getByRole('cell');
	await expect.poll(() => used.allTextContents()).toHaveLength(2);
	await expect.poll(async () => (await used.first().textContent())?.trim()).toBe('22');
	await page.getByRole('button', { name: 'Next month' }).click();
	await page.getByRole('columnheader', { name: /^June 2027/ }).waitFor();
	await page.getByRole('link', { name: 'Back to the month' }).click();
	await page.getByText('22 pages,').waitFor();
});
