/** A trouble with the database that a person can do something about: the sentence says what. */
export class DatabaseTrouble extends Error {
	override readonly name = 'DatabaseTrouble';
}

/** What went wrong with the file, in words, and after how many seconds it is worth another try. */
export interface Trouble {
	readonly sentence: string;
	readonly retrySeconds: number;
}

const troubles: Readonly<Record<string, Trouble>> = {
	SQLITE_BUSY: {
		sentence: 'is locked by another program; nothing was changed. Close that program, or wait',
		retrySeconds: 2
	},
	SQLITE_FULL: {
		sentence: 'has no room to grow: the disk is full; nothing was changed. Make room on it',
		retrySeconds: 10
	},
	SQLITE_READONLY: {
		sentence: 'may not be written to; nothing was changed. Give yourself the right to write it',
		retrySeconds: 10
	},
	SQLITE_CANTOPEN: {
		sentence: 'cannot be opened. See that its folder is there and that you may write to it',
		retrySeconds: 10
	},
	SQLITE_IOERR: {
		sentence: 'cannot be read or written: the disk reports a fault. Check the disk',
		retrySeconds: 10
	},
	SQLITE_CORRUPT: {
		sentence: 'is damaged. Stop Horarium, and put a copy of the file in its place',
		retrySeconds: 60
	},
	SQLITE_NOTADB: {
		sentence: 'is not a database. Move it away, or name another file with HORARIUM_DB',
		retrySeconds: 60
	}
};

/** What is the matter with the file when SQLite reports an error; undefined for any other error. */
export function troubleOf(error: unknown, file = 'The database'): Trouble | undefined {
	const found = lookup(error);
	return found && { ...found, sentence: `${file} ${found.sentence}.` };
}

function lookup(error: unknown): Trouble | undefined {
	const code = codeOf(error);
	const name = Object.keys(troubles).find(
		(known) => code === known || code.startsWith(`${known}_`)
	);
	return name === undefined ? undefined : troubles[name];
}

/** Whether a file was locked by somebody else. */
export function isBusy(error: unknown): boolean {
	return codeOf(error).startsWith('SQLITE_BUSY');
}

/** SQLite's name of the error; the library gives none for files that it cannot open at all. */
function codeOf(error: unknown): string {
	if (!(error instanceof Error)) return '';
	if (error.message.includes('Unable to open connection')) return 'SQLITE_CANTOPEN';
	return 'code' in error && typeof error.code === 'string' ? error.code : '';
}
