import type { Kysely } from 'kysely';

/**
 * Adds a column for text, unless it is there: files exist in which a step was broken off between its change and
 * the note that it is done.
 */
export async function addColumn(db: Kysely<unknown>, table: string, column: string): Promise<void> {
	const tables = await db.introspection.getTables();
	const columns = tables.find(({ name }) => name === table)?.columns ?? [];
	if (columns.some(({ name }) => name === column)) return;
	await db.schema.alterTable(table).addColumn(column, 'text').execute();
}
