import { beforeEach, expect, test } from 'vitest';
import type { Page } from 'playwright';
import { startApp } from './app';
import { onStage, saved, visit } from './stage';

const stage = onStage('/months');
/** Another address of this machine, as one on a network would be. */
const telephoneSees = '127.0.0.3';
let page: Page;
beforeEach(() => {
	({ page } = stage());
});

interface Kept {
	readonly wish: string;
	readonly about: string;
	readonly holds: string;
	readonly value: string;
}

/** The month's own address, and a page of it as the stand-in of a camera takes it. */
async function april(): Promise<string> {
	const { app } = stage();
	await visit(page, `${app.address}/months`);
	const link = page.getByRole('link', { name: /^April 2027/ }).first();
	return new URL((await link.getAttribute('href')) ?? '', page.url()).href;
}

async function photograph(month: string, number: number, more = '') {
	const { app } = stage();
	const id = month.split('/').at(-1);
	const answer = await fetch(`${app.address}/standins/page.png?month=${id}&page=${number}${more}`);
	expect(answer.status).toBe(200);
	return {
		name: `page-${number}.png`,
		mimeType: 'image/png',
		buffer: Buffer.from(await answer.arrayBuffer())
	};
}

/** What is kept of the month, all of it. */
async function entries(month: string): Promise<Kept[]> {
	const answer = await fetch(`${month.replace('/months/', '/app/months/')}/records`);
	const kept: unknown = await answer.json();
	if (!Array.isArray(kept)) throw new Error('there are no entries');
	return kept;
}

/** Answers whatever is asked with what was kept before, by what the question says. */
async function answerAll(page: Page): Promise<number> {
	let asked = 0;
	const question = page.getByRole('group', { name: 'What it says' });
	for (; (await question.count()) > 0; asked++) await page.keyboard.press('1');
	return asked;
}

test('April’s pages are photographed, and copied into a month of which nothing is kept', async () => {
	const { app } = stage();
	const month = await april();
	const before = await entries(month);
	const pictures = await Promise.all([98, 99, 100].map((number) => photograph(month, number)));
	const emptied = await fetch(`${month.replace('/months/', '/app/months/')}/records`, {
		method: 'PUT',
		headers: { 'content-type': 'application/json', origin: app.address },
		body: JSON.stringify({ changes: before.map((entry) => ({ ...entry, value: '' })) })
	});
	expect(emptied.status).toBe(200);

	await visit(page, `${month}/keep?way=picture`);
	await page.getByLabel('Choose photographs of pages').setInputFiles(pictures);
	for (const [at, name] of ['Habits', 'Weather inside', 'Sleep'].entries()) {
		const picture = page.getByRole('region', { name: pictures[at]?.name });
		await picture.getByRole('heading', { name: `Page ${98 + at}: ${name}` }).waitFor();
		const asked = await answerAll(page);
		expect(asked).toBeLessThanOrEqual(15);
		await picture.getByRole('button', { name: /^Keep \d+ values$/ }).click();
		await picture.getByText(/\d+ values kept\./).waitFor();
	}
	await saved(page);

	const after = new Map(
		(await entries(month)).map(({ wish, about, value }) => [`${wish} ${about}`, value])
	);
	// A day that was missed has no mark on paper, and is kept as nothing.
	const marks = before.filter(({ holds, value }) => holds === 'mark' && value === 'x');
	const states = before.filter(({ holds }) => holds === 'level');
	expect(marks.length + states.length).toBeGreaterThan(100);
	for (const { wish, about, value } of [...marks, ...states])
		expect(after.get(`${wish} ${about}`), `${wish} ${about}`).toBe(value);
	const nights = before.filter(({ wish, holds }) => wish === 'sleep' && holds === 'times');
	for (const { wish, about, value } of nights)
		expect(minutesApart(after.get(`${wish} ${about}`) ?? '', value), about).toBeLessThan(12);

	// Taken back, each picture is one step.
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await saved(page);
	expect((await entries(month)).some(({ wish }) => wish === 'sleep')).toBe(false);
});

/** The larger difference of the two ends of two spans, as “22:15-06:10” writes them. */
function minutesApart(one: string, other: string): number {
	const ends = [one, other].map((span) =>
		span.split('-').map((time) => {
			const [hours = NaN, minutes = NaN] = time.split(':').map(Number);
			return 60 * hours + minutes;
		})
	);
	return Math.max(...[0, 1].map((at) => Math.abs((ends[0]?.[at] ?? NaN) - (ends[1]?.[at] ?? NaN))));
}

