import { spawnSync } from 'node:child_process';
import { inFolder, killsAtFirstStart, killsDuringSaves, Server, startsAtOnce } from '../hard/kills';
import { killsDuringRestores } from '../hard/restores';
import { hostileImports, oddRequests } from '../hard/requests';

/** What one attack came to. */
interface Row {
	readonly what: string;
	readonly holds: boolean;
	readonly says: string;
	readonly examples: readonly string[];
}

const mostExamples = 5;

/**
 * Attacks in full: what `npm test` does a little of. Ends with one table of what was lost, broken or too slow, what failed
 * first; one that breaks off keeps no other from being tried.
 */
export async function benchHard(): Promise<void> {
	const tests = spawnSync(
		'npx',
		['vitest', 'run', '--project=unit', '--project=oracles', '--reporter=dot'],
		{ stdio: 'inherit', env: { ...process.env, HORARIUM_HARD: '1' } }
	);
	const held = tests.status === 0;
	const rows: Row[] = [
		{ what: 'all random cases', holds: held, says: held ? 'hold' : 'do not hold', examples: [] },
		await attacked('100 kills during saves', () => killsDuringSaves(100)),
		await attacked('100 kills during restores', () => killsDuringRestores(100)),
		await attacked('60 kills in the first start', () => killsAtFirstStart(60)),
		await attacked('15 pairs of starts at once', () => startsAtOnce(15)),
		await onServer('10,000 odd requests', (address) => oddRequests(address, 10_000)),
		await onServer('400 hostile imports', (address) => hostileImports(address, 400))
	];
	console.log('');
	for (const { what, holds, says, examples } of rows.toSorted(
		(a, b) => Number(a.holds) - Number(b.holds)
	)) {
		console.log(`${holds ? 'holds ' : 'FAILED'}  ${what.padEnd(30)} ${says}`);
		for (const example of examples) console.log(`        ${example}`);
	}
	if (rows.some(({ holds }) => !holds)) process.exitCode = 1;
}

/** Figures that must be nought. */
const faults = ['lost', 'neverStarted', 'broken', 'shapeless'];

async function attacked(what: string, attack: () => Promise<object>): Promise<Row> {
	try {
		const figures = Object.entries(await attack()).map(
			([name, value]): [string, number, string[]] =>
				Array.isArray(value) ? [name, value.length, value.map(String)] : [name, Number(value), []]
		);
		return {
			what,
			holds: figures.every(([name, figure]) => figure === 0 || !faults.includes(name)),
			says: figures.map(([name, figure]) => `${name} ${Math.round(figure)}`).join(', '),
			examples: figures.flatMap(([, , found]) => found.slice(0, mostExamples))
		};
	} catch (error) {
		return { what, holds: false, says: `broke off: ${String(error)}`, examples: [] };
	}
}

function onServer(what: string, attack: (address: string) => Promise<object>): Promise<Row> {
	return attacked(what, () =>
		inFolder(async (database) => {
			const server = new Server(database, 'start');
			await server.start();
			try {
				return await attack(server.address);
			} finally {
				await server.kill();
			}
		})
	);
}
