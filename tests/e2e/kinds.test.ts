import { beforeEach, expect, test } from 'vitest';
import type { Page } from 'playwright';
import { begin, idGiver, kinds } from '../../src/lib/core/catalogue';
import demoMonth from '../../demo/month.json';
import { onStage, saved, visit } from './stage';

const stage = onStage('/', { wishes: 6 });
let page: Page;
beforeEach(() => {
	({ page } = stage());
});

const wishNames = () => page.locator('ol[aria-label="Wishes"] [data-name]').allTextContents();
const toKinds = async () => {
	await page.getByRole('link', { name: 'All kinds of pages, drawn' }).click();
	await page.getByRole('heading', { name: 'What could you keep?' }).waitFor();
};

test('every kind is drawn on the person’s own paper, and is found by search', async () => {
	await toKinds();
	for (const { name } of kinds) {
		const add = page.getByRole('button', { name: `Add ${name}`, exact: true });
		await add.scrollIntoViewIfNeeded();
		await page.getByRole('img', { name: `${name}, drawn`, exact: true }).waitFor();
	}
	await page.getByRole('searchbox').fill('parcel');
	expect(await page.getByRole('button', { name: /^Add / }).count()).toBe(1);
	await page.getByRole('searchbox').fill('no such thing');
	await page.getByText('Nothing found.').waitFor();
});

test('a kind is changed beside its drawing, kept as one’s own, and added by one key', async () => {
	await toKinds();
	await page.getByRole('button', { name: /^Exercise log/ }).click();
	const aside = page.getByRole('region', { name: 'The chosen kind' });
	await aside
		.getByText('16 of 40 down')
		.or(aside.getByText(/10 rows/))
		.first()
		.waitFor();
	await aside.getByLabel('Title', { exact: true }).fill('Sourdough log');
	await aside.getByLabel(/^Columns, one per line/).fill('Loaf 8\nHours 3');
	await aside.getByText('Loaf 8 + Hours 3 = 11').waitFor();
	await aside.getByText('Save as your own kind').click();
	await aside.getByLabel('Called').fill('Sourdough log');
	await aside.getByRole('button', { name: 'Keep', exact: true }).click();
	const own = page.getByRole('button', { name: /^Sourdough log Your own/ });
	await own.waitFor();
	await own.focus();
	await page.keyboard.press('a');
	await saved(page);
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	await expect.poll(wishNames).toContain('Sourdough log');
	// Two of 11 are 24 wide with their gap: alone on a page each gives 2 of the other 4 squares to its words.
	await page.getByText('Loaf 10 + Hours 3 = 13').waitFor();
});

test('what else a wish could be is drawn, chosen with one click and taken back', async () => {
	const habits = page
		.getByTestId(/^wish-/)
		.filter({ has: page.getByText('Habits', { exact: true }) });
	await habits.click();
	await page.getByText('Try another layout').click();
	await page
		.getByRole('button', { name: /^Strips, drawn|^Strips/ })
		.first()
		.click();
	await page.getByText('7 + 12 + 12 = 31 days, 5 squares for the name').first().waitFor();
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await page.getByText('3 × 7 + 2 gaps of 3 = 27 of 28 across').first().waitFor();
	await saved(page);
});

test('a misfit offers changes that were tried out', async () => {
	const calendar = page
		.getByTestId(/^wish-/)
		.filter({ has: page.getByText('Month calendar', { exact: true }) });
	await calendar.click();
	await page.getByLabel('Cell across').fill('9');
	await page.getByText('It would fit with').waitFor();
	await page
		.getByRole('button', { name: /^Month grid/ })
		.first()
		.click();
	await page.getByText('It would fit with').waitFor({ state: 'detached' });
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await saved(page);
});

test('events come from a calendar file, and garbage is refused in words', async () => {
	const calendar = page
		.getByTestId(/^wish-/)
		.filter({ has: page.getByText('Month calendar', { exact: true }) });
	await calendar.click();
	const file = page.getByLabel(/calendar file \(\.ics\)/);
	await file.setInputFiles({
		name: 'x.ics',
		mimeType: 'text/calendar',
		buffer: Buffer.from('garbage')
	});
	await page.getByText('This is not a calendar file').waitFor();
	const text = [
		'BEGIN:VCALENDAR',
		'BEGIN:VEVENT',
		'UID:1',
		'SUMMARY:Choir',
		'DTSTART;VALUE=DATE:20270512',
		'RRULE:FREQ=WEEKLY;COUNT=2',
		'END:VEVENT',
		'END:VCALENDAR'
	].join('\r\n');
	await file.setInputFiles({ name: 'x.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) });
	await page.getByText('2 events were taken.').waitFor();
	await page.getByText('busiest day: date 1 + 1 event = 2 of 6').waitFor();
	expect(await page.locator('svg text', { hasText: 'Choir' }).count()).toBe(2);
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await saved(page);
});

const long = 'Concertina practice before the second watch '.repeat(4).slice(0, 100);
const oddNames: Record<string, readonly string[]> = {
	'all equal': ['Bread', 'Bread', 'Bread', 'Bread', 'Bread'],
	// Short, long, from the right, of many parts, wide.
	'of every sort': ['/', long, 'لחם (خبز) 12', '👩‍🍳 e\u0301\u0323 ﬁn\u200dd', 'Ｗide 麦']
};

test.each(Object.entries(oddNames))('every kind bears names that are %s', async (_, names) => {
	const { app, context } = stage();
	const text = names.join(' ');
	const freeId = idGiver([]);
	const wishes = kinds.map((kind) => ({
		...begin(kind, freeId),
		title: names[0],
		text,
		note: text,
		items: names.map((name) => ({ name, short: name.slice(0, 40), group: name })),
		columns: names.map((name) => ({ name: name.trim() || '-', longest: name })),
		parts: names.map((name) => name.trim() || '-'),
		levels: names.map((name) => name.trim().slice(0, 60) || '-'),
		goals: names.map((name) => ({ name: name.trim() || '-', from: 3, to: 9 })),
		events: names.map((name) => ({ day: 3, text: name.trim() || '-' }))
	}));
	const notebook = { ...demoMonth.notebook, freePages: [{ first: 12, last: 400 }] };
	const made = await context.request.post(`${app.address}/app/import`, {
		data: { document: { ...demoMonth, notebook, wishes } }
	});
	expect(made.status(), await made.text()).toBe(201);
	const { id } = await made.json();
	await visit(page, `${app.address}/months/${id}`);
	// What goes wrong on the page is caught by the stage.
	for (let index = 0; index < kinds.length; index += 6) {
		await page.getByTestId(`wish-${index}`).click();
		await page.getByRole('group', { name: 'Settings of this wish' }).waitFor();
	}
	await context.request.patch(`${app.address}/app/months/${id}`, { data: { deleted: true } });
});
