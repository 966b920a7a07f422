import { execFile, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureChromium } from './chromium.mjs';
import { bin, ensureBuilt, ensureInstalled } from './lib.mjs';

/** Checks use much code a little: they are quicker where less of it is compiled well. */
const lazily = ['--interrupt-budget=500000', '--max-semi-space-size=64'];

/** @typedef {{ passed: number, failed: number, faults: string[] }} Count */
/** @typedef {{ status: string, fullName: string, failureMessages: string[] }} Test */
/** @typedef {{ name: string, message: string, assertionResults: Test[] }} TestFile */
/** @typedef {{ numPassedTests: number, numFailedTests: number, testResults: TestFile[] }} Report */

ensureInstalled();
ensureChromium();

const results = 'test-results';
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

step('svelte-kit', ['@sveltejs/kit:svelte-kit', 'sync']);
/** @type {Count} */
const total = { passed: 0, failed: 0, faults: [] };
// These wait for different things, so they run side by side.
const checks = [
	counted('types', [
		'svelte-check',
		'--tsgo',
		'--tsconfig',
		'./tsconfig.json',
		'--fail-on-warnings'
	]),
	counted('lint', ['eslint', '.']),
	counted('promises', ['scripts/promises.mjs']),
	counted('format', ['prettier', '--check', '--log-level', 'warn', '.'])
];
process.env.HORARIUM_BUILD = ensureBuilt();
const parts = 4;
const browser = Array.from(
	{ length: parts },
	(_, part) => () => vitest(`browser tests, part ${part + 1}`, ['browser'], `${part + 1}/${parts}`)
);
// Browser tests want a core and a half, so one part of them runs beside all others, and two only in the end.
const left = [() => vitest('unit tests, referees', ['unit', 'oracles']), ...browser];
const tests = [inTurn(left), inTurn(left)];
for (const check of checks) add(await check);
for (const counts of tests) for (const count of await counts) add(count);

// Whoever sees only the end of a long log is to see what failed, too.
for (const fault of total.faults) console.log(`\n✗ ${fault}`);
console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed > 0 ? 1 : 0);

/** @param {Count} count */
function add({ passed, failed, faults }) {
	total.passed += passed;
	total.failed += failed;
	total.faults.push(...faults);
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
 * A check that counts as one test, by a package's program or a script of ours; what it says is shown when it ends.
 * @param {string} name
 * @param {string[]} command
 * @returns {Promise<Count>}
 */
function counted(name, [program = '', ...args]) {
	return new Promise((resolve) => {
		execFile(
			process.execPath,
			[...lazily, program.endsWith('.mjs') ? program : bin(program), ...args],
			{ maxBuffer: 64 * 1024 * 1024 },
			(error, stdout, stderr) => {
				console.log(`\n— ${name}\n${stdout}${stderr}`);
				resolve({
					passed: error ? 0 : 1,
					failed: error ? 1 : 0,
					faults: error ? [`${name}\n${shortly(stdout + stderr)}`] : []
				});
			}
		);
	});
}

/**
 * One after another, as long as any are left that nobody else has taken.
 * @param {(() => Promise<Count>)[]} left
 * @returns {Promise<Count[]>}
 */
async function inTurn(left) {
	/** @type {Count[]} */
	const counts = [];
	for (let step = left.shift(); step; step = left.shift()) counts.push(await step());
	return counts;
}

/**
 * Tests of some projects, or a part of them such as 1/3, one file at a time; a run that breaks off counts as failed. What
 * it says is shown as it goes.
 * @param {string} name
 * @param {string[]} projects
 * @param {string} [part]
 * @returns {Promise<Count>}
 */
function vitest(name, projects, part) {
	const file = `${results}/${[...projects, ...(part ? [part.replace('/', '-of-')] : [])].join('-')}.json`;
	const child = spawn(
		process.execPath,
		[
			bin('vitest'),
			'run',
			...projects.map((project) => `--project=${project}`),
			'--maxWorkers=1',
			...(part ? [`--shard=${part}`] : []),
			'--reporter=default',
			'--reporter=json',
			`--outputFile.json=${file}`
		],
		{ stdio: 'inherit' }
	);
	return new Promise((resolve) => {
		child.on('close', (status) => {
			console.log(`\n— ${name}: ${status === 0 ? 'passed' : 'failed'}`);
			const faults = status === 0 ? [] : [`${name}: ended with ${status}`];
			if (!existsSync(file)) return resolve({ passed: 0, failed: 1, faults });
			/** @type {Report} */
			const report = JSON.parse(readFileSync(file, 'utf8'));
			for (const { name, message, assertionResults } of report.testResults) {
				if (message) faults.push(`${name}\n${shortly(message)}`);
				for (const test of assertionResults)
					if (test.status === 'failed')
						faults.push(`${name}: ${test.fullName}\n${shortly(test.failureMessages.join('\n'))}`);
			}
			const failed = Math.max(report.numFailedTests, status === 0 ? 0 : 1);
			resolve({ passed: report.numPassedTests, failed, faults });
		});
	});
}

/**
 * The beginning of a text, where most of what is wrong is told.
 * @param {string} text
 */
function shortly(text) {
	return text.trim().split('\n').slice(0, 30).join('\n');
}
