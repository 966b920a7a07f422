import { beforeEach, expect, test } from 'vitest';
import type { Page } from 'playwright';
import demoMonth from '../../demo/month.json';
import { usualMaking } from '../../src/lib/core/making';
import { choose, onStage, reloaded, visit } from './stage';

const stage = onStage('/', { wishes: 2 });
let page: Page;
let month: string;
beforeEach(async () => {
	({ page } = stage());
	// What is made of a month is kept: each test has one of its own, and the same evenings and pace to begin with.
	const { app, context } = stage();
	const usual = await context.request.put(`${app.address}/app/making`, { data: usualMaking });
	expect(usual.status()).toBe(200);
	const made = await context.request.post(`${app.address}/app/import`, {
		// Enough for some evenings.
		data: { document: { ...demoMonth, wishes: demoMonth.wishes.slice(0, 8) } }
	});
	const { id } = (await made.json()) as { id: string };
	month = `${app.address}/months/${id}`;
	await visit(page, `${month}/draw`);
	await page.getByRole('list', { name: 'Evenings' }).waitFor();
});

const now = () => page.getByRole('region', { name: 'Now' });

test('a sitting is worked through, with what dries, and goes on after a reload', async () => {
	// As many sittings of fifty minutes as the month takes, from the last week of April on.
	const all = await page.getByRole('heading', { name: /h .* in \d+ evenings$/ }).textContent();
	const [, hours, minutes, count] =
		/(\d+) h(?: (\d+) min)? left in (\d+)\s+evenings/.exec(all ?? '') ?? [];
	const least = Math.ceil((60 * Number(hours) + Number(minutes ?? 0)) / 50);
	expect([least, least + 1]).toContain(Number(count));
	await page.getByRole('heading', { name: /Sat 24 April, 20:00$/ }).waitFor();

	await now().getByText('Pencil boxes for the letters').waitFor();
	await page.keyboard.press(' ');
	await now().getByText('Rule all lines').waitFor();
	await now().getByRole('button', { name: 'Done' }).click();
	// The letters wait for the lines, and nobody turns the page.
	await now().getByRole('timer').filter({ hasText: 'until “rule all lines” is dry' }).waitFor();
	await page.getByText('Do not turn or touch page 63 yet.').waitFor();
	await reloaded(page);
	await page.getByText('Do not turn or touch page 63 yet.').waitFor();
	expect(await page.getByRole('checkbox', { name: /63\s*Rule all lines/ }).isChecked()).toBe(true);
	await now().getByText('Something went wrong').click();
	await now()
		.getByText(/becomes a shadow/)
		.waitFor();
	// It was begun lower than planned: there it stays from now on.
	const elsewhere = now().getByRole('region', { name: 'Something is in another place' });
	await elsewhere.getByLabel('High').fill('30');
	await elsewhere.getByLabel('High').press('Enter');
	await elsewhere.getByRole('button', { name: 'Let it move' }).waitFor();
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
	const sittings = page.getByRole('list', { name: 'Evenings' }).getByRole('button');
	const before = await sittings.count();
	await page.getByLabel('For', { exact: true }).fill('90');
	await expect.poll(() => sittings.count()).toBeLessThan(before);
	await page.getByLabel('For', { exact: true }).fill('9');
	await page.getByText('A whole number from 10 to 600').waitFor();
	await page.getByLabel('For', { exact: true }).fill('90');
	for (const day of ['Mon', 'Tue', 'Wed', 'Thu']) await page.getByLabel(day).uncheck();
	await expect.poll(() => sittings.first().textContent()).toMatch(/Sat 24 Apr/);
	await page.getByText('With what').click();
	await choose(page, /^Rule with/, 'gel pen');
	await page.getByText('By which rules').click();
	const kept = page.waitForResponse((answer) => {
		const request = answer.request();
		return request.method() === 'PUT' && Boolean(request.postData()?.includes('rule-first'));
	});
	await page.getByLabel('Lines before letters').uncheck();
	await kept;
	await reloaded(page);
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
	const total = page.getByRole('heading', { name: /in \d+ evenings$/ });
	const before = await total.textContent();
	expect(await page.getByRole('button', { name: /^Write all titles/ }).count()).toBe(0);
	await page.getByLabel('Days before the 1st').fill('1');
	await page.getByText('late:').first().waitFor();
	await page.getByRole('button', { name: /^Write all titles: saves \d+ min/ }).click();
	await expect.poll(() => total.textContent()).not.toBe(before);
	await page.getByRole('button', { name: /^Leave all titles out/ }).waitFor();
	await page.keyboard.press('Control+z');
	await page.getByRole('button', { name: /^Write all titles/ }).waitFor();
	// How the evenings are is kept for all months: the next test has them as they were.
	const kept = page.waitForResponse(
		(answer) =>
			answer.url().endsWith('/app/making') &&
			/"daysBefore":7/.test(answer.request().postData() ?? '')
	);
	await page.getByLabel('Days before the 1st').fill('7');
	await page.getByText('late:').first().waitFor({ state: 'detached' });
	await kept;
});

