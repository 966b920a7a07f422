import { progressSchema, readJson } from '$lib/core/formats';
import { mergeProgress, noProgress, type Progress } from '$lib/core/making';
import type { Db } from '../keep/database';
import { writing } from '../keep/write';

/** How far months are made. */
export class Makings {
	constructor(private readonly db: Db) {}

	/** What is done of a month; nothing where that was never kept or cannot be read. */
	async of(monthId: string): Promise<Progress> {
		const row = await this.db
			.selectFrom('month_making')
			.select('content')
			.where('month_id', '=', monthId)
			.executeTakeFirst();
		const read = row && readJson(progressSchema, row.content);
		return read?.ok ? read.value : noProgress;
	}

	/** Adds what one device knows to what is kept, and gives both together. The month must be kept. */
	async add(monthId: string, known: Progress): Promise<Progress> {
		return writing(this.db, async (tx) => {
			const all = mergeProgress(await new Makings(tx).of(monthId), known);
			const content = JSON.stringify(all);
			await tx
				.insertInto('month_making')
				.values({ month_id: monthId, content })
				.onConflict((conflict) => conflict.column('month_id').doUpdateSet({ content }))
				.execute();
			return all;
		});
	}
}
