import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
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

/**
 * Does some work unless it was done for the same files before; `stamp` remembers.
 * @param {string} stamp
 * @param {string[]} paths
 * @param {() => void} work
 */
function unlessDone(stamp, paths, work) {
	const now = fingerprint(paths);
	if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
	work();
	mkdirSync(dirname(stamp), { recursive: true });
	writeFileSync(stamp, now);
}

/** Installs the packages that the lock file names, unless they are there. */
export function ensureInstalled() {
	unlessDone('node_modules/.horarium-installed', ['package.json', 'package-lock.json'], () => {
		console.log('Installing packages …');
		run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund']);
	});
}

/** Builds the application, unless the build is of the present sources. */
export function ensureBuilt() {
	const sources = [
		'src',
		'static',
		'demo',
		'package.json',
		'package-lock.json',
		'svelte.config.js',
		'vite.config.ts'
	];
	unlessDone('build/.horarium-built', sources, () => {
		console.log('Building …');
		// Whoever calls may be a test runner or a development server, which leave their mark here.
		process.env.NODE_ENV = 'production';
		runBin('vite', ['build', '--logLevel', 'error']);
	});
}
