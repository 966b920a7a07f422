import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Kysely, Migrator, SqliteDialect, type SqliteDatabase } from 'kysely';
import Database from 'libsql';
import { migrations } from './migrations';

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
	setting: { name: string; content: string };
	printer: { id: string; name: string; across_mm: number; down_mm: number };
}

export type Db = Kysely<Tables>;

/**
 * Opens the SQLite file (made when missing; ":memory:" for tests), with a write-ahead log, so that
 * a crash loses nothing that was committed, and foreign keys on.
 */
export function openDatabase(file: string): Db {
	if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
	const database = new Database(file);
	for (const pragma of [
		'journal_mode = WAL',
		'synchronous = FULL',
		'foreign_keys = ON',
		'busy_timeout = 5000'
	])
		database.exec(`PRAGMA ${pragma}`);
	return new Kysely<Tables>({ dialect: new SqliteDialect({ database: adapt(database) }) });
}

/** The library's statements take their parameters one by one; Kysely hands over a list. */
function adapt(database: Database.Database): SqliteDatabase {
	return {
		close: () => database.close(),
		prepare: (sql) => {
			const statement = database.prepare<unknown[]>(sql);
			return {
				reader: statement.reader,
				all: (parameters) => statement.all(...parameters),
				run: (parameters) => statement.run(...parameters),
				iterate: (parameters) => statement.iterate(...parameters)
			};
		}
	};
}

/** Brings the file to the newest version; throws when a step fails, which leaves the file as it was. */
export async function migrate(db: Db): Promise<void> {
	const migrator = new Migrator({ db, provider: { getMigrations: async () => migrations } });
	const { error } = await migrator.migrateToLatest();
	if (error) throw error;
}
