import { createHash } from 'node:crypto';
import {
	existsSync,
	mkdirSync,
	readdirSync,
	renameSync,
	rmSync,
	statSync,
	utimesSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { partOf } from './part-files';

/** Pictures that browsers show, and telephones take. */
export const photographTypes = ['image/jpeg', 'image/png', 'image/webp'] as const;

export type PhotographType = (typeof photographTypes)[number];

/** A photograph of a telephone of some years; larger ones are refused. */
export const mostPhotographBytes = 30 * 1024 * 1024;

/** A picture that lies in the folder. */
export interface PhotographFile {
	/** SHA-256 of its bytes, which is its name. */
	readonly hash: string;
	readonly type: PhotographType;
}

/** The folder of a database's photographs: beside it, so that its copies stay small. */
export function photographsBeside(database: string): string {
	return database === ':memory:'
		? join(tmpdir(), `horarium.${process.pid}.photographs`)
		: `${database}.photographs`;
}

/** Writes a picture under its hash, whole or not at all; undefined where the bytes are no picture. */
export function keepPhotograph(folder: string, bytes: Uint8Array): PhotographFile | undefined {
	const type = typeOf(bytes);
	if (!type) return undefined;
	const hash = createHash('sha256').update(bytes).digest('hex');
	const path = join(folder, hash);
	if (existsSync(path)) return { hash, type };
	mkdirSync(folder, { recursive: true });
	const part = partOf(path);
	try {
		writeFileSync(part, bytes, { flush: true });
		renameSync(part, path);
	} catch (error) {
		rmSync(part, { force: true });
		throw error;
	}
	return { hash, type };
}

/**
 * Puts what lies in one folder into another one. All that lies there then counts as new: what a change makes needless is needed
 * again by whoever goes back to the copy before it.
 */
export function movePhotographs(from: string, to: string, now = new Date()): void {
	if (existsSync(from)) {
		mkdirSync(to, { recursive: true });
		for (const file of readdirSync(from)) renameSync(join(from, file), join(to, file));
	}
	if (existsSync(to)) for (const file of readdirSync(to)) utimesSync(join(to, file), now, now);
}

/** Takes away what has lain in the folder since before a moment and is not needed. */
export function clearPhotographs(folder: string, needed: ReadonlySet<string>, before: Date): void {
	if (!existsSync(folder)) return;
	for (const file of readdirSync(folder)) {
		if (!/^[0-9a-f]{64}$/.test(file) || needed.has(file)) continue;
		const path = join(folder, file);
		if (statSync(path).mtime < before) rmSync(path, { force: true });
	}
}

/** By the first bytes, as the formats have them (JPEG: FF D8 FF; PNG: its signature; WebP: RIFF … WEBP). */
function typeOf(bytes: Uint8Array): PhotographType | undefined {
	const text = Buffer.from(bytes.subarray(0, 12)).toString('latin1');
	if (text.startsWith('\xff\xd8\xff')) return 'image/jpeg';
	if (text.startsWith('\x89PNG\r\n\x1a\n')) return 'image/png';
	if (text.startsWith('RIFF') && text.endsWith('WEBP')) return 'image/webp';
	return undefined;
}
