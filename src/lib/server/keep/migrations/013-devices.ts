import type { Kysely, Migration } from 'kysely';

/** Tablets that may look at Horarium over the network; of what they prove themselves with only the hash is kept. */
export const devices: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema
			.createTable('device')
			.ifNotExists()
			.addColumn('id', 'text', (column) => column.primaryKey())
			.addColumn('name', 'text', (column) => column.notNull())
			.addColumn('token_hash', 'text', (column) => column.notNull())
			.addColumn('created_at', 'text', (column) => column.notNull())
			.execute();
	}
};
