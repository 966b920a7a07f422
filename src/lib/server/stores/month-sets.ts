import { readJson } from '$lib/core/formats';
import type { KeptMonth } from '$lib/core/fit';
import type { Db } from '../keep/database';
import { reasonOf, type SetAside } from '../keep/kept';
import { monthSetSchema } from '../keep/schemas';
import { newId, now, writing } from '../keep/write';

/** What another month can begin with: the wishes of a month and how it was planned, without what is of its pages. */
export type SetContent = Pick<
	KeptMonth,
	'month' | 'weekStart' | 'aim' | 'titles' | 'theme' | 'wishes'
>;

/** A set under the name that the person gave it. */
export interface MonthSet {
	readonly id: string;
	readonly name: string;
	readonly deleted: boolean;
	readonly content: SetContent;
}

/** Sets that a person kept to begin months with. */
export class MonthSets {
	constructor(private readonly db: Db) {}

	/** Those that can be read, the deleted ones too, by name. */
	async all(): Promise<MonthSet[]> {
		return (await this.read()).flatMap((set) => ('reason' in set ? [] : [set]));
	}

	/** Those that cannot be read. */
	async setAside(): Promise<SetAside[]> {
		return (await this.read()).flatMap((set) => ('reason' in set ? [set] : []));
	}

	private async read(): Promise<(MonthSet | SetAside)[]> {
		const rows = await this.db.selectFrom('month_set').selectAll().orderBy('name').execute();
		return rows.map(({ id, name, content, deleted_at }) => {
			const read = readJson(monthSetSchema, content);
			return read.ok
				? { id, name, deleted: deleted_at !== null, content: read.value }
				: { what: 'set', id, name, reason: reasonOf(read.faults) };
		});
	}

	async create(name: string, content: SetContent): Promise<MonthSet> {
		const id = newId();
		const row = { id, name, content: JSON.stringify(content), created_at: now(), deleted_at: null };
		await writing(this.db, (tx) => tx.insertInto('month_set').values(row).execute());
		return { id, name, deleted: false, content };
	}

	/** Marks a set as deleted, or takes the mark away; false when there is none with that id. */
	async setDeleted(id: string, deleted: boolean): Promise<boolean> {
		const done = await writing(this.db, (tx) =>
			tx
				.updateTable('month_set')
				.set({ deleted_at: deleted ? now() : null })
				.where('id', '=', id)
				.executeTakeFirst()
		);
		return done.numUpdatedRows > 0n;
	}
}
