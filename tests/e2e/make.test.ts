import { beforeEach, expect, test } from 'vitest';
import type { Page } from 'playwright';
import { choose, onStage } from './app';

const stage = onStage();
let page: Page;
let month: string;
beforeEach(async () => {
	({ page } = stage());
	month = page.url();
	await page.goto(`${month}/make`, { waitUntil: 'networkidle' });
	await page.getByRole('heading', { name: /^Sitting 1 of/ }).waitFor();
});

const now = () => page.getByRole('region', { name: 'Now' });

test('a sitting is worked through, with what dries, and goes on after a reload', async () => {
	// As many sittings of fifty minutes as the month takes, from the last week of April on.
	const all = await page.getByRole('heading', { name: /h .* in \d+ sittings$/ }).textContent();
	const [, hours, minutes, count] = /(\d+) h (\d+) min in (\d+) sittings/.exec(all ?? '') ?? [];
	expect(Number(count)).toBe(Math.ceil((60 * Number(hours) + Number(minutes)) / 50));
	await page.getByRole('heading', { name: /Sat 24 April, 20:00$/ }).waitFor();

	await now().getByText('Pencil boxes for the letters').waitFor();
	await page.keyboard.press(' ');
	await now().getByText('Rule all lines').waitFor();
	await now().getByRole('button', { name: 'Done: next' }).click();
	// The letters wait for the lines, and nobody turns the page.
	await now().getByRole('timer').filter({ hasText: 'until “rule all lines” is dry' }).waitFor();
	await page.getByText('Do not turn or touch page 63 yet.').waitFor();
	await page.reload({ waitUntil: 'networkidle' });
	await page.getByText('Do not turn or touch page 63 yet.').waitFor();
	expect(await page.getByRole('checkbox', { name: /63\s*Rule all lines/ }).isChecked()).toBe(true);
	await now().getByText('Something went wrong').click();
	await now()
		.getByText(/made bolder/)
		.waitFor();
});

test('a spread that is finished is marked as drawn, and planned no more', async () => {
	const steps = page
		.locator('ol')
		.filter({ has: page.getByRole('checkbox') })
		.first();
	for (const box of await steps.getByRole('checkbox').all()) await box.check();
	await page.getByText('Pages 62 and 63 are finished.').waitFor();
	await page.getByRole('button', { name: 'Mark as drawn' }).click();
	await page.getByRole('heading', { name: 'Pages 62 and 63' }).waitFor({ state: 'detached' });
	await page.keyboard.press('Control+z');
	await page.keyboard.press('Control+z');
	await page.getByRole('heading', { name: 'Pages 62 and 63' }).waitFor();
});

test('evenings, inks and rules change the sittings, and are kept', async () => {
	const { app, context } = stage();
	const sittings = page.getByRole('complementary').getByRole('button', { name: /of \d+ min$/ });
	const before = await sittings.count();
	await page.getByLabel('For', { exact: true }).fill('90');
	await expect.poll(() => sittings.count()).toBeLessThan(before);
	await page.getByLabel('For', { exact: true }).fill('9');
	await page.getByText('A whole number from 10 to 600').waitFor();
	await page.getByLabel('For', { exact: true }).fill('90');
	for (const day of ['Mon', 'Tue', 'Wed', 'Thu']) await page.getByLabel(day).uncheck();
	await expect.poll(() => sittings.first().textContent()).toMatch(/Sat 24 April/);
	await page.getByText('With what').click();
	await choose(page, /^Rule with/, 'gel pen');
	await page.getByText('By which rules').click();
	const kept = page.waitForResponse((answer) => {
		const request = answer.request();
		return request.method() === 'PUT' && Boolean(request.postData()?.includes('rule-first'));
	});
	await page.getByLabel('Lines before letters').uncheck();
	await kept;
	await page.reload({ waitUntil: 'networkidle' });
	expect(await page.getByLabel('For', { exact: true }).inputValue()).toBe('90');
	expect(await page.getByLabel('Lines before letters').isChecked()).toBe(false);
	// A calendar has an event for each of them.
	const file = await context.request.get(
		`${month.replace('/months/', '/app/months/')}/sittings.ics`
	);
	expect(file.headers()['content-type']).toContain('text/calendar');
	const text = await file.text();
	expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(await sittings.count());
	expect(text).toContain('DTSTART:20270424T200000');
	const refused = await context.request.put(`${app.address}/app/making`, {
		data: { evenings: { at: '25:00', minutes: 50, days: [], daysBefore: 7 } }
	});
	expect(refused.status()).toBe(400);
	expect(await refused.text()).toContain('must be a time such as 20:00');
});

test('where time does not do, what would be simpler is tried out and offered', async () => {
	const total = page.getByRole('heading', { name: /in \d+ sittings$/ });
	const before = await total.textContent();
	expect(await page.getByRole('button', { name: /^Write all titles/ }).count()).toBe(0);
	await page.getByLabel('Days before the 1st').fill('1');
	await page.getByText('late:').first().waitFor();
	await page.getByRole('button', { name: /^Write all titles: saves \d+ min/ }).click();
	await expect.poll(() => total.textContent()).not.toBe(before);
	await page.getByRole('button', { name: /^Leave all titles out/ }).waitFor();
	await page.keyboard.press('Control+z');
	await page.getByRole('button', { name: /^Write all titles/ }).waitFor();
	await page.getByLabel('Days before the 1st').fill('7');
	await page.getByText('late:').first().waitFor({ state: 'detached' });
});
