import type { Page } from 'playwright';

/** Adds a kind by the field above the list, or to what a page holds by the field beside the page. */
export async function addKind(page: Page, name: string, to: 'month' | 'page' = 'month') {
	const field = page.getByTestId(to === 'month' ? 'add-wish' : 'add-member');
	await field.click();
	await field.fill(name);
	await page
		.getByRole('option', { name: new RegExp(`^${name}`) })
		.first()
		.click();
	// What was added is opened in place of what it was added to.
	const chosen = page.getByRole('region', { name: 'The chosen wish' });
	if (to === 'page') await chosen.getByRole('heading', { name }).waitFor();
}
