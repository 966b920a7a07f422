import { execFile, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { bin, ensureBuilt, ensureInstalled, run } from './lib.mjs';

/** @typedef {{ passed: number, failed: number }} Count */

ensureInstalled();
ensureChromium();

const results = 'test-results';
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

step('svelte-kit', ['@sveltejs/kit:svelte-kit', 'sync']);
/** @type {Count} */
const total = { passed: 0, failed: 0 };
// These wait for different things, so they run side by side.
const checks = [
	counted('types', ['svelte-check', '--tsconfig', './tsconfig.json', '--fail-on-warnings']),
	counted('lint', ['eslint', '.']),
	counted('format', ['prettier', '--check', '--log-level', 'warn', '.'])
];
process.env.HORARIUM_BUILD = ensureBuilt();
for (const check of checks) add(await check);
add(vitest());

console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed > 0 ? 1 : 0);

/** @param {Count} count */
function add({ passed, failed }) {
	total.passed += passed;
	total.failed += failed;
}

/**
 * Runs a program of a package; gives whether it succeeded.
 * @param {string} name
 * @param {string[]} command
 */
function step(name, [program = '', ...args]) {
	console.log(`\n— ${name}`);
	return spawnSync(process.execPath, [bin(program), ...args], { stdio: 'inherit' }).status === 0;
}

/**
 * A check that counts as one test; what it says is shown when it ends.
 * @param {string} name
 * @param {string[]} command
 * @returns {Promise<Count>}
 */
function counted(name, [program = '', ...args]) {
	return new Promise((resolve) => {
		execFile(
			process.execPath,
			[bin(program), ...args],
			{ maxBuffer: 64 * 1024 * 1024 },
			(error, stdout, stderr) => {
				console.log(`\n— ${name}\n${stdout}${stderr}`);
				resolve({ passed: error ? 0 : 1, failed: error ? 1 : 0 });
			}
		);
	});
}

/**
 * Unit tests, referees and browser tests; a run that breaks off counts as failed.
 * @returns {Count}
 */
function vitest() {
	const file = `${results}/vitest.json`;
	const ok = step('unit tests, referees, browser tests', [
		'vitest',
		'run',
		'--reporter=default',
		'--reporter=json',
		`--outputFile.json=${file}`
	]);
	if (!existsSync(file)) return { passed: 0, failed: 1 };
	const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(file, 'utf8'));
	return { passed: numPassedTests, failed: Math.max(numFailedTests, ok ? 0 : 1) };
}

/** Installs Debian's chromium where no browser is found. */
function ensureChromium() {
	if (existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium')) return;
	console.log('Installing chromium …');
	run('apt-get', ['update', '-qq']);
	run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
}
