import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { a5 } from '../support/arbitraries';

const mostTries = 120;
const pauseMs = 500;

/** What kills did: how many changes were lost that the server had said were kept, and what would not start. */
export interface Killed {
	readonly kills: number;
	readonly acknowledged: number;
	readonly lost: number;
	readonly neverStarted: number;
}

/** The application as its own process on one database file. */
export class Server {
	private process: ChildProcess | undefined;
	address = '';

	constructor(
		private readonly database: string,
		private readonly script: 'demo' | 'start'
	) {}

	/** Starts it; resolves when it answers, or with what it said when it ended instead. */
	async start(): Promise<string | undefined> {
		const child = spawn(process.execPath, [`scripts/${this.script}.mjs`], {
			env: { ...process.env, PORT: '0', HORARIUM_DB: this.database },
			stdio: ['ignore', 'pipe', 'pipe']
		});
		this.process = child;
		let said = '';
		return new Promise((resolve) => {
			const hear = (chunk: Buffer) => {
				said += chunk.toString();
				const address = /http:\/\/[\d.]+:\d+/.exec(said)?.[0];
				if (!address) return;
				this.address = address;
				resolve(undefined);
			};
			child.stdout.on('data', hear);
			child.stderr.on('data', hear);
			child.once('exit', () => resolve(said));
		});
	}

	/** Starts it without waiting. */
	launch(): void {
		void this.start();
	}

	async kill(): Promise<void> {
		const child = this.process;
		if (!child || child.exitCode !== null || child.signalCode !== null) return;
		const ended = new Promise((resolve) => child.once('exit', resolve));
		child.kill('SIGKILL');
		await ended;
	}

	async json(method: string, path: string, content?: unknown) {
		const response = await fetch(`${this.address}${path}`, {
			method,
			headers: { 'content-type': 'application/json' },
			body: content === undefined ? null : JSON.stringify(content)
		});
		const body: unknown = await response.json();
		return { status: response.status, body: Object(body) };
	}
}

/** A number from 0 to 1 for each step, always the same. */
export const part = (step: number) => ((step * 7919) % 1000) / 1000;

/** Does some work with a database file in a folder of its own. */
export async function inFolder<T>(work: (database: string) => Promise<T>): Promise<T> {
	const folder = await mkdtemp(join(tmpdir(), 'horarium-'));
	try {
		return await work(join(folder, 'test.db'));
	} finally {
		await rm(folder, { recursive: true, force: true });
	}
}

/** Kills the server while it saves change after change of a notebook, and looks each time what is kept. */
export function killsDuringSaves(kills: number): Promise<Killed> {
	return inFolder(async (database) => {
		const server = new Server(database, 'start');
		let [acknowledged, lost, neverStarted] = [0, 0, 0];
		await server.start();
		const made = await server.json('POST', '/app/notebooks', a5);
		let kept = { revision: 1, name: a5.name };
		for (let kill = 0; kill < kills; kill++) {
			const until = Date.now() + 20 + part(kill) * 300;
			const killed = setTimeout(until - Date.now()).then(() => server.kill());
			for (let change = 0; ; change++) {
				const name = `${kill} ${change}`;
				const content = { revision: kept.revision, notebook: { ...a5, name } };
				const answer = await server
					.json('PUT', `/app/notebooks/${made.body.id}`, content)
					.catch(() => undefined);
				if (answer?.status !== 200) break;
				acknowledged++;
				kept = { revision: answer.body.revision, name };
			}
			await killed;
			if ((await server.start()) !== undefined) neverStarted++;
			const { revision, notebook } = await keptNow(server, made.body.id);
			// The change that was under way may be kept or not.
			if (revision < kept.revision) lost++;
			kept = { revision, name: notebook.name };
		}
		await server.kill();
		return { kills, acknowledged, lost, neverStarted };
	});
}

/** What is kept of a notebook: a write on top of nothing is refused with it, and with 503 as long as the machine is busy. */
async function keptNow(server: Server, id: string) {
	for (let tries = 0; tries < mostTries; tries++) {
		const wrong = { revision: 1_000_000, notebook: a5 };
		const { status, body } = await server.json('PUT', `/app/notebooks/${id}`, wrong);
		if (status === 409) return body.current;
		if (status !== 503) throw new Error(`an answer of ${status}: ${JSON.stringify(body)}`);
		await setTimeout(pauseMs);
	}
	throw new Error('the server was busy all the time');
}

/** Kills the very first start again and again at other moments; the next one must hold the demo once. */
export async function killsAtFirstStart(kills: number): Promise<Killed> {
	let [lost, neverStarted] = [0, 0];
	for (let kill = 0; kill < kills; kill++)
		await inFolder(async (database) => {
			const server = new Server(database, 'demo');
			server.launch();
			await setTimeout(150 + part(kill) * 900);
			await server.kill();
			if ((await server.start()) !== undefined) neverStarted++;
			else if (!(await holdsDemoOnce(server.address))) lost++;
			await server.kill();
		});
	return { kills, acknowledged: 0, lost, neverStarted };
}

/** Starts two at once on one new file; both must run, and hold the demo once. */
export async function startsAtOnce(pairs: number): Promise<Killed> {
	let [lost, neverStarted] = [0, 0];
	for (let pair = 0; pair < pairs; pair++)
		await inFolder(async (database) => {
			const both = [new Server(database, 'demo'), new Server(database, 'demo')];
			for (const said of await Promise.all(both.map((server) => server.start())))
				if (said !== undefined) neverStarted++;
			for (const { address } of both) if (address && !(await holdsDemoOnce(address))) lost++;
			for (const server of both) await server.kill();
		});
	return { kills: 0, acknowledged: 0, lost, neverStarted };
}

async function holdsDemoOnce(address: string): Promise<boolean> {
	const page = await (await fetch(`${address}/notebooks`)).text();
	const books = new Set(page.match(/\/notebooks\/[0-9a-f-]{36}/g));
	const home = await fetch(address, { redirect: 'manual' });
	return books.size === 2 && (home.headers.get('location') ?? '').startsWith('/months/');
}