test('a spread is given to another sitting, also for whoever looks from elsewhere', async () => {
	const { context } = stage();
	const sitting = page.getByRole('region', { name: 'The sitting' });
	await sitting.getByRole('heading', { name: /^Pages 62 and 63/ }).waitFor();
	const kept = page.waitForResponse((answer) =>
		answer.url().endsWith(`${new URL(month).pathname}/making`)
	);
	await page
		.getByRole('button', { name: 'later: do pages 62 and 63 in the sitting after' })
		.click();
	await sitting.getByRole('heading', { name: /^Pages 62 and 63/ }).waitFor({ state: 'detached' });
	await kept;
	// What a tablet ticks off beside the book is known here, too.
	const tablet = await context.newPage();
	await visit(tablet, `${month}/draw`);
	await tablet.evaluate(() => localStorage.clear());
	await reloaded(tablet);
	const evenings = tablet.getByRole('list', { name: 'Evenings' }).getByRole('button');
	await evenings.nth(1).click();
	await tablet.getByRole('heading', { name: /^Pages 62 and 63/ }).waitFor();
	await tablet.getByRole('button', { name: 'Do pages 62 and 63 wherever it fits' }).click();
	await evenings.first().click();
	await tablet.getByRole('heading', { name: /^Pages 62 and 63/ }).waitFor();
});

test('a page that is spoilt is left out, what is begun stays, and undo takes it back', async () => {
	const { app, context } = stage();
	await page.getByRole('checkbox', { name: /62\s*Write/ }).check();
	const spread = page.getByRole('heading', { name: /^Pages? 62 and 63/ });
	await spread.waitFor();
	await page.getByRole('checkbox', { name: /63\s*Pencil/ }).check();
	await now().getByText('Something went wrong').click();
	await now()
		.getByRole('button', { name: /^Page 63 is spoilt/ })
		.click();
	await page.getByText('Page 63 is spoilt and no longer planned.').waitFor();
	await spread.waitFor({ state: 'detached' });
	const pagesOf = async () => {
		const svg = await context.request.get(
			`${app.address}${new URL(month).pathname.replace('/months', '/app/months')}/plan.json`
		);
		return await svg.text();
	};
	expect(await pagesOf()).toContain('spoilt');
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await spread.waitFor();
});

test('what the test page showed of an ink is minded at its steps', async () => {
	await page.getByText('With what').click();
	await choose(page, /^Rule: on the back/, 'bleeds through');
	await page.keyboard.press('Escape');
	await now().getByRole('button', { name: 'Done' }).click();
	await now()
		.getByText(/want nothing on page 64 behind/)
		.waitFor();
	await page.getByLabel('Rule: touched after').fill('0');
	await page.getByLabel('A picture, such as the cover’s, takes').fill('0');
	await page.getByRole('checkbox', { name: /Draw the picture/ }).waitFor({ state: 'detached' });
});
