import { expect, test } from 'vitest';
import { choose, onStage, saved, visit } from './app';

const stage = onStage();

/** Opens the settings of a wish in the list. */
async function openWish(name: string) {
	await stage()
		.page.getByTestId(/^wish-/)
		.filter({ hasText: name })
		.first()
		.click();
}

test('a set of eight boxes gets a head across the top, a foot and tasks in it, every week', async () => {
	const { page } = stage();
	await openWish('Weekly pages');
	await page
		.getByRole('radiogroup', { name: 'Head' })
		.getByRole('radio', { name: 'across the top' })
		.click();
	const ruled = page.getByRole('region', { name: 'How it is ruled' });
	await ruled.getByText('More', { exact: true }).click();
	await ruled.getByLabel('Rows kept free below the days').fill('8');
	await choose(page, /^Days are framed by/, 'corners');
	await saved(page);
	await page
		.getByText(/title 4 \+ 28 for the days \+ foot 8 down/)
		.first()
		.waitFor();

	await page
		.getByRole('button', { name: /^Put something with it/ })
		.first()
		.click();
	await page.getByRole('menuitem', { name: 'Tasks' }).click();
	await choose(page, /^There it stands/, 'below the days, on the left page');
	await saved(page);
	// Four whole weeks in May 2027, each with its tasks.
	await expect
		.poll(() => page.getByRole('button', { name: /^Tasks.*on page \d+$/ }).count())
		.toBe(4);
});

test('beside a door the set has a room that is seen all through it', async () => {
	const { page } = stage();
	const month = page.url();
	await visit(page, `${month}/pages/74`);
	await page.getByRole('button', { name: /^Add a cut/ }).click();
	await page.getByRole('menuitem', { name: /^Side door/ }).click();
	await page.getByLabel('To front page').fill('79');
	await page.getByText(/^\s*Run: /).waitFor();
	await page.getByRole('button', { name: 'Make this cut' }).click();
	await page
		.getByRole('button', { name: 'Change Side door of 10, leaves from 75 to 80' })
		.waitFor();
	await page.getByRole('link', { name: 'Month', exact: true }).click();
	await saved(page);
	await openWish('Weekly pages');
	await page
		.getByRole('button', { name: /^Put something with it/ })
		.first()
		.click();
	await page.getByRole('menuitem', { name: 'Task bank' }).click();
	await choose(page, /^There it stands/, 'seen all through the set, on the left');
	await saved(page);
	// Drawn once, on the whole page before the cut leaves.
	await page
		.getByRole('button', { name: /on page 74$/ })
		.filter({ hasText: /Task bank/i })
		.waitFor();
	await expect
		.poll(() => page.getByRole('button', { name: /Task bank.*on page \d+$/i }).count())
		.toBe(1);
});