test('a photograph is kept with what it says, seen when one looks back and in its book, deleted and brought back', async () => {
	const month = await april();
	await visit(page, `${month}/keep?way=picture`);
	await page.getByLabel('Keep the photographs too').check();
	const picture = await photograph(month, 99);
	await page.getByLabel('Choose photographs of pages').setInputFiles([picture]);
	const read = page.getByRole('region', { name: picture.name });
	await read.getByRole('heading', { name: 'Page 99: Weather inside' }).waitFor();
	await answerAll(page);
	await read.getByRole('button', { name: /^(Keep|Nothing new)/ }).click();
	await read.getByRole('link', { name: 'kept with them' }).click();
	const onPaper = page.getByRole('region', { name: 'On paper' });
	const kept = onPaper.getByRole('img', { name: 'Page 99, Weather inside' });
	await kept.scrollIntoViewIfNeeded();
	const address = new URL((await kept.getAttribute('src')) ?? '', page.url());
	expect(Buffer.from(await (await fetch(address)).arrayBuffer())).toEqual(picture.buffer);

	await onPaper.getByRole('button', { name: 'Delete the photograph of page 99' }).click();
	await expect.poll(() => kept.count()).toBe(0);
	await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
	await kept.waitFor();

	await page
		.getByRole('link', { name: /^Books/ })
		.first()
		.click();
	await page
		.getByRole('link', { name: /Ferry log/ })
		.first()
		.click();
	await page.getByRole('img', { name: 'Page 99, April 2027' }).waitFor();
});

test('a picture that a telephone takes lies on the desk’s screen a moment later', async () => {
	const desk = await startApp('demo', telephoneSees);
	const telephone = await (await stage().elsewhere()).newContext();
	try {
		const shared = `http://${telephoneSees}:${new URL(desk.address).port}`;
		await visit(page, `${desk.address}/notebooks/tablet`);
		await page.getByRole('button', { name: 'Show a code' }).click();
		const code = ((await page.getByTestId('code').textContent()) ?? '').replaceAll(/\s/g, '');
		const there = await telephone.newPage();
		await there.goto(`${shared}/pair?code=${code}`);
		await there.getByLabel('What this device is called').fill('Telephone');
		await there.getByRole('button', { name: 'Pair' }).click();
		await there.waitForURL((url) => url.pathname !== '/pair');

		await visit(page, `${desk.address}/months`);
		const month = await page
			.getByRole('link', { name: /^April 2027/ })
			.first()
			.getAttribute('href');
		await visit(page, `${desk.address}${month}/keep?way=picture`);
		await visit(there, `${shared}${month}/keep?way=picture`);
		const id = month?.split('/').at(-1);
		const taken = await fetch(`${desk.address}/standins/page.png?month=${id}&page=100`);
		await there.getByLabel('Photograph for the desk’s screen').setInputFiles({
			name: 'IMG_0001.png',
			mimeType: 'image/png',
			buffer: Buffer.from(await taken.arrayBuffer())
		});
		await there.getByText('One picture handed over.').waitFor();
		const picture = page.getByRole('region', { name: 'from the other device' });
		await picture.getByRole('heading', { name: 'Page 100: Sleep' }).waitFor();
	} finally {
		await telephone.close();
		await desk.stop();
	}
});

test('a page with a line that is not where it belongs is found out, and the right ones are ticked', async () => {
	const month = await april();
	await visit(page, `${month}/guide/102`);
	const check = page.getByRole('region', { name: 'Check by photograph' });
	const choose = check.getByLabel('Choose a photograph');
	await choose.setInputFiles(await photograph(month, 102, '&slip'));
	await check.getByText('One thing is not as planned.').waitFor();
	await check
		.getByText(/^The line from \(\d+, \d+\) to .* stands one square to the right/)
		.waitFor();
	// Another page is told from it.
	await choose.setInputFiles(await photograph(month, 98));
	await check.getByText('This is page 98, not page 102.').waitFor();
});

test('what is no picture, and a page of no such month, are refused in words', async () => {
	const { app } = stage();
	const month = await april();
	await visit(page, `${month}/keep?way=picture`);
	const choose = page.getByLabel('Choose photographs of pages');
	await choose.setInputFiles({
		name: 'page.heic',
		mimeType: 'image/heic',
		buffer: Buffer.from('none')
	});
	await page.getByText('This browser cannot read the file as a picture.').waitFor();
	const empty = await fetch(`${app.address}/standins/page.png?side=left`);
	await choose.setInputFiles({
		name: 'empty.png',
		mimeType: 'image/png',
		buffer: Buffer.from(await empty.arrayBuffer())
	});
	await page.getByText('None of this month’s pages is drawn like this').waitFor();
	await page.getByRole('button', { name: 'Put it away' }).first().click();
	await expect.poll(() => page.getByRole('button', { name: 'Put it away' }).count()).toBe(1);
});
