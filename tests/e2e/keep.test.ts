import { beforeEach, expect, test } from 'vitest';
import type { Page } from 'playwright';
import { choose, onStage, reloaded, saved, visit } from './stage';

const stage = onStage('/months');
let page: Page;

/** Opens a screen of a recorded month of the demo. */
async function open(month: string, screen: string): Promise<void> {
	({ page } = stage());
	await page
		.getByRole('link', { name: new RegExp(`^${month}`) })
		.first()
		.click();
	await page.waitForURL(/\/months\/[^/]+$/);
	await visit(page, `${page.url()}/${screen}`);
}

beforeEach(() => ({ page } = stage()));

const field = (name: string) => page.getByRole('textbox', { name, exact: true });

/** Counts every key that is pressed. */
function counting(): {
	press: (...keys: string[]) => Promise<void>;
	type: (text: string) => Promise<void>;
	count: () => number;
} {
	let count = 0;
	const press = async (...keys: string[]) => {
		for (const key of keys) {
			count++;
			await page.keyboard.press(key);
		}
	};
	return { press, type: (text) => press(...text), count: () => count };
}

test('a month is copied by keyboard alone, and is there after a reload, as charts and as CSV', async () => {
	await open('May 2027', 'keep?way=paper&of=habits');
	const { press, type, count } = counting();
	const rows = {
		Concertina: 'xx.x-xx.x-xx.x-xx.x-xx.x-xx.x-x',
		'Feed the dough': 'xxxxxxxxxxxxxxxxxxxxxxxxxxxxxxx',
		'Walk on deck': 'x.x.x.x.x.x.x.x.x.x.x.x.x.x.x.x',
		Stretch: '-------------------------------',
		Water: 'xxxxxxxxxxxxxxxxxxxxxxxxxx.....',
		'Lights out by 9': 'ooooxxxxooooxxxxooooxxxxooooxxx'
	};
	const [first = ''] = Object.keys(rows);
	await page.getByLabel(first, { exact: true }).focus();
	for (const signs of Object.values(rows)) {
		await page.keyboard.press('Control+a');
		await type(signs);
		await press('Tab');
	}
	await saved(page);
	await page.getByRole('button', { name: /^Weather inside/ }).click();
	await field('Weather inside').focus();
	await page.keyboard.press('Control+a');
	await type('2222222222222222222222222222215');
	await press('Tab');
	await saved(page);
	// Six habits and the moods of 31 days.
	expect(count()).toBeLessThanOrEqual(230);
	await page.getByRole('button', { name: /^Sleep/ }).click();
	await page.getByLabel(/^A line each/).fill('23:30-7:10\n\n2230–600');
	await page.getByLabel(/^A line each/).blur();
	await saved(page);
	await reloaded(page);
	expect(await page.getByLabel(/^A line each/).inputValue()).toBe('23:30-07:10\n\n22:30-06:00');

	const month = page.url().replace(/\/keep.*/, '');
	await visit(page, `${month}/look-back`);
	const habits = page.getByRole('region', { name: 'Habits' });
	await habits.getByText('Walk on deck: 16 of 31, 52 %.').waitFor();
	// Days that were not due are left out: 15 of 31 days were.
	await habits.getByText('Lights out by 9: 15 of 15, 100 %.').waitFor();
	await page
		.getByRole('region', { name: 'Weather inside' })
		.getByText('most were “fair” (29)')
		.waitFor();
	const sleep = page.getByRole('region', { name: 'Sleep' });
	const chart = sleep.getByRole('group', { name: /Arrow keys go through it/ });
	await expect.poll(() => chart.locator('svg path').count()).toBeGreaterThan(5);
	const { context } = stage();
	const csv = await context.request.get(
		`${month.replace('/months/', '/app/months/')}/records?wish=sleep`
	);
	expect(await csv.text()).toContain(',3,,,,,times,22:30-06:00\r\n');
});

