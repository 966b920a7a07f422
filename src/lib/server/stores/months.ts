import { readJson, wishSchema } from '$lib/core/formats';
import { renamedIn } from '$lib/core/records';
import type { Wish } from '$lib/core/wish';
import type { Transaction } from 'kysely';
import type { Db, Tables } from '../keep/database';
import { FaultyRow, type SetAside } from '../keep/kept';
import { MonthPasts } from './month-pasts';
import { monthOf, monthRows, type MonthContent, type MonthRecord } from './month-row';
import { Records } from './records';
import { newId, now, outcomeOf, writing, type Write } from '../keep/write';

/** A month without its wishes, for lists. */
export type MonthEntry = Pick<MonthRecord, 'id' | 'month' | 'notebookId' | 'deleted'>;

/** Months and their wishes in the database. */
export class Months {
	constructor(private readonly db: Db) {}

	/** All months, the deleted ones too, the earliest first. */
	async all(): Promise<MonthEntry[]> {
		const rows = await this.db.selectFrom('month').selectAll().orderBy('month').execute();
		return rows.map((row) => ({
			id: row.id,
			month: row.month,
			notebookId: row.notebook_id,
			deleted: row.deleted_at !== null
		}));
	}

	/** @throws FaultyRow when it is there and cannot be read. */
	async find(id: string): Promise<MonthRecord | undefined> {
		const row = await monthRows(this.db).where('month.id', '=', id).executeTakeFirst();
		const read = row && monthOf(row);
		if (read && 'reason' in read) throw new FaultyRow(read);
		return read;
	}

	/** Months of a notebook that can be read, the deleted ones too, the earliest first. */
	async inNotebook(notebookId: string): Promise<MonthRecord[]> {
		const rows = await monthRows(this.db).where('notebook_id', '=', notebookId).execute();
		return rows.map(monthOf).flatMap((read) => ('reason' in read ? [] : [read]));
	}

	/** Those that cannot be read. */
	async setAside(): Promise<SetAside[]> {
		const rows = await monthRows(this.db).execute();
		return rows.map(monthOf).flatMap((read) => ('reason' in read ? [read] : []));
	}

	async create(content: MonthContent): Promise<MonthRecord> {
		const id = newId();
		await writing(this.db, async (tx) => {
			await tx
				.insertInto('month')
				.values({ id, ...columns(content), revision: 1, created_at: now(), deleted_at: null })
				.execute();
			await writeWishes(tx, id, content.wishes);
		});
		return { id, revision: 1, deleted: false, ...content };
	}

	/** Writes a month and its wishes, all or nothing, if nobody changed or deleted it since `revision`. */
	async update(id: string, revision: number, content: MonthContent): Promise<Write<MonthRecord>> {
		const written = await writing(this.db, async (tx) => {
			await new MonthPasts(tx).keep(id, revision);
			const done = await tx
				.updateTable('month')
				.set({ ...columns(content), revision: revision + 1 })
				.where('id', '=', id)
				.where('revision', '=', revision)
				.where('deleted_at', 'is', null)
				.executeTakeFirst();
			if (done.numUpdatedRows === 0n) return false;
			const before = await wishesOf(tx, id);
			await new Records(tx).rename(id, renamedIn(before, content.wishes));
			await tx.deleteFrom('wish').where('month_id', '=', id).execute();
			await writeWishes(tx, id, content.wishes);
			return true;
		});
		return outcomeOf(written, await this.find(id));
	}

	/** Marks a month as deleted, or takes the mark away. */
	async setDeleted(id: string, deleted: boolean): Promise<Write<MonthRecord>> {
		const done = await writing(this.db, (tx) =>
			tx
				.updateTable('month')
				.set({ deleted_at: deleted ? now() : null })
				.where('id', '=', id)
				.executeTakeFirst()
		);
		return outcomeOf(done.numUpdatedRows > 0n, await this.find(id));
	}
}

function columns(content: MonthContent) {
	return {
		notebook_id: content.notebookId,
		month: content.month,
		week_start: content.weekStart,
		aim: content.aim,
		sizes: content.sizes ?? null,
		titles: content.titles ?? null,
		theme: content.theme ? JSON.stringify(content.theme) : null,
		lately: content.lately ? JSON.stringify(content.lately) : null,
		drawn: content.drawn ? JSON.stringify(content.drawn) : null,
		cuts: content.cuts && content.cuts.length > 0 ? JSON.stringify(content.cuts) : null
	};
}

/** A month's wishes as they are kept now, where something was filled in that goes along with their names. */
async function wishesOf(tx: Transaction<Tables>, id: string): Promise<readonly Wish[]> {
	const filled = await tx
		.selectFrom('entry')
		.select('wish')
		.where('month_id', '=', id)
		.limit(1)
		.executeTakeFirst();
	if (!filled) return [];
	const rows = await tx.selectFrom('wish').select('content').where('month_id', '=', id).execute();
	return rows.flatMap(({ content }) => {
		const read = readJson(wishSchema, content);
		return read.ok ? [read.value] : [];
	});
}

async function writeWishes(tx: Transaction<Tables>, id: string, wishes: readonly Wish[]) {
	if (wishes.length === 0) return;
	await tx
		.insertInto('wish')
		.values(
			wishes.map((wish, position) => ({
				month_id: id,
				id: wish.id,
				position,
				kind: wish.kind,
				content: JSON.stringify(wish)
			}))
		)
		.execute();
}
