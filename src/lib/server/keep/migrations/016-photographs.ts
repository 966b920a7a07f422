import type { Kysely, Migration } from 'kysely';

/** Photographs of drawn pages: which month and page they show, and the file beside the database by its hash. */
export const photographs: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('photograph')
			.ifNotExists()
			.addColumn('id', 'text', (column) => column.primaryKey())
			.addColumn('month_id', 'text', (column) => column.notNull().references('month.id'))
			.addColumn('page', 'integer', (column) => column.notNull())
			.addColumn('hash', 'text', (column) => column.notNull())
			.addColumn('type', 'text', (column) => column.notNull())
			.addColumn('created_at', 'text', (column) => column.notNull())
			.addColumn('deleted_at', 'text')
			.execute();
	}
};
