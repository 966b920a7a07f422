import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Store } from './store';

/** So many copies are kept; the oldest goes when a new one comes. */
export const mostCopies = 7;
const hourMs = 3_600_000;
const named = /^(\d{4}-\d{2}-\d{2})( before)?\.db$/;

/** A copy of the database that lies beside it. */
export interface Copy {
	readonly file: string;
	/** The day on which it was made. */
	readonly day: string;
	/** It was made before something was brought in. */
	readonly before: boolean;
	readonly bytes: number;
}

/** The file that everything is kept in. */
export function databasePath(): string {
	return process.env.HORARIUM_DB ?? 'data/horarium.db';
}

const folderOf = (database: string) => `${database}.copies`;

/** Copies of a database, the latest first. */
export function copiesOf(database: string): Copy[] {
	const folder = folderOf(database);
	if (database === ':memory:' || !existsSync(folder)) return [];
	return readdirSync(folder)
		.flatMap((file): Copy[] => {
			const found = named.exec(file);
			if (!found?.[1]) return [];
			const { size } = statSync(join(folder, file));
			return [{ file, day: found[1], before: found[2] !== undefined, bytes: size }];
		})
		.sort((a, b) => b.file.localeCompare(a.file));
}

/** The path of a copy by its name; undefined where there is none. */
export function copyPath(database: string, file: string): string | undefined {
	return copiesOf(database).some((copy) => copy.file === file)
		? join(folderOf(database), file)
		: undefined;
}

/**
 * Copies the database beside it as that of a day, or as it was before something was brought in, and lets the oldest go. What
 * is there of that day already is replaced only by a later state that was asked for.
 */
export async function copyAside(
	store: Pick<Store, 'copyTo'>,
	database: string,
	day: string,
	before = false
): Promise<void> {
	if (database === ':memory:') return;
	const folder = folderOf(database);
	mkdirSync(folder, { recursive: true });
	const path = join(folder, `${day}${before ? ' before' : ''}.db`);
	if (existsSync(path) && !before) return;
	await store.copyTo(path);
	const all = copiesOf(database);
	for (const { file } of all.slice(mostCopies)) rmSync(join(folder, file), { force: true });
}

/** The day on this machine's clock, such as 2027-05-03. */
export function today(date = new Date()): string {
	const two = (value: number) => String(value).padStart(2, '0');
	return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** Makes a copy a day for as long as the program runs, the first one at once; a copy that fails is tried an hour later. */
export function copyNightly(store: Pick<Store, 'copyTo'>, database: string): () => void {
	const copy = () => {
		void copyAside(store, database, today()).catch((error: unknown) =>
			console.error('The copy of the database could not be made:', error)
		);
	};
	copy();
	const timer = setInterval(copy, hourMs).unref();
	return () => clearInterval(timer);
}
