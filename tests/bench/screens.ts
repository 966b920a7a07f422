import type { CDPSession, Page } from 'playwright';
import { launch, openWindow, startApp } from '../e2e/app';
import { summary, report } from './measure';

declare global {
	interface Window {
		/** Times from a keystroke to the redrawn run, filled by the bench. */
		redrawn: number[];
	}
}

/** Script that the first screen loads, and what a keystroke costs there. */
export async function benchScreens(): Promise<void> {
	const [app, browser] = await Promise.all([startApp('demo'), launch()]);
	try {
		const { page } = await openWindow(browser);
		const scripts: Promise<number>[] = [];
		page.on('response', (response) => {
			if (new URL(response.url()).pathname.endsWith('.js'))
				scripts.push(response.allHeaders().then((headers) => Number(headers['content-length'])));
		});
		await page.goto(app.address, { waitUntil: 'networkidle' });
		const bytes = (await Promise.all(scripts)).reduce((sum, size) => sum + size, 0);
		console.log(
			`script of the first screen ${(bytes / 1000).toFixed(1)} kB as sent, compressed (wanted: under 150)`
		);
		while ((await page.getByTestId(/^wish-/).count()) < 10) {
			await page.getByRole('button', { name: 'Add a page' }).click();
			await page.getByRole('menuitem', { name: 'Habit trackers' }).click();
		}
		await page.getByTestId('wish-2').click();
		await keystrokes(page, await page.context().newCDPSession(page));
	} finally {
		await browser.close();
		await app.stop();
	}
}

async function keystrokes(page: Page, session: CDPSession): Promise<void> {
	await session.send('Performance.enable');
	await page.evaluate(() => {
		const pages = document.querySelector('[aria-label="The run of pages"] ol');
		if (!pages) throw new Error('the run is not drawn');
		let start = 0;
		window.redrawn = [];
		addEventListener('input', () => (start = performance.now()), { capture: true });
		const observer = new MutationObserver(() => {
			if (start === 0) return;
			const began = start;
			start = 0;
			requestAnimationFrame(() => window.redrawn.push(performance.now() - began));
		});
		const all = { subtree: true, childList: true, characterData: true, attributes: true };
		observer.observe(pages, all);
	});
	await page.getByRole('textbox', { name: 'Title' }).focus();
	const main: number[] = [];
	for (let index = 0; index < 40; index++) {
		const before = await scripted(session);
		await page.keyboard.press(index % 2 === 0 ? 'x' : 'Backspace');
		await page.waitForFunction((count) => window.redrawn.length > count, index);
		main.push((await scripted(session)) - before);
	}
	const total = await page.evaluate(() => window.redrawn);
	report('keystroke to redrawn run of ten wishes', summary(total), 'wanted: under 50');
	report('  script on the main thread meanwhile', summary(main), 'wanted: under 16');
}

/** Milliseconds of script run on the main thread so far. */
async function scripted(session: CDPSession): Promise<number> {
	const { metrics } = await session.send('Performance.getMetrics');
	return 1000 * (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0);
}
