import type { Kysely, Migration } from 'kysely';

/** Font files of the person's own: the file, and the letters that it has. */
export const ownFonts: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('own_font')
			.ifNotExists()
			.addColumn('id', 'text', (column) => column.primaryKey())
			.addColumn('name', 'text', (column) => column.notNull())
			.addColumn('used_for', 'text', (column) => column.notNull())
			.addColumn('letters', 'text', (column) => column.notNull())
			.addColumn('file', 'blob', (column) => column.notNull())
			.addColumn('created_at', 'text', (column) => column.notNull())
			.addColumn('deleted_at', 'text')
			.execute();
	}
};