test('the page is the form: arrows move, signs fill, undo takes back', async () => {
	await open('April 2027', 'keep?way=page&page=98');
	const current = page.locator('[data-field]');
	await current.focus();
	expect(await current.getAttribute('aria-label')).toBe('Concertina, Thu 1: x');
	await page.keyboard.press('-');
	// A sign goes on to the next day.
	await expect.poll(() => current.getAttribute('aria-label')).toBe('Concertina, Fri 2: empty');
	await page.keyboard.press('ArrowLeft');
	await expect.poll(() => current.getAttribute('aria-label')).toBe('Concertina, Thu 1: -');
	await page.keyboard.press('ArrowDown');
	await expect.poll(() => current.getAttribute('aria-label')).toBe('Concertina, Thu 8: empty');
	await page.keyboard.press('7');
	await page.keyboard.press('ArrowLeft');
	await expect.poll(() => current.getAttribute('aria-label')).toBe('Concertina, Thu 8: 7');
	await page.keyboard.press('q');
	await page.getByText('“q” is not x for done').waitFor();
	await page.keyboard.press('Control+z');
	await expect.poll(() => current.getAttribute('aria-label')).toBe('Concertina, Thu 8: empty');
	await page.keyboard.press('Control+z');
	await saved(page);
	// Another window hears of it.
	const other = await stage().context.newPage();
	await visit(other, page.url());
	await current.focus();
	await page.keyboard.press('o');
	await page.getByRole('button', { name: 'Concertina, Thu 8: o' }).waitFor();
	await other.getByRole('button', { name: 'Concertina, Thu 8: o' }).waitFor();
	// A touch fills a cell.
	await page.getByRole('button', { name: 'Water, Mon 19: empty' }).click();
	await page.getByRole('button', { name: 'Water, Mon 19: x' }).waitFor();
});

test('one day goes from the top to the end by Enter; what cannot be read is told and kept out', async () => {
	await open('May 2027', 'keep?way=day&day=12');
	await page.getByRole('heading', { name: 'Wednesday 12 May' }).waitFor();
	const habits = page.getByRole('region', { name: 'Habits' }).getByRole('button');
	const said = ['done', 'done', 'missed', 'no answer', 'done', 'not due'];
	const order = ['no answer', 'done', 'missed', 'not due'];
	// Each tap marks the cell as one would on paper: done, missed, not due; a sign does so at once.
	for (const [at, word] of said.entries()) {
		await habits.nth(at).press('Delete');
		for (let tap = 0; tap < order.indexOf(word); tap++) await habits.nth(at).click();
	}
	await habits.nth(3).press('-');
	// The page's own key, and a second choice of the same takes it away.
	const weather = page.getByRole('region', { name: 'Weather inside' }).getByRole('radio');
	await weather.nth(2).click();
	await weather.nth(3).click();
	await weather.nth(3).click();
	await weather.nth(1).click();
	// A night is drawn over the scale of its page; 22:00 and 6:00 are two taps.
	const night = page.getByRole('region', { name: 'Sleep' });
	await night.getByRole('img').scrollIntoViewIfNeeded();
	const line = await night.getByRole('img').boundingBox();
	if (!line) throw new Error('no line to draw on');
	const square = line.width / 24;
	const tap = (hour: number) => page.mouse.click(line.x + (hour + 0.5) * square, line.y + 8);
	const from = Number(await night.locator('.text-rubric span').first().textContent());
	await tap((22 - from + 24) % 24);
	await page.getByText('Now tap where it ends.').waitFor();
	await tap((5 - from + 24) % 24);
	await expect.poll(() => field('Sleep').inputValue()).toBe('22:00-06:00');
	await field('Sleep').fill('23:');
	await field('Sleep').press('Enter');
	await page.getByText('“23:” is no span of time').waitFor();
	await field('Steps').fill('1e9');
	await field('Steps').press('Enter');
	await page.getByText('“1e9” is no number').waitFor();
	await saved(page);
	await reloaded(page);
	for (const [at, word] of [...said.slice(0, 3), 'missed', ...said.slice(4)].entries())
		expect(await habits.nth(at).textContent()).toMatch(new RegExp(`:\\s*${word}\\s*$`));
	expect(await weather.nth(1).getAttribute('aria-checked')).toBe('true');
	expect(await field('Sleep').inputValue()).toBe('22:00-06:00');
	expect(await field('Steps').inputValue()).toBe('');
	await page.getByRole('button', { name: 'Day after' }).click();
	await page.getByRole('heading', { name: 'Thursday 13 May' }).waitFor();
});

