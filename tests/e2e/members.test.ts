import { beforeEach, expect, test } from 'vitest';
import type { Page } from 'playwright';
import { addKind, choose, onStage, reloaded, saved, toPlan, unfold, visit } from './stage';

const stage = onStage('/', { wishes: 7 });
let page: Page;
beforeEach(() => {
	({ page } = stage());
});

/** Names of what lives in a wish, in order. */
const inside = (name: string) =>
	page
		.getByRole('list', { name: `In ${name}` })
		.locator('[data-name]')
		.allTextContents();
const row = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}`) }).first();
const undo = () => page.getByRole('button', { name: 'Undo', exact: true }).click();

test('something is put beside the calendar, told its room, and given a page of its own', async () => {
	await page.locator('[data-wish="calendar"]').click();
	await addKind(page, 'Goals', 'page');
	await expect.poll(() => inside('Month calendar')).toEqual(['Watches', 'To bake', 'Goals']);
	// The new member is open, and says where it lives.
	await unfold(page, 'Place and priority');
	await choose(page, /^Position there/, 'right of the grid');
	const grid = page.getByRole('group', { name: /^Pages 64 and 65/ });
	await grid.locator('text', { hasText: 'Goals' }).waitFor();
	await saved(page);
	await reloaded(page);
	await page.locator('[data-wish="goals"]').click();
	await unfold(page, 'Place and priority');
	await choose(page, /^Place/, 'a place of its own');
	await expect.poll(() => inside('Month calendar')).toEqual(['Watches', 'To bake']);
	await saved(page);
	await undo();
	await expect.poll(() => inside('Month calendar')).toEqual(['Watches', 'To bake', 'Goals']);
	await undo();
	await undo();
	await expect.poll(() => inside('Month calendar')).toEqual(['Watches', 'To bake']);
	await saved(page);
});

test('a wish is dragged onto a composed page, and by keyboard members change places', async () => {
	const handle = page.getByLabel('Drag Bakes to try to another place');
	await handle.scrollIntoViewIfNeeded();
	await page.getByRole('button', { name: 'Show what At a glance holds' }).click();
	const target = page.getByRole('list', { name: 'In At a glance' });
	const [from, to] = [await handle.boundingBox(), await target.boundingBox()];
	if (!from || !to) throw new Error('nothing to drag');
	await page.mouse.move(from.x + 8, from.y + 8);
	await page.mouse.down();
	await page.mouse.move(from.x + 12, from.y - 20, { steps: 6 });
	await page.mouse.move(to.x + 40, to.y + to.height - 30, { steps: 16 });
	await target.getByText('Bakes to try').waitFor({ state: 'attached' });
	await page.mouse.up();
	await expect.poll(() => inside('At a glance')).toContain('Bakes to try');
	await saved(page);
	await undo();
	await expect.poll(() => inside('At a glance')).not.toContain('Bakes to try');

	await page.locator('[data-wish="due"]').focus();
	await page.keyboard.press('Alt+ArrowUp');
	await expect
		.poll(async () => (await inside('At a glance')).slice(0, 2))
		.toEqual(['Due', 'Reels to learn']);
	await page.keyboard.press('Delete');
	await expect.poll(() => inside('At a glance')).not.toContain('Due');
	await undo();
	await undo();
	await expect.poll(async () => (await inside('At a glance'))[1]).toBe('Due');
	await page.getByRole('button', { name: 'Fold away what At a glance holds' }).click();
	await page.getByRole('list', { name: 'In At a glance' }).waitFor({ state: 'detached' });
	await saved(page);
});

test('on the page desk a member moves inside its room and stays there', async () => {
	const month = page.url();
	await visit(page, `${month}/pages/66`);
	await page.getByRole('button', { name: /^Letters on page 66/ }).focus();
	await page.keyboard.press('ArrowLeft');
	await page.keyboard.press('Enter');
	await page
		.getByRole('button', { name: /^Letters on page 66, 7 × 8 squares from dot 19, 13/ })
		.waitFor();
	await page.getByRole('button', { name: /^Letters on page 66/ }).click();
	await unfold(page, 'Place and priority');
	await page.getByRole('button', { name: 'Let it move' }).click();
	await page
		.getByRole('button', { name: /^Letters on page 66, 7 × 8 squares from dot 20, 13/ })
		.waitFor();
	await saved(await back());
});

test('a composed page comes with what it is made of, and a name of one’s own', async () => {
	await visit(page, `${page.url()}/kinds`);
	await page.getByRole('searchbox').fill('health');
	await page
		.getByRole('button', { name: /Add.*Health page/ })
		.first()
		.click();
	const { page: shown } = stage();
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	await back();
	await expect.poll(() => inside('Health')).toEqual(['Sleep', 'Steps', 'Weight']);
	await saved(shown);
	await row('Health').waitFor();
	// One of them over both pages makes a spread of it.
	await page.locator('[data-wish^="steps"]').last().click();
	await unfold(page, 'Place and priority');
	await choose(page, /^Position there/, 'over both pages');
	await page.getByRole('button', { name: /^Health page \d+–\d+/ }).waitFor();
	await saved(shown);
});

async function back() {
	await toPlan(page);
	return page;
}
