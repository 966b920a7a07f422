import { copyFile } from 'node:fs/promises';
import { sql } from 'kysely';
import { openDatabase, type Db } from '../keep/database';
import { ArchiveFault, jsonRows } from './json-rows';
import { fontPath, format, headPath, tablePath, version } from './pack';
import { leaveUnreadable, type Left } from './readable';
import { inPortions, insertRows } from './rows';
import { cellFault, tables, type Cell, type Row, type TableShape } from './tables';
import { unpackPhotographs } from './unpack-photographs';
import { openZip, type OpenZip } from './zip-file';

/** The largest archive that is taken. */
export const mostFileBytes = 2 * 1024 ** 3;
/** The largest font in it, as for one that is added by hand. */
const mostFontBytes = 25 * 1024 * 1024;
const mostHeadBytes = 1024 * 1024;

const taken =
	/^(horarium\.json|tables\/[a-z_]+\.json|fonts\/[0-9a-f-]{1,40}|photographs\/[0-9a-f]{64})$/;

/**
 * Reads an archive that `packShelf` made, by this version or an earlier one, into a new database of its own. What cannot be
 * read of it is left out and named.
 * @throws ArchiveFault where the file is none of ours, of a newer Horarium, or damaged: then nothing of it can be trusted.
 */
export async function unpackShelf(file: string, into: string): Promise<readonly Left[]> {
	const zip = await openZip(file, (path) => taken.test(path));
	try {
		const counts = await countsIn(zip);
		const { db, close } = await openDatabase(into);
		try {
			// Rows come before those that they refer to; what refers to nothing is found afterwards.
			await sql`PRAGMA foreign_keys = OFF`.execute(db);
			// Nobody needs it after a power cut.
			await sql`PRAGMA synchronous = OFF`.execute(db);
			const left: Left[] = unknownTables(zip);
			for (const shape of tables) left.push(...(await unpackTable(zip, db, shape, counts)));
			left.push(...(await leaveUnreadable(db)));
			return [...left, ...(await unpackPhotographs(zip, db, into))];
		} finally {
			close();
		}
	} finally {
		zip.close();
	}
}

/**
 * Reads a copy of the database, of this version or an earlier one, into a new database of its own, in the same way.
 */
export async function readCopy(file: string, into: string): Promise<readonly Left[]> {
	await copyFile(file, into);
	const { db, close } = await openDatabase(into);
	try {
		await sql`PRAGMA foreign_keys = OFF`.execute(db);
		return await leaveUnreadable(db);
	} finally {
		close();
	}
}

/** How many rows the archive says that each of its tables has; archives before them did not say. */
async function countsIn(zip: OpenZip): Promise<Readonly<Record<string, unknown>> | undefined> {
	if (!zip.paths.includes(headPath))
		throw new ArchiveFault(headPath, 'is missing: this ZIP was not saved by Horarium');
	let head: unknown;
	try {
		head = JSON.parse(Buffer.from(await wholeOf(zip, headPath, mostHeadBytes)).toString('utf8'));
	} catch (error) {
		if (error instanceof ArchiveFault) throw error;
		throw new ArchiveFault(headPath, 'is no JSON');
	}
	if (!isRecord(head) || head.format !== format)
		throw new ArchiveFault(headPath, 'is not what Horarium writes: this ZIP is of another program');
	if (typeof head.version !== 'number' || head.version > version)
		throw new ArchiveFault(headPath, 'is of a newer Horarium: bring this one up to date');
	return isRecord(head.rows) ? head.rows : undefined;
}

function unknownTables(zip: OpenZip): Left[] {
	const known: string[] = tables.map(({ name }) => tablePath(name));
	return zip.paths
		.filter((path) => path.startsWith('tables/') && !known.includes(path))
		.map((path) => ({
			what: path,
			name: '',
			reason: 'is a table that this Horarium does not know'
		}));
}

async function unpackTable(
	zip: OpenZip,
	db: Db,
	shape: TableShape,
	counts: Readonly<Record<string, unknown>> | undefined
): Promise<Left[]> {
	const { name, always } = shape;
	const path = tablePath(name);
	const told = counts?.[name];
	if (!zip.paths.includes(path)) {
		if (always || (told !== undefined && told !== 0)) throw new ArchiveFault(path, 'is missing');
		return [];
	}
	const left: Left[] = [];
	let at = 0;
	const readable = async function* () {
		for await (const row of jsonRows(zip.bytes(path), path)) {
			const read = await rowOf(row, `${path}[${at++}]`, shape, zip);
			if (read.ok) yield read.row;
			else left.push(read.left);
		}
	};
	for await (const rows of inPortions(readable()))
		await db
			.transaction()
			.execute((tx) => insertRows(tx, name, rows))
			.catch((error: unknown) => {
				if (String(error).includes('UNIQUE')) throw new ArchiveFault(path, 'holds a row twice');
				throw error;
			});
	if (told !== undefined && told !== at)
		throw new ArchiveFault(path, `has ${at} rows in place of ${String(told)}`);
	return left;
}

type ReadRow =
	{ readonly ok: true; readonly row: Row } | { readonly ok: false; readonly left: Left };

/** A row as its table has it; an archive that is older than a column knows nothing of it. */
async function rowOf(
	row: unknown,
	path: string,
	{ name, columns }: TableShape,
	zip: OpenZip
): Promise<ReadRow> {
	if (!isRecord(row))
		return { ok: false, left: { what: name, name: path, reason: 'must be a row' } };
	const cells: Record<string, Cell> = {};
	const says = (reason: string): ReadRow => ({
		ok: false,
		left: {
			what: name,
			...(typeof row.id === 'string' ? { id: row.id } : {}),
			name: String(row.name ?? row.month ?? path).slice(0, 100),
			reason
		}
	});
	for (const [column, kind] of Object.entries(columns)) {
		const written = row[column];
		let value: unknown = written === undefined && kind === 'text or nothing' ? null : written;
		if (kind === 'bytes') {
			const file = fontPath(String(row.id));
			if (written !== file || !zip.paths.includes(file))
				return says(`${path}.${column} must name a file of the archive`);
			value = await wholeOf(zip, file, mostFontBytes);
		}
		const fault = cellFault(kind, value);
		if (fault) return says(`${path}.${column} ${fault}`);
		if (isCell(value)) cells[column] = value;
	}
	return { ok: true, row: cells };
}

async function wholeOf(zip: OpenZip, path: string, most: number): Promise<Uint8Array> {
	const chunks: Uint8Array[] = [];
	let sum = 0;
	for await (const chunk of zip.bytes(path)) {
		sum += chunk.length;
		if (sum > most) throw new ArchiveFault(path, `has more than ${most} bytes`);
		chunks.push(chunk);
	}
	return Buffer.concat(chunks);
}

function isRecord(value: unknown): value is Record<string, unknown> {
	return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isCell(value: unknown): value is Cell {
	return (
		typeof value === 'string' ||
		typeof value === 'number' ||
		value === null ||
		value instanceof Uint8Array
	);
}
