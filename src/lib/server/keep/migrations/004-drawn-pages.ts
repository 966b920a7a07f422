import type { Kysely, Migration } from 'kysely';
import { addColumn } from './add-column';

/** What of a month is drawn in the book already, as JSON. */
export const drawnPages: Migration = {
	async up(db: Kysely<unknown>) {
		await addColumn(db, 'month', 'drawn');
	}
};