test('what is filled in while nobody answers is not lost', async () => {
	await open('May 2027', 'keep?way=day&day=20');
	await page.route('**/records', (route) => route.abort());
	await field('Steps').fill('8,250');
	await field('Steps').press('Enter');
	await page.getByRole('alert').filter({ hasText: 'does not answer' }).waitFor();
	await page.unroute('**/records');
	await reloaded(page);
	await saved(page);
	expect(await field('Steps').inputValue()).toBe('8,250');
});

test('two windows that reach nobody lose nothing of each other, and what changed meanwhile is a choice', async () => {
	const { context } = stage();
	await open('May 2027', 'keep?way=day&day=21');
	const other = await context.newPage();
	await visit(other, page.url());
	const steps = (of: typeof page, name = 'Steps') =>
		of.getByRole('region', { name }).locator('input').first();
	for (const one of [page, other]) await one.route('**/records', (route) => route.abort());
	await steps(page).fill('7,000');
	await steps(page).press('Enter');
	await other.getByRole('button', { name: 'Day after' }).click();
	await steps(other).fill('9,000');
	await steps(other).press('Enter');
	await other.getByRole('alert').filter({ hasText: 'does not answer' }).waitFor();
	await other.close();
	await page.unroute('**/records');
	await reloaded(page);
	await saved(page);
	expect(await steps(page).inputValue()).toBe('7,000');
	await page.getByRole('button', { name: 'Day after' }).click();
	expect(await steps(page).inputValue()).toBe('9,000');

	// A tablet writes what this window has not seen.
	const month = page.url().replace(/\/months\/([^/]+).*/, '/app/months/$1');
	const elsewhere = (value: string) =>
		context.request.put(`${month}/records`, {
			headers: { origin: new URL(month).origin },
			data: { changes: [{ wish: 'steps', about: 'day=22', holds: 'number', value }] }
		});
	expect((await elsewhere('9500')).ok()).toBe(true);
	await steps(page).fill('9,100');
	await steps(page).press('Enter');
	const choice = page.getByRole('alert', { name: 'To be decided' });
	await choice.getByText(/you wrote “9100” here on [^“]*to “9500”/).waitFor();
	expect(await steps(page).inputValue()).toBe('9,500');
	await reloaded(page);
	await choice.getByRole('button', { name: 'Use “9100”' }).click();
	await choice.waitFor({ state: 'detached' });
	await saved(page);
	await reloaded(page);
	expect(await steps(page).inputValue()).toBe('9,100');
	expect((await elsewhere('')).ok()).toBe(true);
});

