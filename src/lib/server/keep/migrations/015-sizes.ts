import type { Kysely, Migration } from 'kysely';
import { addColumn } from './add-column';

/** Which sizes of things a month tries, where it is said. */
export const monthSizes: Migration = {
	async up(db: Kysely<unknown>) {
		await addColumn(db, 'month', 'sizes');
	}
};
