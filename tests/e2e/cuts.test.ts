import { expect, test } from 'vitest';
import { readPdf } from '../support/read-pdf';
import { onStage, saved, toPlan, visit } from './stage';

const stage = onStage();

async function openDesk(number: number) {
	const { page } = stage();
	await visit(page, `${page.url()}/pages/${number}`);
	return page;
}

async function begin(name: RegExp) {
	const { page } = stage();
	await page.getByRole('button', { name: /^Add a cut/ }).click();
	await page.getByRole('menuitem', { name }).click();
}

async function make() {
	const { page } = stage();
	await page.getByText(/^\s*Run: /).waitFor();
	await page.getByRole('button', { name: 'Make this cut' }).click();
	await page.getByRole('button', { name: /^Add a cut/ }).waitFor();
}

const made = (title: string) => stage().page.getByRole('button', { name: `Change ${title}` });

test('a door is pulled by its edge, reckoned, made, and taken back', async () => {
	const page = await openDesk(72);
	await begin(/^Side door/);
	const edge = page.getByRole('slider', { name: 'Edge of the door on page 73' });
	expect(await edge.getAttribute('aria-valuenow')).toBe('18');
	await edge.focus();
	await page.keyboard.press('ArrowRight');
	await page.getByText('1440 squares lost on 4 pages').waitFor();
	const box = await edge.boundingBox();
	const grid = await page.getByRole('application', { name: /^Dots of page 73/ }).boundingBox();
	if (!box || !grid) throw new Error('no edge');
	const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
	await page.mouse.move(x, y);
	await page.mouse.down();
	await page.mouse.move(x - (3 * grid.width) / 29, y, { steps: 4 });
	await page.mouse.up();
	expect(await edge.getAttribute('aria-valuenow')).toBe('16');
	await make();
	await made('Side door of 12, leaves from 73 to 76').waitFor();
	await page.getByText('How to cut, in order').click();
	await page
		.getByText(/on page 73: along the dots .*84 mm from the left edge and 64 mm from the right/)
		.waitFor();
	await page.getByText(/blade away from you/).waitFor();
	await page.keyboard.press('Control+z');
	await made('Side door of 12, leaves from 73 to 76').waitFor({ state: 'detached' });
});

test('a cut goes along with what it is planned for, until it is cut in the book', async () => {
	const page = await openDesk(76);
	const month = page.url().replace(/\/pages.*/, '');
	await begin(/^Lower door/);
	await make();
	await made('Lower door of 13, leaves from 77 to 80').waitFor();
	await page.getByText('for Weekly pages').waitFor();
	await saved(await back());
	// Two pages fewer before the weeks: they move by a leaf, and the cut is part of that step.
	const removed = async (name: string) => {
		await page
			.getByTestId(/^wish-/)
			.filter({ hasText: name })
			.first()
			.focus();
		await page.keyboard.press('Delete');
		await saved(page);
	};
	await removed('Steps');
	await removed('Loaves');
	await page.getByText(/Lower door of 13, leaves from 75 to 78, goes along/).waitFor();
	await saved(page);
	await visit(page, `${month}/pages/76`);
	await made('Lower door of 13, leaves from 75 to 78').waitFor();
	await page.keyboard.press('Control+z');
	await made('Lower door of 13, leaves from 77 to 80').waitFor();
	// Paper that is cut stays as it is.
	await page.getByLabel('Cut in the book').check();
	await saved(await back());
	await removed('Loaves');
	await visit(page, `${month}/pages/76`);
	await made('Lower door of 13, leaves from 77 to 80').waitFor();
	expect(await page.getByLabel('Cut in the book').isChecked()).toBe(true);
});

test('tabs stand on what an upper door leaves of its leaves, and nothing hangs loose', async () => {
	const page = await openDesk(74);
	await begin(/^Upper door/);
	await page.getByLabel('To front page').fill('79');
	await make();
	await begin(/^Tabs/);
	expect(await page.getByLabel('First tab at row').inputValue()).toBe('13');
	expect(await page.getByLabel('To front page').inputValue()).toBe('79');
	await make();
	await made('Tabs, leaves from 75 to 80').waitFor();
	expect(await page.getByText(/hangs loose/).count()).toBe(0);
	await page.getByText('How to cut, in order').click();
	await page
		.getByText(/on page 75: .*along the dots of column 23, from row 19 to the bottom edge/)
		.waitFor();
});

