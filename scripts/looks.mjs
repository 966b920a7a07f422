// Draws months as contact sheets: `npm run looks -- 1 2 3`, from numbers, or from plan documents.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { chromium } from 'playwright';
import { build } from 'vite';
import { ensureChromium } from './chromium.mjs';
import { ensureInstalled, root } from './lib.mjs';

ensureInstalled();
ensureChromium();
const folder = join(root, 'test-results/looks');
mkdirSync(folder, { recursive: true });
await build({
	configFile: false,
	logLevel: 'error',
	resolve: { alias: { $lib: fileURLToPath(new URL('../src/lib', import.meta.url)) } },
	build: { ssr: 'tests/looks/main.ts', outDir: `${folder}/code`, target: 'node20' }
});
const { main } = await import(pathToFileURL(`${folder}/code/main.js`).href);
const asked = process.argv.slice(2);
const files = main(asked.length > 0 ? asked : Array.from({ length: 60 }, (_, n) => `${n}`), folder);
// Pictures only where they were asked for: sixty take long and nobody looks at them all.
if (asked.length > 0 && asked.length <= 12) {
	const browser = await chromium.launch({ executablePath: process.env.CHROMIUM });
	const page = await browser.newPage({ viewport: { width: 1600, height: 1000 } });
	for (const file of files) {
		await page.goto(pathToFileURL(file).href);
		await page.screenshot({ path: file.replace(/html$/, 'png'), fullPage: true });
		console.log(file.replace(/html$/, 'png'));
	}
	await browser.close();
}
