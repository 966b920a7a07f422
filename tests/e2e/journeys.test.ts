import type { Locator } from 'playwright';
import { expect, test } from 'vitest';
import { onStage, saved, visit } from './stage';

const stage = onStage();

/** A hand whose clicks are counted; what it types are its own words. */
function hand() {
	let clicks = 0;
	return {
		click: async (what: Locator) => {
			clicks += 1;
			await what.click();
		},
		/** The clicks since this was asked last. */
		taken: () => {
			const all = clicks;
			clicks = 0;
			return all;
		}
	};
}

test('ordinary changes take at most two clicks each', async () => {
	const { page } = stage();
	const { click, taken } = hand();
	const wish = (name: string) =>
		page
			.getByTestId(/^wish-\d+$/)
			.filter({ has: page.getByText(name, { exact: true }) })
			.first();
	const undo = page.getByRole('button', { name: 'Undo', exact: true });
	const names = () =>
		page.locator('ol[aria-label="Wishes"] > li > div [data-name]').allTextContents();
	const changes: [what: string, act: () => Promise<void>][] = [
		[
			'another title',
			async () => {
				await click(wish('Habits'));
				await page.getByRole('textbox', { name: 'Title' }).fill('Every day');
				await wish('Every day').waitFor();
			}
		],
		[
			'a habit more',
			async () => {
				await click(wish('Habits'));
				await page.getByLabel('Names, one per line').fill('Concertina\nBread');
				await page.getByText('Also changed').or(page.getByText('Nothing else moved.')).waitFor();
			}
		],
		['fewer pages', async () => click(page.getByRole('radio', { name: /^Fewest pages/ }))],
		[
			'one page of each week',
			async () => {
				await click(wish('Weekly pages'));
				await click(
					page.getByRole('radiogroup', { name: 'Pages a week' }).getByRole('radio', { name: /^1/ })
				);
			}
		],
		[
			'a page more',
			async () => {
				await click(page.getByTestId('add-wish'));
				await page.getByTestId('add-wish').fill('when did i last');
				await page.keyboard.press('Enter');
				await expect.poll(names).toContain('Last done');
			}
		],
		[
			'a page less',
			async () => {
				await wish('Steps').hover();
				await click(page.getByRole('button', { name: 'Remove Steps' }));
				await expect.poll(names).not.toContain('Steps');
			}
		],
		[
			'a page to itself',
			async () => {
				await click(page.getByRole('button', { name: /^Cover.*on page 63$/ }));
				await click(page.getByRole('menuitem', { name: 'Give it a page to itself' }));
				await page.getByText('alone here').waitFor();
			}
		],
		[
			'two sides exchanged',
			async () => {
				await page.getByRole('listitem').filter({ hasText: 'Weather inside' }).last().hover();
				await click(page.getByRole('button', { name: 'Spread 68–69' }));
				await click(page.getByRole('menuitem', { name: 'Swap left and right' }));
			}
		],
		[
			'a page that is drawn',
			async () => {
				await click(page.getByRole('button', { name: 'Spread 62–63' }));
				await click(page.getByRole('menuitem', { name: 'Page 62 is drawn in the book' }));
				await page.getByText('drawn', { exact: true }).first().waitFor();
			}
		],
		[
			'a picture where something is free',
			async () => {
				await click(page.getByRole('button', { name: /^Picture in the free / }).first());
				await page.getByRole('heading', { name: /Lanterns|Picture/ }).waitFor();
			}
		]
	];
	for (const [what, act] of changes) {
		await act();
		expect(taken(), what).toBeLessThanOrEqual(2);
		await expect.poll(() => undo.isEnabled()).toBe(true);
		// One click takes all of it back.
		for (let step = 0; step < 6 && (await undo.isEnabled()); step++) await undo.click();
		expect(await undo.isEnabled(), `${what} is taken back`).toBe(false);
		await saved(page);
		await visit(page, page.url().replace(/\/pages\/.*/, ''));
	}
});

test('each place is one click away, and what is looked for is there at once', async () => {
	const { page } = stage();
	const { click, taken } = hand();
	const place = (name: string) => page.getByRole('link', { name, exact: true });

	await click(place('Draw'));
	await page.getByRole('region', { name: 'Now' }).getByRole('button', { name: 'Done' }).waitFor();
	await click(page.getByRole('region', { name: 'Now' }).getByRole('link', { name: /dot by dot/ }));
	await page.getByRole('heading', { name: 'Page 63, dot by dot' }).waitFor();
	expect(taken(), 'from the plan to the dots of tonight’s page').toBeLessThanOrEqual(2);

	await click(place('Keep'));
	await click(page.getByRole('region', { name: 'Habits' }).getByRole('button').first());
	await expect.poll(() => page.getByRole('button', { name: 'Undo' }).isEnabled()).toBe(true);
	expect(taken(), 'a habit ticked').toBeLessThanOrEqual(2);
	await page.getByRole('button', { name: 'Undo' }).click();

	await click(place('Look back'));
	await page.getByRole('region', { name: 'What surprised' }).waitFor();
	expect(taken(), 'what the month was like').toBeLessThanOrEqual(1);

	await click(page.getByTestId('month-menu'));
	await click(page.getByRole('menuitem', { name: /^Print/ }));
	await page.getByRole('link', { name: 'PDF, page by page' }).waitFor();
	expect(taken(), 'the month as a PDF').toBeLessThanOrEqual(3);

	await click(place('Books'));
	await page.getByRole('list', { name: /^Ferry log, volume 3, pages 1 to/ }).waitFor();
	await page.getByText('full in July 2027').waitFor();
	expect(taken(), 'what is free in which book').toBeLessThanOrEqual(1);

	await click(place('Plan'));
	await click(page.getByRole('link', { name: /^Plan June/ }));
	await page.getByRole('heading', { name: 'After May 2027' }).waitFor();
	expect(taken(), 'the month that comes next').toBeLessThanOrEqual(2);
});

test('an old address leads to the new place', async () => {
	const { page } = stage();
	const month = page.url();
	await visit(page, `${month}/make`);
	expect(new URL(page.url()).pathname).toMatch(/\/draw$/);
	await visit(page, `${month}/kinds`);
	await page.getByRole('dialog', { name: 'What could you keep?' }).waitFor();
});
