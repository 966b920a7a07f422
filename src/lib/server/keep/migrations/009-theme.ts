import type { Kysely, Migration } from 'kysely';
import { addColumn } from './add-column';

/** A month's colours, as JSON. */
export const monthTheme: Migration = {
	async up(db: Kysely<unknown>) {
		await addColumn(db, 'month', 'theme');
	}
};