test('April and its year are told, each number as it was kept', async () => {
	const picture = page.getByRole('button', { name: 'Save 2027-04 Steps as PNG' });
	await page.route('**/echarts*', (route) => route.abort());
	await open('April 2027', 'look-back');
	await page.getByText('The chart could not be fetched').first().waitFor();
	expect(await picture.isDisabled()).toBe(true);
	await page.unroute('**/echarts*');
	await reloaded(page);
	await page.getByText('35 of 35 rows used; it ran out on the 22nd.').waitFor();
	await page.getByRole('region', { name: 'Brain dump' }).getByText('stayed empty').waitFor();
	await page.getByText('they are no diagnosis').waitFor();
	// Worked out again from the records themselves.
	const { context } = stage();
	const month = page.url().replace(/\/look-back.*/, '');
	const answer = await context.request.get(`${month.replace('/months/', '/app/months/')}/records`);
	const entries = (await answer.json()) as { wish: string; holds: string; value: string }[];
	const cents = entries
		.filter(({ wish, holds }) => wish === 'spending' && holds === 'money')
		.reduce((sum, { value }) => sum + Math.round(100 * Number(value)), 0);
	await page.getByText(`${(cents / 100).toFixed(2)} in all`).waitFor();
	const download = page.waitForEvent('download');
	await picture.click();
	expect((await download).suggestedFilename()).toBe('2027-04 Steps.png');
	await page.getByRole('radio', { name: 'the year 2027' }).click();
	await page.getByRole('heading', { name: 'Habits by month' }).waitFor();
	await page.getByText(/Feed the dough 100 %, 100 %/).waitFor();
});

test('a month that is planned already is changed by what is ticked, and changed back', async () => {
	await open('April 2027', 'look-back?over=next');
	const { context, app } = stage();
	const address = await page.getByRole('link', { name: 'Open May 2027' }).getAttribute('href');
	const habits = async () => {
		const record = await context.request.get(
			`${app.address}${(address ?? '').replace('/months/', '/app/months/')}/plan.json`
		);
		const { wishes } = (await record.json()) as {
			wishes: { id: string; items?: { name: string }[] }[];
		};
		return wishes.find(({ id }) => id === 'habits')?.items?.length;
	};
	const before = await habits();
	// What May does not hold is offered, and not taken by itself.
	const spending = page.getByRole('checkbox', { name: /^Spending: .* it is not in May 2027 yet$/ });
	expect(await spending.isChecked()).toBe(false);
	// Nor is what would leave something out.
	for (const name of [/^Feed the dough rests/, /^Stretch is dropped/]) {
		const leaving = page.getByRole('checkbox', { name });
		expect(await leaving.isChecked()).toBe(false);
		await leaving.check();
	}
	await page.getByRole('button', { name: 'Change May 2027' }).click();
	await page.getByText('May 2027 has 3 changes now.').waitFor();
	expect(await habits()).toBe((before ?? 0) - 2);
	await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
	await expect.poll(habits).toBe(before);
});

test('from the end of April to a planned May: what ran out grows, what stayed empty halves', async () => {
	const { context, app } = stage();
	const months = await context.request.get(`${app.address}/months`);
	const may = /href="\/months\/([0-9a-f-]{36})"[^>]*>\s*(?:<(?!a)[^>]*>\s*)*May 2027/.exec(
		await months.text()
	)?.[1];
	await context.request.patch(`${app.address}/app/months/${may}`, { data: { deleted: true } });
	await reloaded(page);
	await open('April 2027', 'look-back?over=next');
	await page.getByText('Feed the dough rests').waitFor();
	await page.getByText('30 of 30 after 31 of 31').waitFor();
	await page.getByText('Stretch is dropped').waitFor();
	await page.getByRole('checkbox', { name: /^Brain dump: half the room/ }).waitFor();
	const rows = page.getByRole('checkbox', {
		name: /^Spending: \d+ rows instead of 35, 35 and \d+ on two pages$/
	});
	const words = await rows.evaluate((box) => box.closest('label')?.textContent ?? '');
	const wanted = Number(/\d+/.exec(words)?.[0]);
	// Worked out again: 35 in 22 days, and March's 31 in 31 days counting 0.79 of it, after ten days of a line each.
	const weight = 0.5 ** (1 / 3);
	const [shape, days] = [10 + 35 + 31 * weight, 10 + 22 + 31 * weight];
	await page.getByText(`that is ${(shape / days).toFixed(2)} a day`).waitFor();
	expect(wanted).toBeGreaterThan(35);
	await page.getByText(/pages( instead of \d+)?; everything fits\./).waitFor();
	// Of what would be left out, only what is ticked.
	await page.getByRole('checkbox', { name: /^Feed the dough rests/ }).check();
	await page.getByRole('button', { name: 'Plan May 2027 with these changes' }).click();
	await page.getByRole('heading', { name: 'May 2027', level: 1 }).waitFor();
	const record = await context.request.get(
		`${page.url().replace('/months/', '/app/months/')}/plan.json`
	);
	const { wishes } = (await record.json()) as {
		wishes: { id: string; items?: { name: string }[]; rules?: { table?: { entries?: number } } }[];
	};
	const named = (id: string) => wishes.find((wish) => wish.id === id);
	const tables = [named('spending'), named('spending-more')];
	const entries = tables.map((wish) => wish?.rules?.table?.entries ?? 0);
	expect(entries).toEqual([35, wanted - 35]);
	expect(named('habits')?.items?.map(({ name }) => name)).toEqual([
		'Concertina',
		'Walk on deck',
		'Stretch',
		'Water',
		'Lights out by 9'
	]);
	expect(await page.getByText(/no place in the free pages/).count()).toBe(0);
	await context.request.patch(`${app.address}/app/months/${may}`, { data: { deleted: false } });
});

