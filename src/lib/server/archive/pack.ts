import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { PassThrough, Readable } from 'node:stream';
import { sql } from 'kysely';
import { ZipFile } from 'yazl';
import { jsonSchema, planSchema } from '$lib/core/formats';
import { holdings } from '$lib/core/draw';
import { toCsv, type Entry } from '$lib/core/records';
import { parseMonth } from '$lib/core/month';
import type { Db } from '../keep/database';
import { rowsOf } from './rows';
import { shapeOf, tables, type Cell, type Row, type TableName } from './tables';

/** Everything that is kept in one file: a ZIP of this version. It goes up with every change of `tables`. */
export const version = 3;
export const format = 'horarium/shelf';

/** ZIP knows no earlier time; with one that never changes the same content gives the same bytes. */
const options = { mtime: new Date(1980, 0, 1), mode: 0o100644, forceDosTimestamp: true };

const pieceLength = 64 * 1024;

export const headPath = 'horarium.json';
export const fontPath = (id: string) => `fonts/${id}`;
export const photographPath = (hash: string) => `photographs/${hash}`;
export const tablePath = (name: TableName) => `tables/${name}.json`;

/** A file of an archive, by its path in it. */
export interface DrawnFile {
	readonly path: string;
	readonly bytes: Uint8Array;
}

/**
 * Everything that is kept as the bytes of a ZIP: tables as JSON, fonts as they are, records as CSV for other programs, what
 * was drawn of the months, and the photographs that lie in a folder. It is read from the database as the bytes are taken, so the database must not change meanwhile.
 */
export function packShelf(
	db: Db,
	photographs: string,
	drawn: AsyncIterable<DrawnFile> = none()
): Readable {
	const zip = new ZipFile();
	const packed = new PassThrough();
	zip.outputStream.pipe(packed);
	const fail = (error: unknown) =>
		packed.destroy(error instanceof Error ? error : new Error(String(error)));
	zip.on('error', fail);
	void (async () => {
		const add = (path: string, bytes: () => AsyncIterable<string | Uint8Array>) =>
			zip.addReadStreamLazy(path, options, (take) =>
				take(null, Readable.from(bytes(), { objectMode: false }).on('error', fail))
			);
		zip.addBuffer(json({ format, version, rows: await counts(db) }), headPath, options);
		zip.addBuffer(
			json(jsonSchema(planSchema, 'urn:horarium:plan:1', 'Horarium plan document')),
			'schemas/plan.schema.json',
			options
		);
		for (const { name } of tables) add(tablePath(name), () => tableText(db, name));
		for (const { id } of await db.selectFrom('own_font').select('id').orderBy('id').execute())
			add(fontPath(id), () => fontBytes(db, id));
		for (const [path, monthId, wish] of await recordFiles(db))
			add(path, () => recordText(db, monthId, wish));
		for (const hash of await hashesOf(db)) {
			const file = join(photographs, hash);
			if (existsSync(file))
				zip.addFile(file, photographPath(hash), { ...options, compress: false });
		}
		for await (const { path, bytes } of drawn) zip.addBuffer(Buffer.from(bytes), path, options);
		zip.end();
	})().catch(fail);
	return packed;
}

async function* none(): AsyncGenerator<DrawnFile> {}

const json = (value: unknown) => Buffer.from(`${JSON.stringify(value, null, '\t')}\n`);

/** How many rows each table has: what is missing from a damaged file is noticed by it. */
async function counts(db: Db): Promise<Record<string, number>> {
	const all: Record<string, number> = {};
	for (const { name } of tables) {
		const { rows } = await sql<{ count: number }>`
			select count(*) as count from ${sql.table(name)}`.execute(db);
		all[name] = Number(rows[0]?.count ?? 0);
	}
	return all;
}

/** The rows of a table as a JSON list, a line each, in pieces that are worth packing. */
async function* tableText(db: Db, name: TableName): AsyncGenerator<string> {
	let [before, text] = ['[\n', ''];
	for await (const row of rowsOf(db, name)) {
		text += `${before}${JSON.stringify(withoutBytes(row, name))}`;
		before = ',\n';
		if (text.length < pieceLength) continue;
		yield text;
		text = '';
	}
	yield `${text}${before === '[\n' ? '[]\n' : '\n]\n'}`;
}

function withoutBytes(row: Row, table: TableName): Record<string, Cell> {
	const { columns } = shapeOf(table);
	return Object.fromEntries(
		Object.entries(row).map(([column, value]) => [
			column,
			columns[column] === 'bytes' ? fontPath(String(row.id)) : value
		])
	);
}

async function hashesOf(db: Db): Promise<string[]> {
	const rows = await db
		.selectFrom('photograph')
		.select('hash')
		.distinct()
		.orderBy('hash')
		.execute();
	return rows.map(({ hash }) => hash);
}

async function* fontBytes(db: Db, id: string): AsyncGenerator<Uint8Array> {
	const row = await db
		.selectFrom('own_font')
		.select('file')
		.where('id', '=', id)
		.executeTakeFirst();
	if (row) yield new Uint8Array(row.file);
}

/** What was filled in, a file a month and thing: “records/2027-04 spending.csv”, with the month's id and the wish. */
async function recordFiles(db: Db): Promise<[string, string, string][]> {
	const rows = await db
		.selectFrom('entry')
		.innerJoin('month', 'month.id', 'entry.month_id')
		.select(['month_id', 'wish', 'month'])
		.distinct()
		.orderBy('month_id')
		.orderBy('wish')
		.execute();
	const used = new Map<string, number>();
	return rows.flatMap(({ month_id, wish, month }): [string, string, string][] => {
		if (!parseMonth(month)) return [];
		const name = `${month} ${wish.replace(/[^\p{L}\p{N}-]+/gu, '-')}`;
		const count = (used.get(name) ?? 0) + 1;
		used.set(name, count);
		return [[`records/${name}${count > 1 ? ` ${count}` : ''}.csv`, month_id, wish]];
	});
}

async function* recordText(db: Db, monthId: string, wish: string): AsyncGenerator<string> {
	const rows = await db
		.selectFrom('entry')
		.select(['wish', 'about', 'holds', 'value'])
		.where('month_id', '=', monthId)
		.where('wish', '=', wish)
		.orderBy('about')
		.execute();
	yield toCsv(rows.filter((entry): entry is Entry => holdings.includes(entry.holds)));
}
