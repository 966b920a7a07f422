import { createServer } from 'vite';
import { ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled();
ensureBuilt();
const vite = await createServer({
	server: { middlewareMode: true },
	appType: 'custom',
	logLevel: 'error'
});
const { main } = await vite.ssrLoadModule('/tests/bench/main.ts');
await main();
await vite.close();
