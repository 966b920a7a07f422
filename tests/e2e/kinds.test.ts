import { beforeEach, expect, test } from 'vitest';
import type { Page } from 'playwright';
import { kinds } from '../../src/lib/core/catalogue';
import { onStage, saved } from './app';

const stage = onStage();
let page: Page;
beforeEach(() => {
	({ page } = stage());
});

const wishNames = () => page.locator('ol[aria-label="Wishes"] .font-serif').allTextContents();
const toKinds = async () => {
	await page.getByRole('link', { name: 'Kinds' }).click();
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
	await page.getByText('Nothing is called that.').waitFor();
});

test('a kind is changed beside its drawing, kept as one’s own, and added by one key', async () => {
	await toKinds();
	await page.getByRole('button', { name: /^Exercise log/ }).click();
	const aside = page.getByRole('complementary', { name: 'The chosen kind' });
	await aside
		.getByText('16 of 40 down')
		.or(aside.getByText(/10 rows/))
		.first()
		.waitFor();
	await aside.getByLabel('Title').fill('Sourdough log');
	await aside.getByLabel(/^Columns, one a line/).fill('Loaf 8\nHours 3');
	await aside.getByText('Loaf 8 + Hours 3 = 11').waitFor();
	await aside.getByLabel('Keep it as a kind of your own').fill('Sourdough log');
	await aside.getByRole('button', { name: 'Keep', exact: true }).click();
	const own = page.getByRole('button', { name: /^Sourdough log Your own/ });
	await own.waitFor();
	await own.focus();
	await page.keyboard.press('a');
	await saved(page);
	await page.getByRole('link', { name: 'Month', exact: true }).click();
	expect(await wishNames()).toContain('Sourdough log');
	await page.getByText('Loaf 8 + Hours 3 = 11').waitFor();
});

test('what else a wish could be is drawn, chosen with one click and taken back', async () => {
	const habits = page
		.getByTestId(/^wish-/)
		.filter({ has: page.getByText('Habits', { exact: true }) });
	await habits.click();
	await page.getByText('What else could it be?').click();
	await page
		.getByRole('button', { name: /^Strips, drawn|^Strips/ })
		.first()
		.click();
	await page.getByText('7 + 12 + 12 = 31 days, 5 squares for the name').first().waitFor();
	await page.getByRole('button', { name: 'Undo' }).click();
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
	await page.getByRole('button', { name: 'Undo' }).click();
	await page.getByRole('button', { name: 'Undo' }).click();
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
	await page.getByRole('button', { name: 'Undo' }).click();
	await saved(page);
});
