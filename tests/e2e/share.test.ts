import { readFile } from 'node:fs/promises';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { readPdf } from '../support/read-pdf';
import { type App, startApp } from './app';
import { openWindow } from './chromium';
import { onStage, reloaded, toPlan, toSheets, visit } from './stage';

const stage = onStage();
/** Another address of this machine, as one on a network would be. */
const tabletSees = '127.0.0.2';
let empty: App;
beforeAll(async () => {
	empty = await startApp('start', tabletSees);
});
afterAll(() => empty.stop());

test('a month saved as a file is opened in an empty Horarium and is the same run', async () => {
	const { elsewhere, page } = stage();
	await toSheets(page);
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Save this month as a file' }).click();
	const file = await (await download).path();
	expect((await download).suggestedFilename()).toBe('horarium-2027-05.json');

	const other = await openWindow(await elsewhere());
	await visit(other.page, empty.address);
	await other.page.getByLabel(/^A file that was saved from Horarium/).setInputFiles(file);
	await other.page.getByText(/planned for “Ferry log, volume 3”/).waitFor();
	await other.page.getByRole('button', { name: 'Take it' }).click();
	await other.page.getByText('22 pages,').waitFor();
	const run = (where: typeof page) =>
		where
			.locator('[aria-label="The run of pages"] ol a svg')
			.evaluateAll((pictures) =>
				pictures.map((picture) => [
					picture.getAttribute('aria-label'),
					[...picture.querySelectorAll('path')].map((path) => path.getAttribute('d'))
				])
			);
	await toPlan(page);
	await page.getByText('22 pages,').waitFor();
	expect(await run(other.page)).toEqual(await run(page));

	// What it writes is what it read.
	await toSheets(other.page);
	const again = other.page.waitForEvent('download');
	await other.page.getByRole('link', { name: 'Save this month as a file' }).click();
	const [first, second] = await Promise.all(
		[file, await (await again).path()].map(async (path) => JSON.parse(await readFile(path, 'utf8')))
	);
	expect(second).toEqual({ ...first, locale: second.locale });
	expect(other.troubles).toEqual([]);
	await other.context.close();
});

