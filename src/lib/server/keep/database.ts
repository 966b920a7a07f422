import type { Holds } from '$lib/core/draw';
import { existsSync, mkdirSync, renameSync } from 'node:fs';
import { dirname } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { Kysely, Migrator, type ColumnType, type Migration } from 'kysely';
import { partOf, removePart } from './part-files';
import type { PhotographType } from './photograph-files';
import type { FontUse } from '../answer/fonts';
import { migrations } from './migrations';
import { FileDialect, openFile, type SqliteFile } from './sqlite';
import { DatabaseTrouble, troubleOf } from './trouble';

export interface NotebookTable {
	id: string;
	name: string;
	/** The measured book as JSON; checked with the notebook schema when read. */
	content: string;
	revision: number;
	created_at: string;
	deleted_at: string | null;
}

export interface MonthTable {
	id: string;
	notebook_id: string;
	/** "2027-05" */
	month: string;
	week_start: string;
	aim: string;
	/** Which sizes of things are tried; united where it is not said. */
	sizes: string | null;
	/** How titles are done; drawn where it is not said. */
	titles: string | null;
	/** Its colours as JSON; checked when read. */
	theme: string | null;
	/** Where wishes lay when a hand last moved something, as JSON; checked when read. */
	lately: string | null;
	/** What is drawn already as JSON; checked when read. */
	drawn: string | null;
	/** Cuts as JSON; checked when read. */
	cuts: string | null;
	revision: number;
	created_at: string;
	deleted_at: string | null;
}

export interface WishTable {
	month_id: string;
	id: string;
	position: number;
	kind: string;
	/** The wish as JSON; checked with the wish schema when read. */
	content: string;
}

export interface Tables {
	notebook: NotebookTable;
	month: MonthTable;
	wish: WishTable;
	own_kind: {
		id: string;
		name: string;
		content: string;
		created_at: string;
		deleted_at: string | null;
	};
	device: {
		id: string;
		name: string;
		token_hash: string;
		created_at: string;
	};
	month_set: {
		id: string;
		name: string;
		content: string;
		created_at: string;
		deleted_at: string | null;
	};
	own_font: {
		id: string;
		name: string;
		used_for: FontUse;
		/** Ranges of code points as JSON. */
		letters: string;
		/** Bytes in, as SQLite's library gives them out. */
		file: ColumnType<ArrayBuffer, Uint8Array>;
		created_at: string;
		deleted_at: string | null;
	};
	setting: { name: string; content: string };
	/** What a month was before it was changed, as JSON; checked when read. */
	month_past: { month_id: string; revision: number; left_at: string; content: string };
	/** How far a month is made, as JSON; checked when read. */
	month_making: { month_id: string; content: string };
	/** What was filled in; checked when it is written. */
	entry: { month_id: string; wish: string; about: string; holds: Holds; value: string };
	/** A photograph of a page; its file lies beside the database under its hash. */
	photograph: {
		id: string;
		month_id: string;
		page: number;
		hash: string;
		type: PhotographType;
		created_at: string;
		deleted_at: string | null;
	};
	printer: { id: string; name: string; across_mm: number; down_mm: number };
}

export type Db = Kysely<Tables>;

/** An open database: the file as queries see it, and the way to end it. */
export interface OpenDatabase {
	readonly db: Db;
	/** Copies everything into another file, whole or not at all. */
	readonly copyTo: (path: string) => Promise<void>;
	/** Puts everything into the one file and closes it, at once: it is called when the process ends. */
	readonly close: () => void;
}

/** What was written is in the one file itself this long after the write that was not. */
const quietMs = 1000;
/** While the program starts, it may wait for another one that starts on the same file. */
const patienceAtStartMs = 10_000;
/** A copy waits so long for the writes that are under way. */
const patienceToCopyMs = 10_000;
const copyPauseMs = 5;
/** A file of less steps than these was made by a Horarium; its first table is the notebooks'. */
const ownTable = 'kysely_migration';

/**
 * Opens the SQLite file (made when missing; ":memory:" for tests) and brings it to the newest version. A
 * write-ahead log loses nothing that was committed when the program is killed; soon after each write, and when
 * it is closed, the log is emptied into the file, so that a copy of the file alone holds everything.
 * @throws DatabaseTrouble with one sentence when the file cannot be used.
 */
export async function openDatabase(
	path: string,
	steps: Record<string, Migration> = migrations
): Promise<OpenDatabase> {
	try {
		return await opened(path, steps);
	} catch (error) {
		const trouble = troubleOf(error, `The database ${path}`);
		throw trouble ? new DatabaseTrouble(trouble.sentence) : error;
	}
}

