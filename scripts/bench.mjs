import { fileURLToPath, pathToFileURL } from 'node:url';
import { build } from 'vite';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root } from './lib.mjs';

ensureInstalled();
ensureChromium();
process.env.HORARIUM_BUILD = ensureBuilt();
// Measured is what people run: bundled code, not modules that look each other up.
const outDir = `${root}/test-results/bench`;
await build({
	configFile: false,
	logLevel: 'error',
	resolve: { alias: { $lib: fileURLToPath(new URL('../src/lib', import.meta.url)) } },
	build: { ssr: 'tests/bench/main.ts', outDir, target: 'node20' }
});
const { main } = await import(pathToFileURL(`${outDir}/main.js`).href);
await main();
