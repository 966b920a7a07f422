import type { Db } from '../keep/database';
import type { PhotographFile } from '../keep/photograph-files';
import { newId, now, writing } from '../keep/write';

/** A photograph of a page as it was drawn; its file lies beside the database. */
export interface Photograph extends PhotographFile {
	readonly id: string;
	readonly monthId: string;
	readonly page: number;
	/** When it was kept. */
	readonly at: string;
}

/** What is known of photographs of pages. */
export class Photographs {
	constructor(private readonly db: Db) {}

	/** Those of some months, by page, the oldest first. */
	async ofMonths(ids: readonly string[]): Promise<Photograph[]> {
		const rows = await this.db
			.selectFrom('photograph')
			.selectAll()
			.where('month_id', 'in', ids)
			.where('deleted_at', 'is', null)
			.orderBy('page')
			.orderBy('created_at')
			.execute();
		return rows.map(({ id, month_id: monthId, page, hash, type, created_at: at }) => ({
			id,
			monthId,
			page,
			hash,
			type,
			at
		}));
	}

	/** The file of one of them, deleted or not; undefined where there is none with that id. */
	async file(id: string): Promise<PhotographFile | undefined> {
		return this.db
			.selectFrom('photograph')
			.select(['hash', 'type'])
			.where('id', '=', id)
			.executeTakeFirst();
	}

	/** Keeps one; the same picture of the same page is kept once. */
	async add(monthId: string, page: number, { hash, type }: PhotographFile): Promise<string> {
		return writing(this.db, async (tx) => {
			const same = await tx
				.selectFrom('photograph')
				.select('id')
				.where('month_id', '=', monthId)
				.where('page', '=', page)
				.where('hash', '=', hash)
				.executeTakeFirst();
			const id = same?.id ?? newId();
			await (same
				? tx.updateTable('photograph').set({ deleted_at: null }).where('id', '=', id).execute()
				: tx
						.insertInto('photograph')
						.values({
							id,
							month_id: monthId,
							page,
							hash,
							type,
							created_at: now(),
							deleted_at: null
						})
						.execute());
			return id;
		});
	}

	/** Marks one as deleted, or takes the mark away; false when there is none with that id. */
	async setDeleted(id: string, deleted: boolean): Promise<boolean> {
		const done = await writing(this.db, (tx) =>
			tx
				.updateTable('photograph')
				.set({ deleted_at: deleted ? now() : null })
				.where('id', '=', id)
				.executeTakeFirst()
		);
		return done.numUpdatedRows > 0n;
	}

	/** Forgets those that were deleted before a moment; gives the files that are still needed. */
	async forget(before: Date): Promise<ReadonlySet<string>> {
		return writing(this.db, async (tx) => {
			await tx.deleteFrom('photograph').where('deleted_at', '<', before.toISOString()).execute();
			const rows = await tx.selectFrom('photograph').select('hash').distinct().execute();
			return new Set(rows.map(({ hash }) => hash));
		});
	}
}