test('a file that is no plan is refused with words, a dropped one is shown before it is taken', async () => {
	const { app, page } = stage();
	await visit(page, `${app.address}/months`);
	const input = page.getByLabel(/^A file that was saved from Horarium/);
	const give = (text: string) =>
		input.setInputFiles({
			name: 'plan.json',
			mimeType: 'application/json',
			buffer: Buffer.from(text)
		});
	await give('{');
	await page.getByText('This is no JSON file, so it is no plan of Horarium.').waitFor();
	await give(JSON.stringify({ format: 'horarium/plan', version: 3 }));
	await page.getByText(/written by a newer Horarium \(version 3/).waitFor();
	const months = page.getByRole('main').getByRole('link', { name: /2027/ });
	const before = await months.count();
	const response = await page.request.get(
		`${app.address}/app/months/${/months\/([0-9a-f-]+)/.exec((await months.last().getAttribute('href')) ?? '')?.[1]}/plan.json`
	);
	const text = await response.text();
	const data = await page.evaluateHandle((content) => {
		const transfer = new DataTransfer();
		transfer.items.add(new File([content], 'plan.json', { type: 'application/json' }));
		return transfer;
	}, text);
	await page.dispatchEvent('body', 'drop', { dataTransfer: data });
	await page.getByRole('button', { name: 'Cancel' }).click();
	expect(await months.count()).toBe(before);
});

test('everything goes into one file, into another Horarium, and back again', async () => {
	const { app, elsewhere, page } = stage();
	await visit(page, `${app.address}/notebooks/everything`);
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Save everything' }).click();
	const file = await (await download).path();
	const other = await openWindow(await elsewhere());
	await visit(other.page, `${empty.address}/notebooks/everything`);
	const input = other.page.getByLabel(/^A file that was saved here/);
	await input.setInputFiles({
		name: 'a.zip',
		mimeType: 'application/zip',
		buffer: Buffer.from('PK')
	});
	await other.page.getByText(/^Nothing was taken: file is no ZIP/).waitFor();
	await input.setInputFiles(file);
	await other.page.getByRole('row', { name: /^Months 3 0 0$/ }).waitFor();
	await other.page.getByRole('button', { name: /^Import everything/ }).click();
	await other.page.getByText('It is brought in.').waitFor();
	await input.setInputFiles(file);
	await other.page.getByText('All of it is here already.').waitFor();
	const months = async () => {
		const list = await other.page.request.get(`${empty.address}/months`);
		return (await list.text()).match(/April 2027/g)?.length ?? 0;
	};
	expect(await months()).toBeGreaterThan(0);
	// What was there before is the first of the copies.
	await other.page
		.getByRole('button', { name: /before a change$/ })
		.first()
		.click();
	await other.page.getByRole('button', { name: 'Yes, go back' }).click();
	await other.page.getByText(/^Everything is as it was then/).waitFor();
	expect(await months()).toBe(0);
	expect(other.troubles).toEqual([]);
	await other.context.close();
});

test('date labels come out of the printer, with its troubles in words, or on a sheet for scissors', async () => {
	const { app, page } = stage();
	const labels = `${new URL(page.url()).pathname}/labels`;
	const all = ['Dates', 'Weekdays', 'Names of habits and other lines', 'Titles'];
	const only = async (wanted: string) => {
		await page.getByLabel(wanted, { exact: true }).check();
		for (const name of all)
			if (name !== wanted) await page.getByLabel(name, { exact: true }).uncheck();
	};
	const printer = async (act: () => Promise<void>) => {
		await visit(page, `${app.address}/standins`);
		await Promise.all([
			page.waitForResponse((response) => response.request().method() === 'POST'),
			act()
		]);
		await visit(page, app.address + labels);
		await only('Weekdays');
	};
	const look = () => page.getByRole('button', { name: 'Look' }).click();
	await visit(page, app.address + labels);
	await only('Dates');
	const sheet = await page.getByRole('link', { name: 'Sheet (PDF)' }).getAttribute('href');
	const pdf = await readPdf(await (await page.request.get(app.address + sheet)).body());
	expect(pdf.pages[0]?.text.split(' ').slice(-1)).toEqual(['31']);
	const tape = page.getByRole('img', { name: /^1, 2, 3/ });
	// A picture of 31 dates is 31 × 5 mm × 8 dots wide.
	await expect
		.poll(() => tape.evaluate((image) => image instanceof HTMLImageElement && image.naturalWidth))
		.toBe(1240);
	await page.getByLabel('Its address').fill(`${app.address}/standins/printer`);
	await page.getByText('three', { exact: true }).click();
	await look();
	await page
		.getByText(/Labels of 3 squares are 15\smm high, and the tape is 12\smm wide/)
		.waitFor();
	await page.getByText('one square', { exact: true }).click();
	await only('Weekdays');
	await page.getByRole('button', { name: 'Print 7 labels' }).click();
	await page.getByText('All 7 labels are printed.').waitFor();
	// The address is remembered once it has printed.
	await printer(async () => {
		await page.getByLabel('The label printer is jammed').check();
		await page.getByRole('button', { name: 'Behave so' }).click();
	});
	await look();
	await page.getByRole('button', { name: 'Print 7 labels' }).click();
	await page.getByText('The tape is stuck in the printer.').waitFor();
	await page.getByText('0 of 7 are printed; the next one is “Mon”.').waitFor();
	await printer(async () => {
		await page.getByLabel('The label printer is jammed').uncheck();
		await page.getByRole('button', { name: 'Behave so' }).click();
	});
	await printer(() => page.getByRole('button', { name: 'nearly at its end' }).click());
	await look();
	await page.getByText('The tape ends before them').waitFor();
	await page.getByRole('button', { name: 'Print 7 labels' }).click();
	await page.getByText('4 of 7 are printed; the next one is “Fri”.').waitFor();
	const other = await stage().context.newPage();
	await visit(other, `${app.address}/standins`);
	await other.getByRole('button', { name: 'Put a new tape in' }).click();
	await other.getByText('It is ready; 8.00 m').waitFor();
	await page.getByRole('button', { name: 'Go on with the other 3' }).click();
	await page.getByText('All 7 labels are printed.').waitFor();
	await other.reload();
	// 3 labels of 10 mm came off the new roll.
	await other.getByText('It is ready; 7.97 m').waitFor();
});

test('a tablet is let in with a code, and put out again; one that is not sees nothing else', async () => {
	const browser = await stage().elsewhere();
	const { port } = new URL(empty.address);
	const shared = `http://${tabletSees}:${port}`;
	const { page } = await openWindow(browser);
	const tablet = await browser.newContext();
	const request = tablet.request;
	for (const path of ['/app/months', '/_app/env.js', '/favicon.svg', '/app/devices/known'])
		expect((await request.get(shared + path)).status(), path).toBe(401);
	expect((await request.put(`${shared}/app/making`, { data: {} })).status()).toBe(401);
	// Who calls itself the machine is answered by where it came in, not by what it says.
	const pretends = { headers: { host: `127.0.0.1:${port}` } };
	expect((await request.get(`${shared}/pair`, pretends)).status()).toBe(421);

	await visit(page, `${empty.address}/notebooks/tablet`);
	await page.getByText(shared).waitFor();
	await page.getByRole('button', { name: 'Show a code' }).click();
	const code = ((await page.getByTestId('code').textContent()) ?? '').replaceAll(/\s/g, '');
	expect(code).toMatch(/^\d{6}$/);

	const there = await tablet.newPage();
	// Whatever it asks for, it comes to the page that pairs.
	await there.goto(`${shared}/months`);
	expect(there.url()).toBe(`${shared}/pair`);
	await there.getByLabel('Six digits').fill(code === '111111' ? '222222' : '111111');
	await there.getByRole('button', { name: 'Pair' }).click();
	await there.getByRole('alert').filter({ hasText: 'not the code' }).waitFor();
	await there.goto(`${shared}/pair?code=${code}`);
	await there.getByLabel('What this device is called').fill('Kitchen tablet');
	await there.getByRole('button', { name: 'Pair' }).click();
	await there.waitForURL((url) => url.pathname !== '/pair');
	await there.locator('html[data-live]').waitFor({ state: 'attached' });
	const [cookie] = await tablet.cookies();
	expect(cookie).toMatchObject({ name: 'horarium_device', httpOnly: true, sameSite: 'Strict' });
	// Codes are shown on the machine only.
	expect((await request.post(`${shared}/app/devices/code`)).status()).toBe(403);
	expect((await request.get(`${shared}/app/devices/known`)).status()).toBe(204);

	await reloaded(page);
	await page.getByRole('button', { name: 'Remove Kitchen tablet' }).click();
	await page.getByText('No device is paired.').waitFor();
	expect((await request.get(`${shared}/favicon.svg`)).status()).toBe(401);
	await there.goto(`${shared}/notebooks`);
	expect(there.url()).toBe(`${shared}/pair`);
	await tablet.close();
	await page.context().close();
});

test('sharing is switched on and off on the machine itself, and never from a tablet', async () => {
	const { page } = await openWindow(await stage().elsewhere());
	const { port } = new URL(empty.address);
	const shared = `http://${tabletSees}:${port}`;
	const answers = () =>
		fetch(`${shared}/pair`).then(
			({ status }) => status,
			() => 'nobody'
		);
	expect(await answers()).toBe(200);
	expect((await fetch(`${shared}/app/sharing`, { method: 'DELETE' })).status).toBe(401);
	await visit(page, `${empty.address}/notebooks/tablet`);
	await page.getByRole('button', { name: 'Stop sharing' }).click();
	await page.getByText('Horarium answers on this machine only').waitFor();
	expect(await answers()).toBe('nobody');
	await page.getByRole('button', { name: 'Let devices on this network in' }).click();
	await page.getByText(shared).waitFor();
	expect(await answers()).toBe(200);
	await page.context().close();
});
