import type { Kysely, Migration } from 'kysely';

/** What of a month is drawn in the book already, as JSON. */
export const drawnPages: Migration = {
	async up(db: Kysely<unknown>) {
		await db.schema.alterTable('month').addColumn('drawn', 'text').execute();
	}
};
