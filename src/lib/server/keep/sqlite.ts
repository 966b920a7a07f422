import {
	SqliteAdapter,
	SqliteDialect,
	SqliteDriver,
	type Driver,
	type DialectAdapter,
	type SqliteDatabase
} from 'kysely';
import Database from 'libsql';

/** An open database file, as the library gives it. */
export type SqliteFile = Database.Database;

/** Opens a file (made when missing; ":memory:" for tests). */
export function openFile(file: string): SqliteFile {
	return new Database(file);
}

/**
 * Kysely's dialect over one open file. Transactions begin as writers, so two of them never find out halfway
 * that both want to write, and changes of tables belong to them, as SQLite allows. `committed` is called after
 * each one.
 */
export class FileDialect extends SqliteDialect {
	constructor(
		private readonly file: SqliteFile,
		private readonly committed: () => void
	) {
		super({ database: adapt(file) });
	}

	override createDriver(): Driver {
		return new FileDriver(this.file, this.committed);
	}

	override createAdapter(): DialectAdapter {
		return new FileAdapter();
	}
}

class FileAdapter extends SqliteAdapter {
	override get supportsTransactionalDdl(): boolean {
		return true;
	}
}

/**
 * Begins and ends transactions outside prepared statements: one that fails (because the file is locked) stays
 * open until it is collected as garbage, and SQLite commits nothing meanwhile.
 */
class FileDriver extends SqliteDriver {
	constructor(
		private readonly file: SqliteFile,
		private readonly committed: () => void
	) {
		super({ database: adapt(file) });
	}

	override async beginTransaction(): Promise<void> {
		this.file.exec('begin immediate');
	}

	override async commitTransaction(): Promise<void> {
		this.file.exec('commit');
		this.committed();
	}

	override async rollbackTransaction(): Promise<void> {
		// A full disk ends a transaction by itself.
		if (this.file.inTransaction) this.file.exec('rollback');
	}
}

/** The library's statements take their parameters one by one; Kysely hands over a list. */
function adapt(file: SqliteFile): SqliteDatabase {
	return {
		close: () => file.close(),
		prepare: (sql) => {
			const statement = file.prepare<unknown[]>(sql);
			return {
				reader: statement.reader,
				all: (parameters) => statement.all(...parameters),
				run: (parameters) => statement.run(...parameters),
				iterate: (parameters) => statement.iterate(...parameters)
			};
		}
	};
}
