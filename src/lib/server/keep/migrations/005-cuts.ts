import type { Kysely, Migration } from 'kysely';
import { addColumn } from './add-column';

/** Cuts through a month's leaves, as JSON. */
export const monthCuts: Migration = {
	async up(db: Kysely<unknown>) {
		await addColumn(db, 'month', 'cuts');
	}
};
