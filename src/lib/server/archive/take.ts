import { sql, type Kysely, type Transaction } from 'kysely';
import type { Db, Tables } from '../keep/database';
import type { Left } from './readable';
import { shapeOf, tables, type TableShape } from './tables';

/** How what is brought in stands to what is here, table by table. */
export interface Compared {
	readonly table: string;
	readonly added: number;
	readonly changed: number;
	readonly same: number;
}

/** What becomes of what is here: the file's rows are taken over it, only added to it, or put in its place. */
export const waysIn = ['merge', 'add', 'replace'] as const;

export type WayIn = (typeof waysIn)[number];

/** Name of the other database in queries, while it is there. */
const brought = 'brought';

/**
 * Works with another database beside the open one, in queries as `brought`. All of it runs on the one connection, so nobody
 * else's work comes in between.
 */
export function withBrought<T>(db: Db, path: string, work: (db: Db) => Promise<T>): Promise<T> {
	return db.connection().execute(async (connection) => {
		await sql`attach database ${path} as ${sql.ref(brought)}`.execute(connection);
		try {
			return await work(connection);
		} finally {
			await sql`detach database ${sql.ref(brought)}`.execute(connection);
		}
	});
}

const list = (columns: readonly string[], table?: string) =>
	sql.join(columns.map((column) => sql.ref(table ? `${table}.${column}` : column)));

const equal = (columns: readonly string[], one: string, other: string) =>
	sql.join(
		columns.map(
			(column) => sql`${sql.ref(`${one}.${column}`)} is ${sql.ref(`${other}.${column}`)}`
		),
		sql` and `
	);

/** Columns that say what a row holds: how often it was changed is no part of it. */
const contentOf = ({ columns }: TableShape) =>
	Object.keys(columns).filter((column) => column !== 'revision');

const here = (name: string) => sql.table(`main.${name}`);
const there = (name: string) => sql.table(`${brought}.${name}`);

/** How each table of the brought database stands to the one here. */
export async function compareBrought(db: Db): Promise<Compared[]> {
	const all: Compared[] = [];
	for (const shape of tables) {
		const { name, key } = shape;
		const { rows } = await sql<{ total: number; known: number; same: number }>`
			select (select count(*) from ${there(name)}) as total,
				(select count(*) from ${there(name)} as b join ${here(name)} as h
					on ${equal(key, 'b', 'h')}) as known,
				(select count(*) from ${there(name)} as b join ${here(name)} as h
					on ${equal(key, 'b', 'h')} where ${equal(contentOf(shape), 'b', 'h')}) as same`.execute(db);
		const { total = 0, known = 0, same = 0 } = rows[0] ?? {};
		all.push({ table: name, added: total - known, changed: known - same, same });
	}
	return all;
}

/**
 * Takes the brought database in; wishes of a month go together, as the month has them. What was left out of it (`left`) is not
 * taken from what is here either. A month or notebook that becomes another one gets a revision above both, so that a window that
 * shows the old one hears of it before it writes.
 */
export async function takeBrought(
	tx: Transaction<Tables>,
	way: WayIn,
	left: readonly Left[]
): Promise<void> {
	const changed = way === 'add' ? [] : await changedMonths(tx);
	if (way === 'replace') await clear(tx, left);
	if (way === 'merge')
		await sql`delete from ${here('wish')} where month_id in (select id from ${there('month')})`.execute(
			tx
		);
	const known = await tx.selectFrom('month').select('id').execute();
	for (const shape of tables)
		await write(tx, shape, way, way === 'add' ? known.map(({ id }) => id) : []);
	for (const { id, revision } of changed)
		await tx.updateTable('month').set({ revision }).where('id', '=', id).execute();
}

/** Months that become others, in themselves or in their wishes, and the revisions they get. */
async function changedMonths(db: Kysely<Tables>): Promise<{ id: string; revision: number }[]> {
	const wish = list(contentOf(shapeOf('wish')));
	const wishes = (one: typeof here, other: typeof here) => sql`exists (
		select ${wish} from ${one('wish')} where month_id = h.id
		except select ${wish} from ${other('wish')} where month_id = h.id)`;
	const { rows } = await sql<{ id: string; revision: number }>`
		select h.id as id, max(h.revision, b.revision) + 1 as revision
		from ${here('month')} as h join ${there('month')} as b on b.id = h.id
		where not (${equal(contentOf(shapeOf('month')), 'b', 'h')})
			or ${wishes(here, there)} or ${wishes(there, here)}`.execute(db);
	return rows;
}

/** Takes away what is not in the brought database, but for what could not be read of it. */
async function clear(tx: Transaction<Tables>, left: readonly Left[]): Promise<void> {
	for (const { name, key, columns } of tables.toReversed()) {
		const kept = left.flatMap(({ what, id }) => (what === name && id !== undefined ? [id] : []));
		const months = left.flatMap(({ what, id }) => (what === 'month' && id ? [id] : []));
		const ofKept = columns.month_id ? sql`month_id in (${idList(months)})` : sql`false`;
		const isKept =
			key.includes('id') && name !== 'wish' ? sql`id in (${idList(kept)})` : sql`false`;
		const stays = sql`${ofKept} or ${isKept}`;
		// Months and notebooks that come back keep what tells how often they were changed.
		const needed =
			name === 'month'
				? sql`id in (select id from ${there('month')})`
				: name === 'notebook'
					? sql`id in (select id from ${there('notebook')})
						or id in (select notebook_id from ${here('month')})`
					: sql`false`;
		await sql`delete from ${here(name)} where not (${stays}) and not (${needed})`.execute(tx);
	}
}

const idList = (ids: readonly string[]) =>
	ids.length === 0 ? sql`select null where false` : sql.join(ids);

async function write(
	tx: Transaction<Tables>,
	shape: TableShape,
	way: WayIn,
	months: readonly string[]
): Promise<void> {
	const { name, key, columns } = shape;
	const all = Object.keys(columns);
	const others = all.filter((column) => !key.includes(column));
	const sets = others.map((column) =>
		column === 'revision'
			? sql`revision = max(${sql.ref(`${name}.revision`)}, excluded.revision)
				+ ((${equal(contentOf(shape), name, 'excluded')}) is false)`
			: sql`${sql.ref(column)} = ${sql.ref(`excluded.${column}`)}`
	);
	const onConflict =
		way === 'add' || others.length === 0 ? sql`nothing` : sql`update set ${sql.join(sets)}`;
	const which =
		way === 'add' && name === 'wish' ? sql`month_id not in (${idList(months)})` : sql`true`;
	await sql`insert into ${here(name)} (${list(all)})
		select ${list(all)} from ${there(name)} where ${which}
		on conflict (${list(key)}) do ${onConflict}`.execute(tx);
}
