import { expect, test } from 'vitest';
import demoMonth from '../../demo/month.json';
import { addKind, choose, onStage, saved, toPlan, unfold, visit } from './stage';

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
	const ruled = page.getByRole('region', { name: 'Layout' });
	await ruled.getByText('More', { exact: true }).click();
	await ruled.getByLabel('Rows kept free below the days').fill('8');
	await choose(page, /^Days are framed by/, 'corners');
	await saved(page);
	await page
		.getByText(/title 4 \+ 28 for the days \+ foot 8 down/)
		.first()
		.waitFor();

	await addKind(page, 'Tasks', 'page');
	await unfold(page, 'Place and priority');
	await choose(page, /^Position there/, 'below the days, on the left page');
	await saved(page);
	// Four whole weeks in May 2027, each with its tasks.
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	await expect.poll(() => page.getByRole('link', { name: /^Pages.*Tasks/ }).count()).toBe(4);
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
	await toPlan(page);
	await saved(page);
	await openWish('Weekly pages');
	await addKind(page, 'Task bank', 'page');
	await unfold(page, 'Place and priority');
	await choose(page, /^Position there/, 'seen all through the set, on the left');
	await saved(page);
	// Drawn once, on the whole page before the cut leaves.
	await page
		.getByRole('button', { name: /^Task bank.* on page 74/ })
		.first()
		.waitFor();
	await page.keyboard.press('Escape');
	await expect.poll(() => page.getByRole('link', { name: /^Pages.*Task bank/ }).count()).toBe(1);
});

test('each kind of set is a choice or two away, and its guide rules it', async () => {
	const { app, page } = stage();
	const weeks = { belong: 'touching', short: 'own', pagesPerWeek: 2 };
	const document = { ...demoMonth, wishes: [{ id: 'weeks', kind: 'weekly-pages', weeks }] };
	const made = await page.request.post(`${app.address}/app/import`, { data: { document } });
	const { id } = await made.json();
	await visit(page, `${app.address}/months/${id}`);
	await openWish('Weekly pages');
	const said = (words: RegExp) =>
		page.getByRole('region', { name: 'The chosen wish' }).filter({ hasText: words }).waitFor();
	const take = (group: string, name: string | RegExp) =>
		page.getByRole('radiogroup', { name: group }).getByRole('radio', { name }).click();

	// Saturday and Sunday, and Monday at the end, are days of short weeks.
	await said(/6\s+weeks on 10 pages/);
	await choose(page, /^Layout/, 'Week in staggered boxes');
	await page.getByRole('link', { name: /^Pages 64 and 65: Weekly pages, week 2/ }).waitFor();
	await choose(page, /^Layout/, 'Half a page a day');
	await said(/6\s+weeks on 18 pages/);
	await choose(page, /^Layout/, 'Week in boxes');
	await take('Pages a week', /^1/);
	await said(/6\s+weeks on 6 pages/);

	await choose(page, /^Layout/, 'Week in columns');
	await take('Pages a week', /^2/);
	await take('Columns', 'one over the fold');
	await page.getByLabel(/^Day sections/).fill('Events 12\nTasks 16');
	await said(/6\s+weeks on 10 pages.*= 8 wide/s);
	await page.getByLabel(/^Day sections/).fill('');

	await choose(page, /^Layout/, 'Week in rows');
	await addKind(page, 'Quote', 'page');
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	await expect.poll(() => page.getByRole('link', { name: /^Pages.*Quote/ }).count()).toBe(4);
	expect(await page.getByText(/have no place/).count()).toBe(0);

	// Weeks 2 to 4 behind an upper door, and a tab on each leaf of the set.
	for (const [cut, open, to] of [
		['Upper door', '66', '69'],
		['Tabs', '64', '71']
	] as const) {
		await visit(page, `${app.address}/months/${id}/pages/${open}`);
		await page.getByRole('button', { name: /^Add a cut/ }).click();
		await page.getByRole('menuitem', { name: new RegExp(`^${cut}`) }).click();
		await page.getByLabel('To front page').fill(to);
		await page.getByText(/^\s*Run: /).waitFor();
		await page.getByRole('button', { name: 'Make this cut' }).click();
		await page.getByRole('button', { name: new RegExp(`^Change ${cut}`) }).waitFor();
		await visit(page, `${app.address}/months/${id}/guide/66`);
		await page.getByRole('button', { name: 'Follow step by step' }).click();
		await page.getByText(/^\s*Part 1 of \d+/).waitFor();
		await page.keyboard.press('Escape');
		await visit(page, `${app.address}/months/${id}/pages/${open}`);
		await page.getByRole('button', { name: new RegExp(`^Remove ${cut}`) }).click();
		await toPlan(page);
		await saved(page);
	}
});

test('a page of one’s own comes every week, with the dates of its week', async () => {
	const { page } = stage();
	await addKind(page, 'Composed page');
	const often = page.getByRole('radiogroup', { name: 'How often' });
	await often.getByRole('radio', { name: 'every week' }).click();
	await page.getByText('4 weeks on 4 pages').waitFor();
	await page
		.getByRole('button', { name: /^My page, week 2 on page/ })
		.first()
		.waitFor();
	await saved(page);
	await page.keyboard.press('Control+z');
	await page.getByText('4 weeks on 4 pages').waitFor({ state: 'detached' });
	await page.keyboard.press('Control+z');
	await page
		.getByTestId(/^wish-/)
		.filter({ hasText: 'My page' })
		.waitFor({ state: 'detached' });
	await saved(page);
});

test('seven staggered days leave room for tasks in every week', async () => {
	const { page } = stage();
	await openWish('Weekly pages');
	await choose(page, /^Layout/, 'Week in staggered boxes');
	await page
		.getByRole('radiogroup', { name: 'The eighth box' })
		.getByRole('radio', { name: 'left out, its place is free' })
		.click();
	await page
		.getByText(/rows of four and three boxes of 9 × 13/)
		.first()
		.waitFor();
	await addKind(page, 'Tasks', 'page');
	await unfold(page, 'Place and priority');
	await choose(page, /^Position there/, 'at the outer side, on the right page');
	await saved(page);
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	await expect.poll(() => page.getByRole('link', { name: /^Pages.*Tasks/ }).count()).toBe(4);
});
