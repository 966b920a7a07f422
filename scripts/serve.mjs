import { createServer } from 'node:http';
import { pathToFileURL } from 'node:url';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled } from './lib.mjs';
import { idleConnectionMs } from './share.mjs';
import { sharing } from './sharing.mjs';

const usualPort = 4317;
const mostTries = 20;
/** So long may answers that are under way take when the program is asked to end. */
const mostEndingMs = 1000;
/**
 * Builds what is missing and serves the application on this machine's loopback only. When the port is
 * taken and was not asked for, the next ones are tried. What goes wrong is said in one sentence.
 * @param {{ database: string, demo?: boolean, shared?: boolean }} options
 * @returns {Promise<string>} the address
 */
export async function serve({ database, demo = false, shared = false }) {
	ensureInstalled();
	const folder = ensureBuilt();
	process.env.HORARIUM_DB ??= database;
	process.env.HORARIUM_WORKER = join(folder, 'work/worker.js');
	if (demo) process.env.HORARIUM_DEMO = '1';
	// Bodies are read, and refused when too long, by our own code, which says so in words.
	process.env.BODY_SIZE_LIMIT = 'Infinity';
	const server = createServer({ keepAliveTimeout: idleConnectionMs });
	for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM', 'SIGHUP']))
		process.once(signal, () => {
			// What is being answered is answered; the database is closed as the process ends.
			server.close(() => process.exit(0));
			server.closeIdleConnections();
			void shares?.stop();
			setTimeout(() => process.exit(0), mostEndingMs).unref();
		});
	/** @type {import('./sharing.mjs').Sharing | undefined} */
	let shares;
	/** @type {import('node:http').RequestListener | undefined} */
	let answer;
	/** @type {Parameters<import('node:http').RequestListener>[]} */
	const early = [];
	/** @type {import('node:http').RequestListener} */
	const answered = (request, response) => {
		// Who asks while the application is still being loaded waits for it: nobody else would ever answer.
		if (answer) answer(request, response);
		else early.push([request, response]);
	};
	server.on('request', answered);
	const asked = process.env.PORT;
	const port = await listen(server, Number(asked ?? usualPort), asked ? 1 : mostTries);
	const address = `http://127.0.0.1:${port}`;
	process.env.ORIGIN = address;
	shares = sharing(port, answered);
	if (shared) await shares.start().catch((error) => stop(error.message));
	try {
		const { handler } = await import(pathToFileURL(join(folder, 'handler.js')).href);
		answer = handler;
		for (const [request, response] of early) handler(request, response);
	} catch (error) {
		if (!(error instanceof Error) || error.name !== 'DatabaseTrouble') throw error;
		stop(error.message);
	}
	return address;
}

/**
 * Ends the program with one plain sentence.
 * @param {string} sentence
 * @returns {never}
 */
function stop(sentence) {
	console.error(sentence);
	process.exit(1);
}

/**
 * @param {import('node:http').Server} server
 * @param {number} first
 * @param {number} tries
 * @returns {Promise<number>} the port
 */
async function listen(server, first, tries) {
	for (let port = first; ; port++) {
		const taken = await new Promise((resolve) => {
			server.once('error', (/** @type {NodeJS.ErrnoException} */ { code, message }) => {
				if (code === 'EADDRINUSE' && port < first + tries - 1) resolve(true);
				else if (code === 'EADDRINUSE')
					stop(`Port ${port} is taken by another program. Choose another with PORT.`);
				else stop(`Horarium cannot listen on port ${port}: ${message}. Choose another with PORT.`);
			});
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
