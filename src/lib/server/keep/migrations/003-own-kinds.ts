import type { Kysely, Migration } from 'kysely';

/** Kinds that a person made from others: a name, and what a wish of it starts with. */
export const ownKinds: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('own_kind')
			.ifNotExists()
			.addColumn('id', 'text', (column) => column.primaryKey())
			.addColumn('name', 'text', (column) => column.notNull())
			.addColumn('content', 'text', (column) => column.notNull())
			.addColumn('created_at', 'text', (column) => column.notNull())
			.addColumn('deleted_at', 'text')
			.execute();
	}
};
