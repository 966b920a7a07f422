import { checked, readJson, wishSchema } from '$lib/core/formats';
import { renamedIn } from '$lib/core/records';
import type { KeptMonth } from '$lib/core/fit';
import type { Wish } from '$lib/core/wish';
import { sql, type Selectable, type Transaction } from 'kysely';
import type { Db, MonthTable, Tables } from './database';
import { FaultyRow, reasonOf, type SetAside } from './kept';
import { Records } from './records';
import { monthContentSchema } from './schemas';
import { newId, now, outcomeOf, writing, type Write } from './write';

/** What a person decides about a month. */
export interface MonthContent extends KeptMonth {
	readonly notebookId: string;
}

/** A month as kept, with the count of its changes. */
export interface MonthRecord extends MonthContent {
	readonly id: string;
	readonly revision: number;
	readonly deleted: boolean;
}

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
		const row = await this.rows().where('month.id', '=', id).executeTakeFirst();
		const read = row && toRecord(row);
		if (read && 'reason' in read) throw new FaultyRow(read);
		return read;
	}

	/** Months of a notebook that can be read, the deleted ones too, the earliest first. */
	async inNotebook(notebookId: string): Promise<MonthRecord[]> {
		const rows = await this.rows().where('notebook_id', '=', notebookId).execute();
		return rows.map(toRecord).flatMap((read) => ('reason' in read ? [] : [read]));
	}

	/** Those that cannot be read. */
	async setAside(): Promise<SetAside[]> {
		const rows = await this.rows().execute();
		return rows.map(toRecord).flatMap((read) => ('reason' in read ? [read] : []));
	}

	/** Months with their wishes, in one query, so that no write comes in between. */
	private rows() {
		return this.db
			.selectFrom('month')
			.selectAll()
			.select(
				sql<string>`(select json_group_array(content) from
					(select content from wish where month_id = month.id order by position))`.as('wishes')
			)
			.orderBy('month');
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

/** A month and its wishes, each as JSON in a text of a JSON list. */
type Row = Selectable<MonthTable> & { readonly wishes: string };

function toRecord(row: Row): MonthRecord | SetAside {
	const setAside = (reason: string): SetAside => ({
		what: 'month',
		id: row.id,
		name: row.month,
		reason
	});
	let json: unknown;
	try {
		json = {
			notebookId: row.notebook_id,
			month: row.month,
			weekStart: row.week_start,
			aim: row.aim,
			...(row.titles === null ? {} : { titles: row.titles }),
			...(row.theme === null ? {} : { theme: JSON.parse(row.theme) }),
			...(row.lately === null ? {} : { lately: JSON.parse(row.lately) }),
			wishes: textsIn(row.wishes).map((content): unknown => JSON.parse(content)),
			...(row.drawn === null ? {} : { drawn: JSON.parse(row.drawn) }),
			...(row.cuts === null ? {} : { cuts: JSON.parse(row.cuts) })
		};
	} catch {
		return setAside('a part of it is no JSON');
	}
	const kept = checked(monthContentSchema, json);
	if (!kept.ok) return setAside(reasonOf(kept.faults));
	const { weekStart, aim, titles, theme, lately, wishes, drawn, cuts } = kept.value;
	return {
		id: row.id,
		revision: row.revision,
		deleted: row.deleted_at !== null,
		notebookId: row.notebook_id,
		month: row.month,
		weekStart,
		aim,
		wishes,
		...(titles ? { titles } : {}),
		...(theme ? { theme } : {}),
		...(lately ? { lately } : {}),
		...(drawn ? { drawn } : {}),
		...(cuts ? { cuts } : {})
	};
}

function textsIn(list: string): string[] {
	const texts: unknown = JSON.parse(list);
	return Array.isArray(texts) ? texts.map(String) : [];
}