test('where nothing was filled in, one word a page says what the next month needs', async () => {
	await open('May 2027', 'look-back?over=next');
	const line = page.getByRole('combobox', { name: /^How full was page 64\?/ });
	await line.click();
	await page.getByRole('option', { name: 'stayed empty' }).click();
	await page
		.getByRole('checkbox', { name: /rests$/ })
		.first()
		.waitFor();
	await page.getByLabel('What went well').fill('Four loaves, and the reel at tempo.');
	await page.getByLabel('What went well').blur();
	await reloaded(page);
	await line.filter({ hasText: 'stayed empty' }).waitFor();
	expect(await page.getByLabel('What went well').inputValue()).toContain('at tempo');
});

test('a month begins with a set, and with what comes every year', async () => {
	const { app, context } = stage();
	await visit(page, `${app.address}/months`);
	await page.getByRole('button', { name: 'Keep as a set: the wishes of April 2027' }).click();
	await page.getByLabel('Name of the set').fill('At sea');
	await page.keyboard.press('Enter');
	await page.getByText('Kept as the set “At sea”.').waitFor();
	const sent = page.waitForResponse((response) => response.url().endsWith('/app/yearly'));
	await page
		.getByLabel(/^One per line, such as/)
		.fill('9 June The captain’s birthday\n40 June no day');
	await page.getByText(/Not understood, so not on the page: “40 June no day”/).waitFor();
	await sent;
	await choose(page, /^It starts with/, 'the set “At sea”');
	await page.waitForURL(/from=/);
	await page.getByRole('button', { name: 'Plan June 2027' }).click();
	await page.getByRole('heading', { name: 'June 2027', level: 1 }).waitFor();
	const record = await context.request.get(
		`${page.url().replace('/months/', '/app/months/')}/plan.json`
	);
	const { wishes } = (await record.json()) as {
		wishes: { kind: string; events?: { day: number; text: string }[] }[];
	};
	const calendar = wishes.find(({ kind }) => kind === 'month-calendar');
	expect(calendar?.events).toEqual([{ day: 9, text: 'The captain’s birthday' }]);
	expect(wishes.some(({ kind }) => kind === 'spending')).toBe(true);
});

