import type { Page } from 'playwright';
import { expect, test } from 'vitest';
import { onStage, reloaded, saved, toPlan, visit } from './stage';

const stage = onStage('/', { wishes: 2 });

const title = (page: Page) => page.getByRole('textbox', { name: 'Title' });
const monthOf = (page: Page) => /\/months\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';

/** Types a title for the cover. */
async function retitle(page: Page, text: string) {
	const row = page.getByTestId('wish-0');
	if ((await row.getAttribute('aria-expanded')) === 'false') await row.click();
	await title(page).fill(text);
}

/** The cover's title as the server keeps it, and the count of changes. */
async function kept(page: Page) {
	const path = new URL(page.url()).origin + `/app/months/${monthOf(page)}`;
	const file = await page.request.get(`${path}/plan.json`);
	return (await file.json()).wishes[0].title;
}

async function walkTo(page: Page, name: string) {
	await page.getByRole('link', { name, exact: true }).click();
	await page.waitForURL(/\/(keep|notebooks)$/);
}

test('what could not be saved is carried along to other screens, and saved when it can be', async () => {
	const { page, app } = stage();
	await retitle(page, 'BEFORE');
	// The other screen is loaded before the server goes away.
	await walkTo(page, 'Keep');
	await toPlan(page);
	await app.crash(async () => {
		await retitle(page, 'WAITING');
		await page.getByText('May 2027 is not saved.').waitFor();
	});
	await saved(page);
	expect(await kept(page)).toBe('WAITING');
});

test('what is refused is told on every screen until it is put right or let go', async () => {
	const { page } = stage();
	await page.route('**/app/months/*', (route) =>
		route.request().method() === 'PUT'
			? route.fulfill({
					status: 400,
					contentType: 'application/problem+json',
					body: JSON.stringify({ detail: 'wishes[0].title is odd.' })
				})
			: route.continue()
	);
	await retitle(page, 'REFUSED');
	await page.getByText('wishes[0].title is odd.').waitFor();
	await walkTo(page, 'Books');
	await page.getByText('May 2027 is not saved. wishes[0].title is odd.').waitFor();
	await page.unroute('**/app/months/*');
	await page.getByRole('button', { name: 'Try again' }).click();
	await page.getByText('May 2027 is not saved.').waitFor({ state: 'detached' });
	await toPlan(page);
	await saved(page);
	expect(await kept(page)).toBe('REFUSED');
});

test('a locked database is told with its reason, and nothing is lost over a reload', async () => {
	const { page } = stage();
	await page.route('**/app/months/*', (route) =>
		route.fulfill({
			status: 503,
			contentType: 'application/problem+json',
			body: JSON.stringify({ detail: 'The database is locked by another program.' })
		})
	);
	await retitle(page, 'LOCKED OUT');
	await page
		.getByText(/The database is locked by another program. Your changes stay here/)
		.waitFor();
	page.on('dialog', (dialog) => void dialog.accept());
	await reloaded(page);
	await page.getByText('LOCKED OUT').first().waitFor();
	await page.unroute('**/app/months/*');
	await page.getByText('May 2027 is not saved.').waitFor({ state: 'detached' });
	await saved(page);
	expect(await kept(page)).toBe('LOCKED OUT');
});

test('a month deleted in another window is brought back as it stands here', async () => {
	const { page, app } = stage();
	await retitle(page, 'BEFORE');
	await saved(page);
	const path = `${app.address}/app/months/${monthOf(page)}`;
	const gone = await page.request.patch(path, { data: { deleted: true } });
	expect(gone.status()).toBe(200);
	await title(page).blur();
	await title(page).fill('AFTER ALL');
	await page.getByText('May 2027 was deleted in another window.').waitFor();
	await page.getByRole('button', { name: 'Bring it back as it is here' }).click();
	await saved(page);
	expect(await kept(page)).toBe('AFTER ALL');
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await saved(page);
	expect(await kept(page)).toBe('BEFORE');
});

test('undo survives a reload and a walk to another screen', async () => {
	const { page } = stage();
	const first = await kept(page);
	for (const text of ['ONE', 'TWO']) {
		await retitle(page, text);
		await title(page).blur();
		await saved(page);
	}
	await walkTo(page, 'Keep');
	await toPlan(page);
	await page.getByTestId('wish-0').waitFor();
	await reloaded(page);
	const undo = page.getByRole('button', { name: 'Undo', exact: true });
	while (await undo.isEnabled()) await undo.click();
	await saved(page);
	expect(await kept(page)).toBe(first);
});

test('a run that is planned late does not cover the month that was taken from another window', async () => {
	const { page, context } = stage();
	const other = await context.newPage();
	await visit(other, page.url());
	await retitle(other, 'FROM THE OTHER');
	await saved(other);
	await page.getByText('FROM THE OTHER').first().waitFor();
	// Both windows go on from the same month without a conflict.
	await retitle(page, 'FROM THE FIRST');
	await saved(page);
	await other.getByText('FROM THE FIRST').first().waitFor();
	expect(await kept(page)).toBe('FROM THE FIRST');
});

test('a notebook is changed on both of its screens by one keeper', async () => {
	const { page, app } = stage();
	await visit(page, `${app.address}/notebooks`);
	await page.locator('main a[href*="-"][href^="/notebooks/"]').first().click();
	await page.getByRole('link', { name: 'Measure it with a ruler' }).click();
	await page.getByLabel('length of 20 squares').fill('99');
	await saved(page);
	await page.getByRole('link', { name: 'Done' }).click();
	await page.getByLabel('Squares down').fill('39');
	await saved(page);
	await page.getByRole('link', { name: 'Measure it with a ruler' }).click();
	expect(await page.getByLabel('length of 20 squares').inputValue()).toBe('99');
	expect(await page.getByText('changed in another window').count()).toBe(0);
});
