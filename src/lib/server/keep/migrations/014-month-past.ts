import type { Kysely, Migration } from 'kysely';

/** What months were before they were changed: the month as JSON, and when it was left. */
export const monthPast: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('month_past')
			.ifNotExists()
			.addColumn('month_id', 'text', (column) => column.notNull())
			.addColumn('revision', 'integer', (column) => column.notNull())
			.addColumn('left_at', 'text', (column) => column.notNull())
			.addColumn('content', 'text', (column) => column.notNull())
			.addPrimaryKeyConstraint('month_past_key', ['month_id', 'revision'])
			.execute();
	}
};