test('a bank’s statement is written into the rows that are left, each booking once', async () => {
	await open('March 2027', 'keep?way=paper&of=spending');
	await page.getByText('From a bank’s statement').click();
	const lines = [
		'Konto;12345678',
		'Buchungstag;Verwendungszweck;Betrag;Saldo',
		'"29.03.2027";"BACKHAUS MEHL, Ost";"-12,50";"88,00"',
		'"30.03.2027";"Reederei Lohn";"2.400,00";"2.488,00"',
		'"31.03.2027";"FERRY CAFE 12";"-4,20";"2.483,80"',
		'"01.04.2027";"BACKHAUS MEHL, Ost";"-3,10";"2.480,70"'
	];
	const give = (more: readonly string[] = []) =>
		page.getByLabel('A statement as CSV').setInputFiles({
			name: 'march.csv',
			mimeType: 'text/csv',
			buffer: Buffer.from([...lines, ...more].join('\r\n'), 'latin1')
		});
	await give();
	await page.getByText('2 of March 2027.').waitFor();
	await page.getByLabel('What BACKHAUS MEHL, Ost was for').fill('bread');
	await page.getByLabel('What BACKHAUS MEHL, Ost was for').blur();
	const learned = page.waitForResponse((response) => response.url().endsWith('/app/bank'));
	await page.getByRole('button', { name: 'Write 2 into “Spending”' }).click();
	await page.getByText('2 bookings were written in.').waitFor();
	await learned;
	await saved(page);
	// What was it for is known the next time, and nothing comes twice.
	await reloaded(page);
	await page.getByText('From a bank’s statement').click();
	await give(['"31.03.2027";"BACKHAUS MEHL, West";"-2,00";"2.478,70"']);
	await page.getByText('3 of March 2027, 2 of them written in before.').waitFor();
	expect(await page.getByLabel('What BACKHAUS MEHL, West was for').inputValue()).toBe('bread');
	const { context } = stage();
	const csv = await context.request.get(
		`${page.url().split('/keep')[0]?.replace('/months/', '/app/months/')}/records?wish=spending`
	);
	const text = await csv.text();
	expect(text).toContain(',money,12.50');
	expect(text).toContain(',money,4.20');
});

test('a band’s nights and a calendar’s events are looked at first, also when one of them is out of reach', async () => {
	const { app } = stage();
	const behave = async (label: string, on: boolean) => {
		await visit(page, `${app.address}/standins`);
		await page.getByLabel(label).setChecked(on);
		await Promise.all([
			page.waitForResponse((response) => response.request().method() === 'POST'),
			page.getByRole('button', { name: 'Behave so' }).click()
		]);
		await visit(page, `${app.address}/months`);
	};
	await behave('Out of reach', true);
	await open('May 2027', 'keep?way=paper&of=steps');
	await page.getByText('From a band').click();
	await page.getByRole('button', { name: 'Look', exact: true }).click();
	await page.getByText(/answers with 503\. Nothing was taken\./).waitFor();
	await behave('Out of reach', false);
	await open('May 2027', 'keep?way=paper&of=steps');
	await page.getByText('From a band').click();
	await page.getByRole('button', { name: 'Look', exact: true }).click();
	// To the 9th the engineer wrote the steps down by hand: they stay.
	await page
		.getByText(/^\d+ days would be written in.* something else stands already, and stays\.$/)
		.waitFor();
	await page.getByRole('button', { name: 'Write them in' }).click();
	await page.getByText(/days were written in\. Undo takes them away again\./).waitFor();
	await saved(page);

	await visit(page, `${app.address}/months`);
	await open('May 2027', '');
	await page.getByTestId('wish-2').click();
	await page.getByRole('button', { name: 'Look', exact: true }).click();
	// The choir's 13th is left out, its 20th was moved to the 21st; 18:00 in Berlin are 16:00 by this clock.
	await page.getByText(/^21 16:00 Choir, in the church$/).waitFor();
	expect(await page.getByText(/^13 .*Choir/).count()).toBe(0);
	await page.getByText('18 Dry dock').waitFor();
	await page.getByRole('button', { name: 'Take them' }).click();
	await page.getByText(/events were taken\. Undo takes them away again\./).waitFor();
	await page.getByRole('button', { name: 'Look', exact: true }).click();
	await page.getByText('The calendar is as it was.').waitFor();
});
