import type { Change, Entry, Renamed } from '$lib/core/records';
import { mayReplace, renamedAbout } from '$lib/core/records';
import type { Db } from '../keep/database';
import { writing } from '../keep/write';

/** A change, and the values that it may replace; any where none is said. */
export type Written = Change & { readonly was?: readonly string[] | undefined };

/** What was filled in of all months. */
export class Records {
	constructor(private readonly db: Db) {}

	/** Everything that was filled in of a month. */
	ofMonth(monthId: string): Promise<Entry[]> {
		return this.db
			.selectFrom('entry')
			.select(['wish', 'about', 'holds', 'value'])
			.where('month_id', '=', monthId)
			.execute();
	}

	/** How many entries each month has that has any. */
	async counts(): Promise<ReadonlyMap<string, number>> {
		const rows = await this.db
			.selectFrom('entry')
			.select(({ fn }) => ['month_id', fn.countAll<number>().as('count')])
			.groupBy('month_id')
			.execute();
		return new Map(rows.map(({ month_id, count }) => [month_id, Number(count)]));
	}

	/**
	 * Sets and takes away entries of a month, all of them or none, but for those that were made over something else than what
	 * stands there (`was`): of these it gives what stands there, and somebody must choose.
	 */
	async change(monthId: string, changes: readonly Written[]): Promise<Entry[]> {
		return writing(this.db, async (tx) => {
			const standing: Entry[] = [];
			for (const { wish, about, holds, value, was } of changes) {
				const now = was && (await valueIn(tx, monthId, wish, about));
				if (now !== undefined && !mayReplace(now, value, was)) {
					standing.push({ wish, about, holds, value: now });
					continue;
				}
				await (
					value === ''
						? tx
								.deleteFrom('entry')
								.where('month_id', '=', monthId)
								.where('wish', '=', wish)
								.where('about', '=', about)
						: tx
								.insertInto('entry')
								.values({ month_id: monthId, wish, about, holds, value })
								.onConflict((conflict) =>
									conflict.columns(['month_id', 'wish', 'about']).doUpdateSet({ holds, value })
								)
				).execute();
			}
			return standing;
		});
	}

	/** Takes entries along with names that were changed; an entry that is there already under the new one is left. */
	async rename(monthId: string, renamed: readonly Renamed[]): Promise<void> {
		if (renamed.length === 0) return;
		const entries = await this.ofMonth(monthId);
		const changes = renamed.flatMap((one) =>
			entries
				.filter(({ wish }) => wish === one.wish)
				.flatMap((entry) => {
					const about = renamedAbout(entry.about, one);
					if (about === undefined) return [];
					if (entries.some((other) => other.wish === entry.wish && other.about === about))
						return [];
					return [
						{ ...entry, value: '' },
						{ ...entry, about }
					];
				})
		);
		await this.change(monthId, changes);
	}
}

/** What stands in an entry, an empty text where there is none. */
async function valueIn(db: Db, monthId: string, wish: string, about: string): Promise<string> {
	const row = await db
		.selectFrom('entry')
		.select('value')
		.where('month_id', '=', monthId)
		.where('wish', '=', wish)
		.where('about', '=', about)
		.executeTakeFirst();
	return row?.value ?? '';
}
