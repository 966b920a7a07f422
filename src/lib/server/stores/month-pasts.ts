import { readJson } from '$lib/core/formats';
import type { Db } from '../keep/database';
import { contentIn, contentOf, monthRows, type MonthContent } from './month-row';
import { monthContentSchema } from '../keep/schemas';
import { now } from '../keep/write';

/** What a month was before a change. */
export interface PastMonth {
	/** Count of changes that it was made by. */
	readonly revision: number;
	/** When it was changed into something else, as an ISO 8601 instant. */
	readonly leftAt: string;
	readonly month: MonthContent;
}

/** So many are kept of each month, and of changes that follow each other quicker than this only the first. */
export const mostPasts = 100;
const apartMs = 60_000;

/** What months were, so that a month can be taken back to an earlier day, on any device. */
export class MonthPasts {
	constructor(private readonly db: Db) {}

	/** Keeps what a month of this revision is; to be called inside the transaction that changes it. */
	async keep(id: string, revision: number): Promise<void> {
		const last = await this.rows(id).select('left_at').limit(1).executeTakeFirst();
		const leftAt = now();
		if (last && Date.parse(leftAt) - Date.parse(last.left_at) < apartMs) return;
		const row = await monthRows(this.db)
			.where('month.id', '=', id)
			.where('revision', '=', revision)
			.executeTakeFirst();
		if (!row) return;
		let content: string;
		try {
			content = JSON.stringify(contentIn(row));
		} catch {
			// What is broken is no state to come back to.
			return;
		}
		await this.db
			.insertInto('month_past')
			.values({ month_id: id, revision, left_at: leftAt, content })
			.onConflict((conflict) => conflict.doNothing())
			.execute();
		const kept = this.rows(id).select('revision').limit(mostPasts);
		await this.db
			.deleteFrom('month_past')
			.where('month_id', '=', id)
			.where('revision', 'not in', kept)
			.execute();
	}

	/** What a month was, the newest first; what cannot be read any more is passed over. */
	async of(id: string): Promise<PastMonth[]> {
		const rows = await this.rows(id).selectAll().execute();
		return rows.flatMap(({ revision, left_at: leftAt, content }): PastMonth[] => {
			const read = readJson(monthContentSchema, content);
			return read.ok ? [{ revision, leftAt, month: contentOf(read.value) }] : [];
		});
	}

	private rows(id: string) {
		return this.db.selectFrom('month_past').where('month_id', '=', id).orderBy('revision', 'desc');
	}
}
