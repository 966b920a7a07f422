import { checked, wishSchema } from '$lib/core/formats';
import type { Wish } from '$lib/core/forms';
import type { Db } from './database';
import { newId, now } from './write';

/** A kind that the person made: a wish of it starts as a copy of `wish`. */
export interface OwnKind {
	readonly id: string;
	readonly name: string;
	readonly wish: Wish;
}

/** Kinds that the person made from others. */
export class OwnKinds {
	constructor(private readonly db: Db) {}

	async all(): Promise<OwnKind[]> {
		const rows = await this.db
			.selectFrom('own_kind')
			.selectAll()
			.where('deleted_at', 'is', null)
			.orderBy('name')
			.execute();
		return rows.flatMap((row) => {
			const wish = checked(wishSchema, JSON.parse(row.content));
			return wish.ok ? [{ id: row.id, name: row.name, wish: wish.value }] : [];
		});
	}

	async create(name: string, wish: Wish): Promise<OwnKind> {
		const id = newId();
		await this.db
			.insertInto('own_kind')
			.values({ id, name, content: JSON.stringify(wish), created_at: now(), deleted_at: null })
			.execute();
		return { id, name, wish };
	}

	/** Changes a kind's name; false when there is none with that id. */
	async rename(id: string, name: string): Promise<boolean> {
		const done = await this.db
			.updateTable('own_kind')
			.set({ name })
			.where('id', '=', id)
			.executeTakeFirst();
		return done.numUpdatedRows > 0n;
	}

	/** Marks a kind as deleted, or takes the mark away; false when there is none with that id. */
	async setDeleted(id: string, deleted: boolean): Promise<boolean> {
		const done = await this.db
			.updateTable('own_kind')
			.set({ deleted_at: deleted ? now() : null })
			.where('id', '=', id)
			.executeTakeFirst();
		return done.numUpdatedRows > 0n;
	}
}
