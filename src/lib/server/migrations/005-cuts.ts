import type { Kysely, Migration } from 'kysely';

/** Cuts through a month's leaves, as JSON. */
export const monthCuts: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema.alterTable('month').addColumn('cuts', 'text').execute();
	}
};
