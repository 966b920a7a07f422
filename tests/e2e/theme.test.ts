import { expect, test } from 'vitest';
import { onStage, reloaded, saved, visit } from './stage';

const stage = onStage('/', { wishes: 3 });

test('colours are proposed, mended where they are not legible, drawn and kept', async () => {
	const { page, context, app } = stage();
	const path = new URL(page.url()).pathname;
	const drawn = async () => {
		const svg = await context.request.get(`${app.address}/app${path}/plan.svg?page=63`);
		return svg.text();
	};
	await page.getByText('Colours', { exact: true }).click();
	await page.getByRole('button', { name: 'gold', exact: true }).click();
	await page.getByRole('button', { name: 'opposites' }).click();
	await saved(page);
	const proposed = await page.getByLabel('drawn letters').inputValue();
	expect(await drawn()).toContain(`fill="${proposed}"`);
	await page.getByLabel('drawn letters').fill('#b0b4b8');
	await page.getByText(/^Lettering on .* has a contrast of [12]\.\d : 1/).waitFor();
	await page.getByRole('button', { name: 'Make it legible' }).click();
	await page.getByText(/has a contrast of/).waitFor({ state: 'detached' });
	await page.getByText(/accent: on no page/).waitFor();
	await page.getByLabel('Motif, in words').fill('bollards');
	await saved(page);
	await reloaded(page);
	await page.getByText('bollards').waitFor();
	await page.getByText('Colours', { exact: true }).click();
	await page.getByRole('button', { name: 'No theme' }).click();
	await page.getByText('One ink and pale tints').waitFor();
	await page.keyboard.press('Control+z');
	await page.getByText('bollards').waitFor();
});

test('the next month takes last month’s colours with one click', async () => {
	const { page, context, app } = stage();
	const path = new URL(page.url()).pathname;
	const record = await context.request.get(`${app.address}/app${path}/plan.json`);
	const { theme } = (await record.json()) as { theme?: { lines: string } };
	await visit(page, `${app.address}/months`);
	await page.getByRole('button', { name: /^Plan June/ }).click();
	await page.getByRole('heading', { name: 'June 2027' }).waitFor();
	await page.getByText('Colours', { exact: true }).click();
	await page.getByRole('button', { name: 'as last month' }).click();
	expect(await page.getByLabel('lines and writing').inputValue()).toBe(theme?.lines);
});
