import {
	aimSchema,
	checked,
	cutsSchema,
	drawnSchema,
	weekStartSchema,
	wishesSchema
} from '$lib/core/formats';
import type { Cut } from '$lib/core/cuts';
import type { Aim, Drawn } from '$lib/core/fit';
import type { Wish } from '$lib/core/forms';
import type { WeekStart } from '$lib/core/month';
import type { Selectable, Transaction } from 'kysely';
import type { Db, MonthTable, Tables } from './database';
import { newId, now, type Write } from './write';

/** What a person decides about a month. */
export interface MonthContent {
	readonly notebookId: string;
	/** "2027-05" */
	readonly month: string;
	readonly weekStart: WeekStart;
	readonly aim: Aim;
	readonly wishes: readonly Wish[];
	readonly drawn?: Drawn;
	readonly cuts?: readonly Cut[];
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

	async find(id: string): Promise<MonthRecord | undefined> {
		return this.db.transaction().execute(async (tx) => {
			const row = await tx.selectFrom('month').selectAll().where('id', '=', id).executeTakeFirst();
			return row && toRecord(row, await wishesOf(tx, id));
		});
	}

	async create(content: MonthContent): Promise<MonthRecord> {
		const id = newId();
		await this.db.transaction().execute(async (tx) => {
			await tx
				.insertInto('month')
				.values({ id, ...columns(content), revision: 1, created_at: now(), deleted_at: null })
				.execute();
			await writeWishes(tx, id, content.wishes);
		});
		return { id, revision: 1, deleted: false, ...content };
	}

	/** Writes a month and its wishes, all or nothing, if nobody changed it since `revision`. */
	async update(id: string, revision: number, content: MonthContent): Promise<Write<MonthRecord>> {
		const written = await this.db.transaction().execute(async (tx) => {
			const done = await tx
				.updateTable('month')
				.set({ ...columns(content), revision: revision + 1 })
				.where('id', '=', id)
				.where('revision', '=', revision)
				.executeTakeFirst();
			if (done.numUpdatedRows === 0n) return false;
			await tx.deleteFrom('wish').where('month_id', '=', id).execute();
			await writeWishes(tx, id, content.wishes);
			return true;
		});
		return this.outcome(id, written);
	}

	/** Marks a month as deleted, or takes the mark away. */
	async setDeleted(id: string, deleted: boolean): Promise<Write<MonthRecord>> {
		const done = await this.db
			.updateTable('month')
			.set({ deleted_at: deleted ? now() : null })
			.where('id', '=', id)
			.executeTakeFirst();
		return this.outcome(id, done.numUpdatedRows > 0n);
	}

	private async outcome(id: string, written: boolean): Promise<Write<MonthRecord>> {
		const record = await this.find(id);
		if (!record) return { outcome: 'missing' };
		return { outcome: written ? 'written' : 'conflict', record };
	}
}

function columns(content: MonthContent) {
	return {
		notebook_id: content.notebookId,
		month: content.month,
		week_start: content.weekStart,
		aim: content.aim,
		drawn: content.drawn ? JSON.stringify(content.drawn) : null,
		cuts: content.cuts && content.cuts.length > 0 ? JSON.stringify(content.cuts) : null
	};
}

async function wishesOf(tx: Transaction<Tables>, id: string): Promise<unknown[]> {
	const rows = await tx
		.selectFrom('wish')
		.select('content')
		.where('month_id', '=', id)
		.orderBy('position')
		.execute();
	return rows.map((row): unknown => JSON.parse(row.content));
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

function toRecord(row: Selectable<MonthTable>, kept: unknown[]): MonthRecord {
	const wishes = checked(wishesSchema, kept);
	const weekStart = checked(weekStartSchema.required(), row.week_start);
	const aim = checked(aimSchema.required(), row.aim);
	const drawn = row.drawn === null ? undefined : checked(drawnSchema, JSON.parse(row.drawn));
	const cuts = row.cuts === null ? undefined : checked(cutsSchema, JSON.parse(row.cuts));
	if (!wishes.ok || !weekStart.ok || !aim.ok || drawn?.ok === false || cuts?.ok === false)
		throw new Error(`month ${row.id} in the database has faults`);
	return {
		id: row.id,
		revision: row.revision,
		deleted: row.deleted_at !== null,
		notebookId: row.notebook_id,
		month: row.month,
		weekStart: weekStart.value,
		aim: aim.value,
		wishes: wishes.value,
		...(drawn?.value ? { drawn: drawn.value } : {}),
		...(cuts?.value ? { cuts: cuts.value } : {})
	};
}
