import { checked, notebookSchema } from '$lib/core/formats';
import type { Notebook } from '$lib/core/paper';
import type { Selectable } from 'kysely';
import type { Db, NotebookTable } from './database';
import { newId, now, type Write } from './write';

/** A notebook as kept: the measured book, and the count of its changes. */
export interface NotebookRecord {
	readonly id: string;
	readonly revision: number;
	readonly deleted: boolean;
	readonly notebook: Notebook;
}

/** Notebooks in the database. */
export class Notebooks {
	constructor(private readonly db: Db) {}

	/** All notebooks, the deleted ones too, the oldest first. */
	async all(): Promise<NotebookRecord[]> {
		const rows = await this.db.selectFrom('notebook').selectAll().orderBy('created_at').execute();
		return rows.map(toRecord);
	}

	async find(id: string): Promise<NotebookRecord | undefined> {
		const row = await this.db
			.selectFrom('notebook')
			.selectAll()
			.where('id', '=', id)
			.executeTakeFirst();
		return row && toRecord(row);
	}

	async create(notebook: Notebook): Promise<NotebookRecord> {
		const record: NotebookRecord = { id: newId(), revision: 1, deleted: false, notebook };
		await this.db
			.insertInto('notebook')
			.values({
				id: record.id,
				name: notebook.name,
				content: JSON.stringify(notebook),
				revision: 1,
				created_at: now(),
				deleted_at: null
			})
			.execute();
		return record;
	}

	/** Writes a notebook if nobody changed it since `revision`. */
	async update(id: string, revision: number, notebook: Notebook): Promise<Write<NotebookRecord>> {
		const done = await this.db
			.updateTable('notebook')
			.set({ name: notebook.name, content: JSON.stringify(notebook), revision: revision + 1 })
			.where('id', '=', id)
			.where('revision', '=', revision)
			.executeTakeFirst();
		return this.outcome(id, done.numUpdatedRows);
	}

	/** Marks a notebook as deleted, or takes the mark away. */
	async setDeleted(id: string, deleted: boolean): Promise<Write<NotebookRecord>> {
		const done = await this.db
			.updateTable('notebook')
			.set({ deleted_at: deleted ? now() : null })
			.where('id', '=', id)
			.executeTakeFirst();
		return this.outcome(id, done.numUpdatedRows);
	}

	private async outcome(id: string, rows: bigint): Promise<Write<NotebookRecord>> {
		const record = await this.find(id);
		if (!record) return { outcome: 'missing' };
		return { outcome: rows > 0n ? 'written' : 'conflict', record };
	}
}

function toRecord(row: Selectable<NotebookTable>): NotebookRecord {
	const notebook = checked(notebookSchema, JSON.parse(row.content));
	if (!notebook.ok) throw new Error(`notebook ${row.id} in the database has faults`);
	return {
		id: row.id,
		revision: row.revision,
		deleted: row.deleted_at !== null,
		notebook: notebook.value
	};
}
