import type { Kysely, Migration } from 'kysely';

/** How far each month is made, as JSON. */
export const monthMaking: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('month_making')
			.ifNotExists()
			.addColumn('month_id', 'text', (column) => column.primaryKey().references('month.id'))
			.addColumn('content', 'text', (column) => column.notNull())
			.execute();
	}
};
