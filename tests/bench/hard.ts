import { spawnSync } from 'node:child_process';
import { inFolder, killsAtFirstStart, killsDuringSaves, Server, startsAtOnce } from '../hard/kills';
import { killsDuringRestores } from '../hard/restores';
import { hostileImports, oddRequests } from '../hard/requests';

/** Attacks in full: what `npm test` does a little of. Prints what was lost, broken, or too slow. */
export async function benchHard(): Promise<void> {
	const tests = spawnSync(
		'npx',
		['vitest', 'run', '--project=unit', '--project=oracles', '--reporter=dot'],
		{ stdio: 'inherit', env: { ...process.env, HORARIUM_HARD: '1' } }
	);
	console.log(`all random cases${' '.repeat(16)} ${tests.status === 0 ? 'hold' : 'do not hold'}`);
	print('100 kills during saves', await killsDuringSaves(100));
	print('100 kills during restores', await killsDuringRestores(100));
	print('60 kills in the first start', await killsAtFirstStart(60));
	print('15 pairs of starts at once', await startsAtOnce(15));
	await inFolder(async (database) => {
		const server = new Server(database, 'start');
		await server.start();
		print('10,000 odd requests', await oddRequests(server.address, 10_000));
		print('400 hostile imports', await hostileImports(server.address, 400));
		await server.kill();
	});
}

function print(what: string, result: object): void {
	const shown = Object.entries(result).map(([name, value]) =>
		Array.isArray(value) ? `${name} ${value.length}` : `${name} ${Math.round(Number(value))}`
	);
	console.log(`${what.padEnd(32)} ${shown.join(', ')}`);
	for (const value of Object.values(result))
		if (Array.isArray(value)) for (const example of value.slice(0, 5)) console.log(`  ${example}`);
}
