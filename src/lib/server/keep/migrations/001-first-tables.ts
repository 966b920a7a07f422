import type { Kysely, Migration } from 'kysely';

/** Notebooks, months and wishes. Deleting marks a row, so that it can be undone. */
export const firstTables: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('notebook')
			.ifNotExists()
			.addColumn('id', 'text', (column) => column.primaryKey())
			.addColumn('name', 'text', (column) => column.notNull())
			.addColumn('content', 'text', (column) => column.notNull())
			.addColumn('revision', 'integer', (column) => column.notNull())
			.addColumn('created_at', 'text', (column) => column.notNull())
			.addColumn('deleted_at', 'text')
			.execute();
		await db.schema
			.createTable('month')
			.ifNotExists()
			.addColumn('id', 'text', (column) => column.primaryKey())
			.addColumn('notebook_id', 'text', (column) =>
				column.notNull().references('notebook.id').onDelete('restrict')
			)
			.addColumn('month', 'text', (column) => column.notNull())
			.addColumn('week_start', 'text', (column) => column.notNull())
			.addColumn('aim', 'text', (column) => column.notNull())
			.addColumn('revision', 'integer', (column) => column.notNull())
			.addColumn('created_at', 'text', (column) => column.notNull())
			.addColumn('deleted_at', 'text')
			.execute();
		await db.schema
			.createIndex('month_by_month')
			.ifNotExists()
			.on('month')
			.column('month')
			.execute();
		await db.schema
			.createTable('wish')
			.ifNotExists()
			.addColumn('month_id', 'text', (column) =>
				column.notNull().references('month.id').onDelete('cascade')
			)
			.addColumn('id', 'text', (column) => column.notNull())
			.addColumn('position', 'integer', (column) => column.notNull())
			.addColumn('kind', 'text', (column) => column.notNull())
			.addColumn('content', 'text', (column) => column.notNull())
			.addPrimaryKeyConstraint('wish_key', ['month_id', 'id'])
			.execute();
	}
};
