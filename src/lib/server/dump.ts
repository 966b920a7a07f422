import { sql, type Transaction } from 'kysely';
import type { Db, Tables } from './database';

/** What a column holds. */
type ColumnKind = 'text' | 'text or nothing' | 'number' | 'bytes';

/** A table: its columns, and which of them tell a row from all others. */
interface TableShape {
	readonly name: string;
	readonly key: readonly string[];
	readonly columns: Readonly<Record<string, ColumnKind>>;
}

const named = { id: 'text', name: 'text' } as const;
const dated = { created_at: 'text', deleted_at: 'text or nothing' } as const;

/** All tables, each after those that it refers to. */
export const tables: readonly TableShape[] = [
	{
		name: 'notebook',
		key: ['id'],
		columns: { ...named, content: 'text', revision: 'number', ...dated }
	},
	{
		name: 'month',
		key: ['id'],
		columns: {
			id: 'text',
			notebook_id: 'text',
			month: 'text',
			week_start: 'text',
			aim: 'text',
			titles: 'text or nothing',
			theme: 'text or nothing',
			lately: 'text or nothing',
			drawn: 'text or nothing',
			cuts: 'text or nothing',
			revision: 'number',
			...dated
		}
	},
	{
		name: 'wish',
		key: ['month_id', 'id'],
		columns: { month_id: 'text', id: 'text', position: 'number', kind: 'text', content: 'text' }
	},
	{
		name: 'month_past',
		key: ['month_id', 'revision'],
		columns: { month_id: 'text', revision: 'number', left_at: 'text', content: 'text' }
	},
	{ name: 'month_making', key: ['month_id'], columns: { month_id: 'text', content: 'text' } },
	{
		name: 'entry',
		key: ['month_id', 'wish', 'about'],
		columns: { month_id: 'text', wish: 'text', about: 'text', holds: 'text', value: 'text' }
	},
	{ name: 'month_set', key: ['id'], columns: { ...named, content: 'text', ...dated } },
	{ name: 'own_kind', key: ['id'], columns: { ...named, content: 'text', ...dated } },
	{
		name: 'own_font',
		key: ['id'],
		columns: { ...named, used_for: 'text', letters: 'text', file: 'bytes', ...dated }
	},
	{ name: 'setting', key: ['name'], columns: { name: 'text', content: 'text' } },
	{
		name: 'printer',
		key: ['id'],
		columns: { ...named, across_mm: 'number', down_mm: 'number' }
	}
];

export type Cell = string | number | null | Uint8Array;
export type Row = Readonly<Record<string, Cell>>;

/** Rows of all tables by their names, each table in the order of its keys. */
export type Dump = Readonly<Record<string, readonly Row[]>>;

/** Everything that is kept, as it stands. */
export async function dumpOf(db: Db): Promise<Dump> {
	const all: Record<string, readonly Row[]> = {};
	for (const { name, key, columns } of tables) {
		const names = Object.keys(columns);
		const { rows } = await sql<Record<string, unknown>>`
			select ${sql.join(names.map((column) => sql.ref(column)))} from ${sql.table(name)}
			order by ${sql.join(key.map((column) => sql.ref(column)))}`.execute(db);
		all[name] = rows.map((row) =>
			Object.fromEntries(names.map((column) => [column, cellOf(row[column])]))
		);
	}
	return all;
}

function cellOf(value: unknown): Cell {
	if (typeof value === 'string' || typeof value === 'number' || value === null) return value;
	if (value instanceof ArrayBuffer) return new Uint8Array(value);
	if (value instanceof Uint8Array) return value;
	throw new TypeError(`a cell holds ${typeof value}`);
}

/** What is wrong with a cell; nothing where it is as its column asks. */
export function cellFault(kind: ColumnKind, value: unknown): string | undefined {
	switch (kind) {
		case 'text':
			return typeof value === 'string' ? undefined : 'must be a text';
		case 'text or nothing':
			return typeof value === 'string' || value === null ? undefined : 'must be a text or null';
		case 'number':
			return typeof value === 'number' && Number.isFinite(value) ? undefined : 'must be a number';
		case 'bytes':
			return value instanceof Uint8Array ? undefined : 'must name a file of the archive';
	}
}

/** How what is brought in stands to what is here, table by table. */
export interface Compared {
	readonly table: string;
	readonly added: number;
	readonly changed: number;
	readonly same: number;
}

export function compared(here: Dump, brought: Dump): Compared[] {
	return tables.map(({ name, key }) => {
		const known = new Map((here[name] ?? []).map((row) => [keyOf(row, key), rowText(row)]));
		let [added, changed, same] = [0, 0, 0];
		for (const row of brought[name] ?? []) {
			const own = known.get(keyOf(row, key));
			if (own === undefined) added++;
			else if (own === rowText(row)) same++;
			else changed++;
		}
		return { table: name, added, changed, same };
	});
}

/** What becomes of what is here: the file's rows are taken over it, only added to it, or put in its place. */
export const waysIn = ['merge', 'add', 'replace'] as const;

export type WayIn = (typeof waysIn)[number];

/** Writes a dump; wishes of a month go together, as the month has them. */
export async function writeDump(
	tx: Transaction<Tables>,
	here: Dump,
	brought: Dump,
	way: WayIn
): Promise<void> {
	if (way === 'replace')
		for (const { name } of tables.toReversed())
			await sql`delete from ${sql.table(name)}`.execute(tx);
	const months = new Set((here.month ?? []).map(({ id }) => id));
	if (way === 'merge')
		for (const { id } of brought.month ?? [])
			await sql`delete from wish where month_id = ${id}`.execute(tx);
	for (const { name, key, columns } of tables)
		for (const row of brought[name] ?? []) {
			if (way === 'add' && name === 'wish' && months.has(row.month_id ?? null)) continue;
			await write(tx, name, key, Object.keys(columns), row, way);
		}
}

async function write(
	tx: Transaction<Tables>,
	table: string,
	key: readonly string[],
	columns: readonly string[],
	row: Row,
	way: WayIn
): Promise<void> {
	const ref = (column: string) => sql.ref(column);
	const others = columns.filter((column) => !key.includes(column));
	const onConflict =
		way === 'add' || others.length === 0
			? sql`nothing`
			: sql`update set ${sql.join(others.map((column) => sql`${ref(column)} = ${sql.ref(`excluded.${column}`)}`))}`;
	await sql`insert into ${sql.table(table)} (${sql.join(columns.map(ref))})
		values (${sql.join(columns.map((column) => row[column] ?? null))})
		on conflict (${sql.join(key.map(ref))}) do ${onConflict}`.execute(tx);
}

const keyOf = (row: Row, key: readonly string[]) =>
	JSON.stringify(key.map((column) => row[column]));

function rowText(row: Row): string {
	return JSON.stringify(row, (_, value: unknown) =>
		value instanceof Uint8Array ? Buffer.from(value).toString('base64') : value
	);
}
