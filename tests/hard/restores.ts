import { existsSync } from 'node:fs';
import { copyFile, cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { copiesOf, copyPath } from '../../src/lib/server/shelf/copies';
import { openStore } from '../../src/lib/server/shelf/store';
import { everythingIn } from '../support/everything';
import { a5 } from '../support/arbitraries';
import { inFolder, part, Server, type Killed } from './kills';

/** Kills come at any time until so much longer than it takes a server at work: right after a start it takes longer, and some are to find it answered for. */
const longest = 5;

/**
 * Kills the server while it takes in an archive of everything, or goes back to a copy, in turns. Each time all of it must be
 * there or nothing, the copy put aside must be whole, and what was answered for must be there.
 */
export function killsDuringRestores(kills: number): Promise<Killed> {
	return inFolder(async (database) => {
		const archive = await archiveOfDemo();
		const { tookMs, ...states } = await prepared(database, archive);
		let [acknowledged, lost, neverStarted] = [0, 0, 0];
		for (let kill = 0; kill < kills; kill++) {
			const folder = await mkdtemp(join(tmpdir(), 'horarium-'));
			await cp(dirname(database), folder, { recursive: true });
			const file = join(folder, 'test.db');
			const server = new Server(file, 'start');
			await server.start();
			// It answers before it has loaded; kills are to find it at work.
			await fetch(`${server.address}/api/v1/health`);
			const asked = kill % 2 === 0 ? take(server, archive) : goBack(server, file);
			await setTimeout(part(kill) * longest * tookMs[kill % 2 === 0 ? 'take' : 'goBack']);
			await server.kill();
			const kept = await asked;
			if (kept) acknowledged++;
			const found = await stateOf(file);
			const copies = await Promise.all(
				copiesOf(file).map((copy) => stateOf(copyPath(file, copy.file) ?? ''))
			);
			const whole = [found, ...copies].every((state) => Object.values(states).includes(state));
			if (!whole || (kept && found !== states.full)) lost++;
			if ((await server.start()) !== undefined) neverStarted++;
			await server.kill();
			await rm(folder, { recursive: true, force: true });
		}
		return { kills, acknowledged, lost, neverStarted };
	});
}

/** Everything of the demo as an archive. */
function archiveOfDemo(): Promise<ArrayBuffer> {
	return inFolder(async (database) => {
		const server = new Server(database, 'demo');
		await server.start();
		const file = await (await fetch(`${server.address}/app/everything`)).arrayBuffer();
		await server.kill();
		return file;
	});
}

/** Makes a database with one notebook and, as the copy of what was before, one with the demo as well; gives what both hold. */
async function prepared(database: string, archive: ArrayBuffer) {
	const server = new Server(database, 'start');
	await server.start();
	await server.json('POST', '/app/notebooks', a5);
	const timed = async (work: () => Promise<unknown>) => {
		const from = performance.now();
		await work();
		return performance.now() - from;
	};
	const takeMs = await timed(() => take(server, archive));
	const full = await stateOf(database);
	const goBackMs = await timed(() => goBack(server, database));
	const little = await stateOf(database);
	await server.kill();
	// The copy of the day was made when there was nothing yet.
	const day = copiesOf(database).find(({ before }) => !before);
	const nothing = await stateOf(copyPath(database, day?.file ?? '') ?? '');
	return { full, little, nothing, tookMs: { take: takeMs, goBack: goBackMs } };
}

async function take({ address }: Server, archive: ArrayBuffer): Promise<boolean> {
	const asked = fetch(`${address}/app/everything?way=merge`, {
		method: 'POST',
		headers: { 'content-type': 'application/zip', origin: address },
		body: archive
	});
	return asked.then(({ ok }) => ok).catch(() => false);
}

async function goBack(server: Server, database: string): Promise<boolean> {
	const copy = copiesOf(database).find(({ before }) => before);
	const asked = server.json('POST', '/app/copies', { file: copy?.file ?? '' });
	return asked.then(({ status }) => status === 200).catch(() => false);
}

/**
 * All that a database holds, as one text. It is read from a copy: a file that was opened is let go of later, at any moment,
 * and what lies beside it goes then.
 */
function stateOf(path: string): Promise<string> {
	return inFolder(async (copy) => {
		for (const part of ['', '-wal'])
			if (existsSync(path + part)) await copyFile(path + part, copy + part);
		const store = await openStore(copy);
		try {
			return JSON.stringify(await everythingIn(store));
		} finally {
			store.close();
		}
	});
}
