import type { Kysely, Migration } from 'kysely';
import { drawnFromVersion1, wishFromVersion1 } from '$lib/core/formats';
import { rewrite } from './rewrite';

/** Wishes hold the rules of each form apart, as documents of version 2 do. */
export const rulesByForm: Migration = {
	async up(db: Kysely<unknown>) {
		await rewrite(db, 'wish', 'content', wishFromVersion1);
		await rewrite(db, 'own_kind', 'content', wishFromVersion1);
		await rewrite(db, 'month', 'drawn', drawnFromVersion1);
	}
};
