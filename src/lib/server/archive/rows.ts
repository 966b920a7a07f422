import { sql } from 'kysely';
import type { Db } from '../keep/database';
import { shapeOf, type Cell, type Row, type TableName } from './tables';

/** So many rows are read or written at a time at most, and of long ones fewer: as many as have so many characters. */
const portion = { rows: 200, characters: 512 * 1024 };

/** Rows of a table in the order of its key, read in portions, so that a table may be larger than the memory. */
export async function* rowsOf(db: Db, table: TableName): AsyncGenerator<Row> {
	const { key, columns } = shapeOf(table);
	const names = Object.keys(columns);
	const list = (columns: readonly string[]) => sql.join(columns.map((column) => sql.ref(column)));
	let [count, characters] = [0, 0];
	for (let last: Row | undefined; ;) {
		const after = last;
		const most = Math.floor(portion.characters / (characters / count || portion.characters));
		const { rows } = await sql<Record<string, unknown>>`
			select ${list(names)} from ${sql.table(table)}
			${after ? sql`where (${list(key)}) > (${sql.join(key.map((column) => after[column]))})` : sql``}
			order by ${list(key)} limit ${Math.min(portion.rows, Math.max(1, most))}`.execute(db);
		for (const row of rows) {
			last = Object.fromEntries(names.map((column) => [column, cellOf(row[column])]));
			count++;
			characters += sizeOf(last);
			yield last;
		}
		if (rows.length === 0) return;
	}
}

/** Rows in portions that are worth writing at once. */
export async function* inPortions(rows: AsyncIterable<Row>): AsyncGenerator<readonly Row[]> {
	let [waiting, characters]: [Row[], number] = [[], 0];
	for await (const row of rows) {
		waiting.push(row);
		characters += sizeOf(row);
		if (waiting.length < portion.rows && characters < portion.characters) continue;
		yield waiting;
		[waiting, characters] = [[], 0];
	}
	if (waiting.length > 0) yield waiting;
}

/** How much room a row takes, roughly: characters and bytes. */
function sizeOf(row: Row): number {
	return Object.values(row).reduce<number>(
		(sum, cell) => sum + (typeof cell === 'string' || cell instanceof Uint8Array ? cell.length : 8),
		0
	);
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