test('what cannot be cut is refused with the sum, and a cut can be left', async () => {
	const page = await openDesk(72);
	await begin(/^Tabs/);
	await page.getByLabel('To front page').fill('85');
	await page
		.getByText('7 tabs of 6 need 42 rows and the page has 40: at most 6 (40 ÷ 6)')
		.waitFor();
	expect(await page.getByRole('button', { name: 'Make this cut' }).isDisabled()).toBe(true);
	await page.getByRole('button', { name: 'Cancel' }).click();
	await page.getByRole('button', { name: /^Add a cut/ }).waitFor();
});

test('a month with a window cover, a waterfall and a weekly set with tabs, from plan to sheet', async () => {
	const page = await openDesk(62);
	const month = page.url().replace(/\/pages.*/, '');
	await begin(/^Window/);
	await page.getByRole('radio', { name: 'eight corners' }).click();
	await make();
	// It is cut out of the cover's picture, which stays as it is composed around it.
	await made('Window of 24 × 13, leaf 63/64').waitFor();
	await page
		.getByRole('button', { name: /^Cover/ })
		.first()
		.waitFor();

	await visit(page, `${month}/pages/64`);
	await begin(/^Waterfall/);
	await page.getByLabel('Next one wider by').fill('3');
	await make();
	await made('Waterfall in steps of 3, leaves from 65 to 70').waitFor();
	await visit(page, `${month}/pages/70`);
	await begin(/^Tabs/);
	await page.getByLabel('To front page').fill('79');
	await make();
	await made('Tabs, leaves from 71 to 80').waitFor();
	await saved(await back());

	// Leaf through the book: the leaves beneath are seen through those above.
	await visit(page, `${month}/pages/64`);
	const leaves = page.locator('svg[role="group"] mask');
	expect(await leaves.count()).toBeGreaterThanOrEqual(2);
	for (const left of [66, 68, 70]) {
		await page.keyboard.press('ArrowRight');
		await page.getByRole('heading', { name: `Pages ${left} and ${left + 1}` }).waitFor();
	}
	expect(await leaves.count()).toBeGreaterThanOrEqual(1);

	await visit(page, `${month}/guide/65`);
	await page.getByRole('heading', { name: 'Cut first' }).waitFor();
	await page
		.getByText(/on page 65: along the dots .*114 mm from the left edge and 34 mm from the right/)
		.waitFor();
	const { app } = stage();
	const id = /months\/([^/]+)/.exec(month)?.[1];
	const pdf = await page.request.get(`${app.address}/app/months/${id}/plan.pdf?page=65&only=lines`);
	const [sheet] = (await readPdf(new Uint8Array(await pdf.body()))).pages;
	const cut = sheet?.strokes.filter(
		({ x1, x2, y1, y2 }) => Math.abs(x1 - 114) < 0.01 && x1 === x2 && Math.abs(y2 - y1) > 209.9
	);
	expect(cut).toHaveLength(1);
	const strips = await page.request.get(`${app.address}/app/months/${id}/strips.pdf?page=65`);
	expect((await readPdf(new Uint8Array(await strips.body()))).pages[0]?.text).toContain('cut');

	// The open API says the same of the plan that was saved.
	const plan = await (await page.request.get(`${app.address}/app/months/${id}/plan.json`)).json();
	const ask = () => page.request.post(`${app.address}/api/v1/plan`, { data: plan });
	let answer = await ask();
	// A request has a few seconds, which a busy machine may need for others.
	await expect.poll(async () => (answer.ok() ? answer : (answer = await ask())).status()).toBe(200);
	const { run } = await answer.json();
	const usable = (number: number) =>
		run.pages.find((one: { number: number }) => one.number === number)?.usable[0];
	expect(usable(65)).toEqual({ x: 0, y: 0, w: 22, h: 40 });
	expect(usable(66)).toEqual({ x: 6, y: 0, w: 22, h: 40 });
	const lines = run.cutLines.find(
		({ cut, leaf }: { cut: string; leaf: { front: number } }) =>
			cut === 'waterfall' && leaf.front === 65
	);
	expect(lines.front[0].from.x).toBeCloseTo(114);
	expect(lines.back[0].from.x).toBeCloseTo(34);
	const seen = run.openings.find(
		({ right }: { right: { page: number }[] }) => right[0]?.page === 65
	);
	expect(seen.right.map(({ page }: { page: number }) => page)).toEqual([65, 67, 69]);
	expect(seen.right[1].visible).toEqual([{ x: 22, y: 0, w: 3, h: 40 }]);
}, 180_000);

async function back() {
	const { page } = stage();
	// A link that is clicked while the page is being fitted anew may be clicked for nothing.
	await expect
		.poll(
			async () => {
				await toPlan(page);
				return page.url();
			},
			{ interval: 3000, timeout: 60_000 }
		)
		.toMatch(/\/months\/[0-9a-f-]+$/);
	return page;
}
