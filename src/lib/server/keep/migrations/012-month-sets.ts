import type { Kysely, Migration } from 'kysely';

/** What a month may begin with: wishes of a month, kept under a name. */
export const monthSets: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('month_set')
			.ifNotExists()
			.addColumn('id', 'text', (column) => column.primaryKey())
			.addColumn('name', 'text', (column) => column.notNull())
			.addColumn('content', 'text', (column) => column.notNull())
			.addColumn('created_at', 'text', (column) => column.notNull())
			.addColumn('deleted_at', 'text')
			.execute();
	}
};
