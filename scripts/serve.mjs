import { createServer } from 'node:http';
import { pathToFileURL } from 'node:url';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './lib.mjs';

const mostTries = 20;

/**
 * Builds what is missing and serves the application on this machine's loopback only. When the port is
 * taken and was not asked for, the next ones are tried.
 * @param {{ database: string, demo?: boolean }} options
 * @returns {Promise<string>} the address
 */
export async function serve({ database, demo = false }) {
	ensureInstalled();
	ensureBuilt();
	process.env.HORARIUM_DB ??= database;
	if (demo) process.env.HORARIUM_DEMO = '1';
	// Bodies are read, and refused when too long, by our own code, which says so in words.
	process.env.BODY_SIZE_LIMIT = 'Infinity';
	const server = createServer();
	const port = await listen(
		server,
		Number(process.env.PORT ?? 4317),
		process.env.PORT ? 1 : mostTries
	);
	const address = `http://127.0.0.1:${port}`;
	process.env.ORIGIN = address;
	const { handler } = await import(pathToFileURL(join(root, 'build/handler.js')).href);
	server.on('request', handler);
	for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM']))
		process.once(signal, () => {
			server.close(() => process.exit(0));
			server.closeAllConnections();
		});
	return address;
}

/**
 * @param {import('node:http').Server} server
 * @param {number} first
 * @param {number} tries
 * @returns {Promise<number>} the port
 */
async function listen(server, first, tries) {
	for (let port = first; ; port++) {
		const taken = await new Promise((resolve, reject) => {
			server.once('error', (/** @type {NodeJS.ErrnoException} */ error) =>
				error.code === 'EADDRINUSE' && port < first + tries - 1 ? resolve(true) : reject(error)
			);
			server.listen(port, '127.0.0.1', () => resolve(false));
		});
		if (!taken) {
			const address = server.address();
			return typeof address === 'object' && address ? address.port : port;
		}
		server.removeAllListeners('error');
		server.removeAllListeners('listening');
	}
}
