import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
	existsSync,
	readFileSync,
	readdirSync,
	renameSync,
	rmSync,
	statSync,
	writeFileSync
} from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
process.chdir(root);

/**
 * Runs a command with its output shown; ends this program when it fails.
 * @param {string} command
 * @param {string[]} args
 */
export function run(command, args) {
	const { status, error } = spawnSync(command, args, { stdio: 'inherit' });
	if (error) throw error;
	if (status !== 0) process.exit(status ?? 1);
}

/**
 * Runs a program of an installed package.
 * @param {string} name
 * @param {string[]} args
 */
export function runBin(name, args) {
	run(process.execPath, [bin(name), ...args]);
}

/**
 * The file of an installed package's program.
 * @param {string} name
 */
export function bin(name) {
	const [folder = name, program = name] = name.split(':');
	const manifest = JSON.parse(
		readFileSync(join(root, 'node_modules', folder, 'package.json'), 'utf8')
	);
	const file = typeof manifest.bin === 'string' ? manifest.bin : manifest.bin[program];
	return join(root, 'node_modules', folder, file);
}

/**
 * Fingerprint of files and folders by their contents.
 * @param {string[]} paths
 */
function fingerprint(paths) {
	const hash = createHash('sha256');
	/** @param {string} path */
	const add = (path) => {
		if (!existsSync(path)) return;
		if (statSync(path).isDirectory())
			for (const name of readdirSync(path).sort()) add(join(path, name));
		else hash.update(path).update(readFileSync(path));
	};
	paths.forEach(add);
	return hash.digest('hex');
}

const lock = 'node_modules.lock';
const pollMs = 200;

/**
 * Does some work while no other start from this folder does any: two of them would build into the same files.
 * @template T
 * @param {() => T} work
 * @returns {T}
 */
function alone(work) {
	let told = false;
	while (!locked()) {
		if (!told) console.log('Waiting for another start from this folder …');
		told = true;
		Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, pollMs);
	}
	const unlock = () => rmSync(lock, { force: true });
	process.once('exit', unlock);
	try {
		return work();
	} finally {
		process.off('exit', unlock);
		unlock();
	}
}

/** Takes the lock; one whose owner is no longer there is taken over. */
function locked() {
	try {
		writeFileSync(lock, String(process.pid), { flag: 'wx' });
		return true;
	} catch (error) {
		if (!(error instanceof Error) || !('code' in error) || error.code !== 'EEXIST') throw error;
	}
	try {
		const owner = Number(readFileSync(lock, 'utf8'));
		if (owner > 0 && alive(owner)) return false;
		// An owner that has not written its number yet is given a moment.
		if (owner === 0 && Date.now() - statSync(lock).mtimeMs < 1000) return false;
		rmSync(lock, { force: true });
	} catch {
		// Gone meanwhile.
	}
	return false;
}

/** @param {number} pid */
function alive(pid) {
	try {
		process.kill(pid, 0);
		return true;
	} catch (error) {
		return error instanceof Error && 'code' in error && error.code === 'EPERM';
	}
}

/** Installs the packages that the lock file names, unless they are there. */
export function ensureInstalled() {
	const stamp = 'node_modules/.horarium-installed';
	const now = fingerprint(['package.json', 'package-lock.json']);
	const done = () => existsSync(stamp) && readFileSync(stamp, 'utf8') === now;
	if (done()) return;
	alone(() => {
		if (done()) return;
		console.log('Installing packages …');
		run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund']);
		writeFileSync(stamp, now);
	});
}

/** So many builds are kept: a program that still runs loads parts of its own one. */
const mostBuilds = 3;

/**
 * Builds the application, unless there is a build of the present sources.
 * @returns {string} its folder
 */
export function ensureBuilt() {
	// Tests start the application many times; all of these are of the sources that the tests began with.
	if (process.env.HORARIUM_BUILD) return process.env.HORARIUM_BUILD;
	const sources = [
		'src',
		'static',
		'demo',
		'package.json',
		'package-lock.json',
		'svelte.config.js',
		'vite.config.ts',
		'vite.worker.config.ts'
	];
	const folder = join(root, 'build', fingerprint(sources).slice(0, 16));
	if (existsSync(folder)) return folder;
	alone(() => {
		if (existsSync(folder)) return;
		console.log('Building …');
		// Whoever calls may be a test runner or a development server, which leave their mark here.
		process.env.NODE_ENV = 'production';
		const partial = `${folder}.partial`;
		rmSync(partial, { recursive: true, force: true });
		process.env.HORARIUM_OUT = partial;
		runBin('vite', ['build', '--logLevel', 'error']);
		runBin('vite', ['build', '--config', 'vite.worker.config.ts', '--logLevel', 'error']);
		renameSync(partial, folder);
		const builds = readdirSync('build')
			.map((name) => join('build', name))
			.sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs);
		for (const old of builds.slice(mostBuilds)) rmSync(old, { recursive: true, force: true });
	});
	return folder;
}
