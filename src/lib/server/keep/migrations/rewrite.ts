import { sql, type Kysely } from 'kysely';

/** Puts each row's JSON into its new form; what is none stays as it is, to be set aside when it is read. */
export async function rewrite(
	db: Kysely<unknown>,
	table: string,
	column: string,
	renewed: (value: unknown) => unknown
): Promise<void> {
	const rows = await sql<{ row: number; json: string | null }>`
		select rowid as row, ${sql.ref(column)} as json from ${sql.table(table)}
	`.execute(db);
	for (const { row, json } of rows.rows) {
		const value = json === null ? undefined : parsed(json);
		if (value === undefined) continue;
		await sql`
			update ${sql.table(table)} set ${sql.ref(column)} = ${JSON.stringify(renewed(value))}
			where rowid = ${row}
		`.execute(db);
	}
}

function parsed(json: string): unknown {
	try {
		return JSON.parse(json);
	} catch {
		return undefined;
	}
}
