import { sql } from 'kysely';
import { changesSchema, checked } from '$lib/core/formats';
import type { Db } from '../keep/database';
import { reasonOf, type SetAside } from '../keep/kept';
import { MonthSets } from '../stores/month-sets';
import { Months } from '../stores/months';
import { Notebooks } from '../stores/notebooks';
import { OwnKinds } from '../stores/own-kinds';
import { checkFont } from './font-check';
import { inPortions, rowsOf } from './rows';
import type { Row, TableName } from './tables';

/** Something of an archive or a copy that cannot be read here, and so is left out. */
export interface Left {
	/** Table, or part of the archive, that it stands in. */
	readonly what: string;
	/** Its id, where it has one: what is here under it stays. */
	readonly id?: string;
	/** What it is called, as far as that can be told. */
	readonly name: string;
	readonly reason: string;
}

const tableOf: Readonly<Record<SetAside['what'], TableName>> = {
	notebook: 'notebook',
	month: 'month',
	kind: 'own_kind',
	set: 'month_set'
};

/** Tables whose rows belong to a month. */
const ofMonths = ['wish', 'month_past', 'month_making', 'entry', 'photograph'] as const;

/**
 * Takes out of a database all that the rest of the program could not read, by the same readers: one broken month must not keep
 * ten years from coming in. Gives what it was.
 */
export async function leaveUnreadable(db: Db): Promise<Left[]> {
	const left: Left[] = [];
	const broken = [
		...(await new Notebooks(db).setAside()),
		...(await new Months(db).setAside()),
		...(await new OwnKinds(db).setAside()),
		...(await new MonthSets(db).setAside())
	];
	for (const { what, id, name, reason } of broken) {
		left.push({ what: tableOf[what], id, name, reason });
		await sql`delete from ${sql.table(tableOf[what])} where id = ${id}`.execute(db);
	}
	left.push(...(await leaveHomeless(db)), ...(await leaveFonts(db)), ...(await leaveEntries(db)));
	return left;
}

/** Months whose notebook is not there, and what belongs to months that are not there. */
async function leaveHomeless(db: Db): Promise<Left[]> {
	const { rows } = await sql<{ id: string; month: string }>`
		select id, month from month where notebook_id not in (select id from notebook)`.execute(db);
	await sql`delete from month where notebook_id not in (select id from notebook)`.execute(db);
	const left = rows.map(({ id, month: name }): Left => ({
		what: 'month',
		id,
		name,
		reason: 'its notebook is not there'
	}));
	for (const table of ofMonths) {
		const lost = await sql`
			delete from ${sql.table(table)} where month_id not in (select id from month)`.execute(db);
		const count = Number(lost.numAffectedRows ?? 0n);
		if (count > 0)
			left.push({ what: table, name: `${count}`, reason: 'of months that are not there' });
	}
	return left;
}

/** One font that cannot be written with would spoil every sheet. */
async function leaveFonts(db: Db): Promise<Left[]> {
	const left: Left[] = [];
	for await (const { id, name, file } of rowsOf(db, 'own_font')) {
		const font = file instanceof Uint8Array ? await checkFont(file) : undefined;
		if (font?.ok) continue;
		left.push({
			what: 'own_font',
			name: String(name),
			reason: font?.reason ?? 'it holds nothing'
		});
		await sql`delete from own_font where id = ${id}`.execute(db);
	}
	return left;
}

async function leaveEntries(db: Db): Promise<Left[]> {
	const left: Left[] = [];
	const look = async (rows: readonly Row[]) => {
		if (checked(changesSchema, { changes: rows.map(asChange) }).ok) return;
		for (const row of rows) {
			const one = checked(changesSchema, { changes: [asChange(row)] });
			if (one.ok) continue;
			left.push({
				what: 'entry',
				name: `${row.wish} ${row.about}`.slice(0, 100),
				reason: reasonOf(one.faults)
			});
			await sql`delete from entry where month_id = ${row.month_id} and wish = ${row.wish}
				and about = ${row.about}`.execute(db);
		}
	};
	for await (const rows of inPortions(rowsOf(db, 'entry'))) await look(rows);
	return left;
}

const asChange = ({ wish, about, holds, value }: Row) => ({ wish, about, holds, value });
