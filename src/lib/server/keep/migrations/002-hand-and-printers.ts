import type { Kysely, Migration } from 'kysely';

/** What belongs to the person, not to a book: the measured hand, and printers. */
export const handAndPrinters: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('setting')
			.ifNotExists()
			.addColumn('name', 'text', (column) => column.primaryKey())
			.addColumn('content', 'text', (column) => column.notNull())
			.execute();
		await db.schema
			.createTable('printer')
			.ifNotExists()
			.addColumn('id', 'text', (column) => column.primaryKey())
			.addColumn('name', 'text', (column) => column.notNull().unique())
			.addColumn('across_mm', 'real', (column) => column.notNull())
			.addColumn('down_mm', 'real', (column) => column.notNull())
			.execute();
	}
};
