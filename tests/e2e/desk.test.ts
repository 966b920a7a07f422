import { test } from 'vitest';
import { onStage, saved, toPlan, unfold, visit } from './stage';

const stage = onStage();

async function openDesk(number: number) {
	const { page } = stage();
	await visit(page, `${page.url()}/pages/${number}`);
	return page;
}

const sleep = (from: string) => new RegExp(`^Sleep on page 70, .* from dot ${from}$`);

test('a block is moved and sized by keyboard, pinned, and taken back', async () => {
	const page = await openDesk(70);
	const block = page.getByRole('button', { name: sleep('0, 0') });
	await block.focus();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('ArrowDown');
	await page.getByText(/Sleep from \(0, 2\), 28 × 36/).waitFor();
	await page.keyboard.press('Shift+ArrowDown');
	await page.getByText(/Sleep from \(0, 2\), 28 × 37/).waitFor();
	await page.keyboard.press('Escape');
	await page.getByText('Click a dot to see its count.').waitFor();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Enter');
	await page.getByRole('button', { name: sleep('0, 1') }).waitFor();
	await page.getByRole('button', { name: sleep('0, 1') }).click();
	await unfold(page, 'Place and priority');
	await page.getByRole('button', { name: 'Let it move' }).waitFor();
	await page.keyboard.press('Control+z');
	await page.getByRole('button', { name: sleep('0, 0') }).waitFor();
	await page.getByRole('button', { name: 'Keep it here' }).waitFor();
});

test('dragging shows what is beside the block, and what it covers gives way', async () => {
	const page = await openDesk(70);
	const block = page.getByRole('button', { name: sleep('0, 0') });
	await block.hover();
	const box = await block.boundingBox();
	if (!box) throw new Error('no block');
	const square = box.width / 28;
	await page.mouse.move(box.x + 40, box.y + 300);
	await page.mouse.down();
	await page.mouse.move(box.x + 40, box.y + 300 + 3.2 * square, { steps: 4 });
	await page.getByText(/Sleep from \(0, 3\)/).waitFor();
	await page.mouse.move(box.x + 40, box.y + 300 + 9 * square, { steps: 4 });
	await page.getByText(/over the edge of the page/).waitFor();
	// Let go where it cannot stay, it goes back.
	await page.mouse.up();
	await page.getByRole('button', { name: sleep('0, 0') }).waitFor();

	await page.mouse.move(box.x + 40, box.y + 300);
	await page.mouse.down();
	await page.mouse.move(box.x + 40 + 29 * square, box.y + 300, { steps: 8 });
	// What is shown follows the hand frame by frame.
	await page.evaluate(
		() => new Promise((shown) => requestAnimationFrame(() => requestAnimationFrame(shown)))
	);
	await page.getByText(/gives way/).waitFor();
	await page.mouse.up();
	await page.getByRole('button', { name: /^Sleep on page 71/ }).waitFor();
	await saved(await reopened());
});

async function reopened() {
	const { page } = stage();
	await toPlan(page);
	return page;
}

test('a block is sized by its handle, and its cells with it', async () => {
	const page = await openDesk(71);
	const block = page.getByRole('button', { name: /^Sleep on page 71/ });
	await block.click();
	const box = await block.boundingBox();
	if (!box) throw new Error('no block');
	const square = box.width / 28;
	await page.mouse.move(box.x + box.width / 2, box.y + box.height);
	await page.mouse.down();
	await page.mouse.move(box.x + box.width / 2, box.y + box.height + 3 * square, { steps: 4 });
	await page
		.getByText(/28 × 39/)
		.first()
		.waitFor();
	await page.mouse.up();
	await page.getByRole('button', { name: /^Sleep on page 71, 28 × 39/ }).waitFor();
});

test('a place typed in figures is taken, or refused with words', async () => {
	const page = await openDesk(71);
	await page.getByRole('button', { name: /^Sleep on page 71/ }).click();
	await unfold(page, 'Place and priority');
	await page.getByLabel('High').fill('36');
	await page.getByRole('button', { name: /^Sleep on page 71, 28 × 36/ }).waitFor();
	await page.getByLabel('From the top').fill('9');
	await page.getByText('That would reach over the page of 28 × 40 squares.').waitFor();
	await page.getByLabel('From the top').fill('4');
	await page
		.getByRole('button', { name: /^Sleep on page 71, 28 × 36 squares from dot 0, 4/ })
		.waitFor();
});

test('a finger chooses first and moves then', async () => {
	const { app, elsewhere } = stage();
	const context = await (
		await elsewhere()
	).newContext({
		viewport: { width: 768, height: 1024 },
		hasTouch: true,
		reducedMotion: 'reduce'
	});
	const page = await context.newPage();
	await visit(page, app.address);
	await visit(page, `${page.url()}/pages/71`);
	const block = page.getByRole('button', { name: /^Sleep on page 71/ });
	await block.tap();
	const box = await block.boundingBox();
	if (!box) throw new Error('no block');
	const touch = await context.newCDPSession(page);
	const at = (dy: number) => ({
		touchPoints: [{ x: box.x + box.width / 2, y: box.y + box.height / 2 + dy }]
	});
	const square = box.width / 28;
	await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', ...at(0) });
	await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', ...at(-square) });
	await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', ...at(-2 * square) });
	await page.getByText(/Sleep from \(0, 2\)/).waitFor();
	await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
	await page.getByRole('button', { name: /^Sleep on page 71, .* from dot 0, 2/ }).waitFor();
	await context.close();
});

test('one finger turns the pages, but not while it looks at a part of them', async () => {
	const page = await openDesk(70);
	const session = await page.context().newCDPSession(page);
	const { x, y } = { x: 640, y: 460 };
	const wipe = async (across: number) => {
		const points = [0, 0.5, 1].map((part) => [{ x: x + part * across, y }]);
		for (const [index, touchPoints] of points.entries())
			await session.send('Input.dispatchTouchEvent', {
				type: index === 0 ? 'touchStart' : 'touchMove',
				touchPoints
			});
		await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
	};
	await wipe(-200);
	await page.getByRole('heading', { name: 'Pages 72 and 73' }).waitFor();
	await wipe(200);
	await page.getByRole('heading', { name: 'Pages 70 and 71' }).waitFor();
	await page.getByRole('button', { name: 'Zoom in' }).click();
	await page.getByText('150 %').waitFor();
	await wipe(-200);
	await page.getByRole('button', { name: 'Whole spread' }).click();
	await wipe(200);
	await page.getByRole('heading', { name: 'Pages 68 and 69' }).waitFor();
});

test('the counting cursor is led by arrow keys and counts from the mid-lines', async () => {
	const page = await openDesk(62);
	await page.getByRole('application', { name: /^Dots of page 63/ }).focus();
	await page.keyboard.press('ArrowRight');
	await page.getByText(/page 63, dot \(0, 0\)/).waitFor();
	await page.keyboard.press('Shift+ArrowRight');
	await page.keyboard.press('Shift+ArrowRight');
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('ArrowDown');
	await page.getByText(/from the middle of the top: 3 left, 1 down/).waitFor();
});
