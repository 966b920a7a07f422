import { sql } from 'kysely';
import type { Db } from '../database';
import { shapeOf, type Cell, type Row, type TableName } from './tables';

/** So many rows are read at a time; of those that hold whole files one. */
const portion = 200;

/** Rows of a table in the order of its key, read in portions, so that a table may be larger than the memory. */
export async function* rowsOf(db: Db, table: TableName): AsyncGenerator<Row> {
	const { key, columns } = shapeOf(table);
	const names = Object.keys(columns);
	const holdsFiles = Object.values(columns).includes('bytes');
	const list = (columns: readonly string[]) => sql.join(columns.map((column) => sql.ref(column)));
	for (let last: Row | undefined; ;) {
		const after = last;
		const { rows } = await sql<Record<string, unknown>>`
			select ${list(names)} from ${sql.table(table)}
			${after ? sql`where (${list(key)}) > (${sql.join(key.map((column) => after[column]))})` : sql``}
			order by ${list(key)} limit ${holdsFiles ? 1 : portion}`.execute(db);
		for (const row of rows) {
			last = Object.fromEntries(names.map((column) => [column, cellOf(row[column])]));
			yield last;
		}
		if (rows.length === 0) return;
	}
}

/**
 * Puts rows into a table that is empty.
 * @throws what SQLite throws where a row breaks a rule of the table.
 */
export async function insertRows(db: Db, table: TableName, rows: readonly Row[]): Promise<void> {
	if (rows.length === 0) return;
	const names = Object.keys(shapeOf(table).columns);
	const values = rows.map((row) => sql`(${sql.join(names.map((column) => row[column] ?? null))})`);
	await sql`insert into ${sql.table(table)} (${sql.join(names.map((column) => sql.ref(column)))})
		values ${sql.join(values)}`.execute(db);
}

function cellOf(value: unknown): Cell {
	if (typeof value === 'string' || typeof value === 'number' || value === null) return value;
	if (value instanceof ArrayBuffer) return new Uint8Array(value);
	if (value instanceof Uint8Array) return value;
	throw new TypeError(`a cell holds ${typeof value}`);
}