async function opened(path: string, steps: Record<string, Migration>): Promise<OpenDatabase> {
	if (path !== ':memory:') makeFolder(dirname(path));
	const file = openFile(path);
	try {
		return await prepared(file, path, steps);
	} catch (error) {
		file.close();
		throw error;
	}
}

async function prepared(
	file: SqliteFile,
	path: string,
	steps: Record<string, Migration>
): Promise<OpenDatabase> {
	// First of all: everything after it may meet another program that is starting too.
	file.exec(`PRAGMA busy_timeout = ${patienceAtStartMs}`);
	file.exec('PRAGMA journal_mode = WAL');
	file.exec('PRAGMA synchronous = FULL');
	file.exec('PRAGMA foreign_keys = ON');
	// The library is built to hold in memory what a statement may have to undo: with a whole life brought in, gigabytes.
	file.exec('PRAGMA temp_store = FILE');
	checkFile(file, path);
	let timer: ReturnType<typeof globalThis.setTimeout> | undefined;
	const committed = () => {
		timer ??= globalThis
			.setTimeout(() => {
				timer = undefined;
				emptyLog(file);
			}, quietMs)
			.unref();
	};
	const db: Db = new Kysely<Tables>({ dialect: new FileDialect(file, committed) });
	await migrate(db, file, path, steps);
	// From now on other people's requests must not wait for a lock: writers try again by themselves.
	file.exec('PRAGMA busy_timeout = 0');
	let open = true;
	return {
		db,
		copyTo: async (copy) => {
			// SQLite copies no file in the middle of a transaction.
			for (const until = Date.now() + patienceToCopyMs; file.inTransaction;)
				if (Date.now() > until) throw new Error('the database was busy all the time');
				else await setTimeout(copyPauseMs);
			copyWhole(file, copy);
		},
		close: () => {
			if (!open) return;
			open = false;
			clearTimeout(timer);
			emptyLog(file);
			file.close();
		}
	};
}

function makeFolder(folder: string): void {
	try {
		mkdirSync(folder, { recursive: true });
	} catch {
		throw new DatabaseTrouble(
			`The folder ${folder} for the database cannot be made. Name another file with HORARIUM_DB.`
		);
	}
}

/** Moves the write-ahead log into the file, where nobody is in the way. */
function emptyLog(file: SqliteFile): void {
	try {
		file.exec('PRAGMA wal_checkpoint(TRUNCATE)');
	} catch {
		// What is in the log is kept all the same; the next quiet moment tries again.
	}
}

function checkFile(file: SqliteFile, path: string): void {
	const names = namesIn(file, "select name from sqlite_master where type = 'table'");
	if (names.length > 0 && !names.includes(ownTable))
		throw new DatabaseTrouble(
			`${path} is the database of another program. Name another file with HORARIUM_DB.`
		);
	const [verdict] = file.prepare<unknown[]>('PRAGMA quick_check(1)').all();
	if (JSON.stringify(verdict) !== JSON.stringify({ quick_check: 'ok' }))
		throw Object.assign(new Error('quick_check'), { code: 'SQLITE_CORRUPT' });
}

function namesIn(file: SqliteFile, query: string): string[] {
	return file
		.prepare<unknown[]>(query)
		.all()
		.flatMap((row) =>
			typeof row === 'object' && row !== null && 'name' in row ? [String(row.name)] : []
		);
}

/** Runs the missing steps in one transaction; one that fails leaves the file as it was. */
async function migrate(
	db: Db,
	file: SqliteFile,
	path: string,
	steps: Record<string, Migration>
): Promise<void> {
	const migrator = new Migrator({ db, provider: { getMigrations: async () => steps } });
	const done = namesIn(file, "select name from sqlite_master where type = 'table'").includes(
		ownTable
	)
		? namesIn(file, `select name from ${ownTable} order by name`)
		: [];
	const unknown = done.find((name) => !Object.hasOwn(steps, name));
	if (unknown !== undefined)
		throw new DatabaseTrouble(
			`${path} was written by a newer Horarium (step ${unknown}). Bring this one up to date, or name another file with HORARIUM_DB.`
		);
	const missing = Object.keys(steps).find((name) => !done.includes(name));
	if (done.length > 0 && missing !== undefined) copyAside(file, `${path}.before-${missing}`);
	const { error } = await migrator.migrateToLatest();
	if (error) throw error;
}

/** Copies the file as it stands, whole or not at all; what was copied before stays. */
function copyAside(file: SqliteFile, copy: string): void {
	if (copy.startsWith(':memory:') || existsSync(copy)) return;
	copyWhole(file, copy);
}

function copyWhole(file: SqliteFile, copy: string): void {
	const partial = partOf(copy);
	removePart(partial);
	try {
		file.prepare<unknown[]>('VACUUM INTO ?').run(partial);
		renameSync(partial, copy);
	} catch (error) {
		removePart(partial);
		throw error;
	}
}
