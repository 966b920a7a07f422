import { spawn, type ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';

/** What lives for seconds is not worth compiling well: a function is when it has run eight times as long as usual. */
const lazily = ['--interrupt-budget=1000000'];

/** What is told to end and does not, because something keeps it, ends after so long all the same, and its servers with it. */
const mostEndingMs = 3000;
process.once('SIGTERM', () => setTimeout(() => process.exit(), mostEndingMs).unref());

export interface App {
	readonly address: string;
	readonly database: string;
	readonly stop: () => Promise<void>;
	/** Ends the server at once, as a crash would, and starts it again on the same database and port. */
	readonly crash: (whileDown?: () => Promise<void>) => Promise<void>;
}

/**
 * Starts the built application on a port and a database of its own, with the demo data if wanted; shared on another address,
 * as on a network, where one is named.
 */
export async function startApp(script: 'demo' | 'start', shareOn?: string): Promise<App> {
	const folder = await mkdtemp(join(tmpdir(), 'horarium-'));
	const database = join(folder, 'test.db');
	let port = '0';
	let server: ChildProcess;
	const start = async () => {
		const share = shareOn === undefined ? [] : ['--share'];
		server = spawn(process.execPath, [...lazily, `scripts/${script}.mjs`, ...share], {
			env: {
				...process.env,
				...(shareOn ? { HORARIUM_SHARE_ON: shareOn } : {}),
				PORT: port,
				HORARIUM_DB: database
			},
			stdio: ['ignore', 'pipe', 'inherit']
		});
		server.unref();
		if (server.stdout instanceof Socket) server.stdout.unref();
		return addressOf(server);
	};
	const address = await start();
	port = new URL(address).port;
	// A server that is not stopped ends with the process of its tests, and does not keep that from ending.
	const left = () => {
		server.kill();
		rmSync(folder, { recursive: true, force: true });
	};
	process.once('exit', left);
	return {
		address,
		database,
		stop: async () => {
			process.off('exit', left);
			await ended(server, 'SIGTERM');
			await rm(folder, { recursive: true, force: true });
		},
		crash: async (whileDown) => {
			await ended(server, 'SIGKILL');
			await whileDown?.();
			await start();
		}
	};
}

function addressOf(server: ChildProcess): Promise<string> {
	return new Promise((resolve, reject) => {
		let output = '';
		server.stdout?.on('data', (chunk: Buffer) => {
			output += chunk.toString();
			const address = /http:\/\/[\d.]+:\d+/.exec(output)?.[0];
			if (address) resolve(address);
		});
		server.once('exit', (code) => reject(new Error(`the server ended with ${code}: ${output}`)));
	});
}

function ended(server: ChildProcess, signal: NodeJS.Signals): Promise<void> {
	return new Promise((resolve) => {
		server.ref();
		server.once('exit', () => resolve());
		server.kill(signal);
	});
}

let ownApp: Promise<App> | undefined;

/**
 * The application that all test files of this process work with, with the demo data as it begins. One that has answered
 * before knows the demo's runs, and what a browser has compiled it knows by the address.
 */
export async function oneApp(): Promise<App> {
	const began = ownApp !== undefined;
	const app = await (ownApp ??= startApp('demo'));
	const beginning = `${app.database}.beginning`;
	const file = new Database(app.database);
	// The server may be writing still, as its copy of the day.
	file.exec('pragma busy_timeout = 30000');
	if (began) begunAgain(file, beginning);
	else file.exec(`vacuum into '${beginning}'`);
	file.close();
	return app;
}

/** Puts what all tables of a database held in the beginning in place of what they hold. */
function begunAgain(file: Database.Database, beginning: string): void {
	file.exec(`pragma foreign_keys = off; attach '${beginning}' as beginning; begin immediate`);
	const tables = file
		.prepare<[]>(`select name from sqlite_schema where type = 'table' and name not like 'sqlite_%'`)
		.raw()
		.all();
	for (const table of tables) {
		const name = `"${String(table)}"`;
		file.exec(`delete from main.${name}; insert into main.${name} select * from beginning.${name}`);
	}
	file.exec('commit');
}
