import { readJson, wishSchema } from '$lib/core/formats';
import type { Wish } from '$lib/core/wish';
import type { Db } from '../keep/database';
import { reasonOf, type SetAside } from '../keep/kept';
import { newId, now, writing } from '../keep/write';

/** A kind that the person made: a wish of it starts as a copy of `wish`. */
export interface OwnKind {
	readonly id: string;
	readonly name: string;
	readonly wish: Wish;
}

/** Kinds that the person made from others. */
export class OwnKinds {
	constructor(private readonly db: Db) {}

	/** Those that can be read, by name. */
	async all(): Promise<OwnKind[]> {
		return (await this.read()).flatMap((kind) => ('reason' in kind ? [] : [kind]));
	}

	/** Those that cannot be read. */
	async setAside(): Promise<SetAside[]> {
		return (await this.read()).flatMap((kind) => ('reason' in kind ? [kind] : []));
	}

	private async read(): Promise<(OwnKind | SetAside)[]> {
		const rows = await this.db
			.selectFrom('own_kind')
			.selectAll()
			.where('deleted_at', 'is', null)
			.orderBy('name')
			.execute();
		return rows.map(({ id, name, content }) => {
			const wish = readJson(wishSchema, content);
			return wish.ok
				? { id, name, wish: wish.value }
				: { what: 'kind', id, name, reason: reasonOf(wish.faults) };
		});
	}

	async create(name: string, wish: Wish): Promise<OwnKind> {
		const id = newId();
		const row = { id, name, content: JSON.stringify(wish), created_at: now(), deleted_at: null };
		await writing(this.db, (tx) => tx.insertInto('own_kind').values(row).execute());
		return { id, name, wish };
	}

	/** Changes a kind's name; false when there is none with that id. */
	rename(id: string, name: string): Promise<boolean> {
		return this.set(id, { name });
	}

	/** Marks a kind as deleted, or takes the mark away; false when there is none with that id. */
	setDeleted(id: string, deleted: boolean): Promise<boolean> {
		return this.set(id, { deleted_at: deleted ? now() : null });
	}

	private async set(
		id: string,
		fields: { readonly name: string } | { readonly deleted_at: string | null }
	): Promise<boolean> {
		const done = await writing(this.db, (tx) =>
			tx.updateTable('own_kind').set(fields).where('id', '=', id).executeTakeFirst()
		);
		return done.numUpdatedRows > 0n;
	}
}
