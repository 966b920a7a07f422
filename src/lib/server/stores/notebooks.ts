import { readJson, notebookSchema } from '$lib/core/formats';
import type { Notebook } from '$lib/core/paper';
import type { Selectable } from 'kysely';
import type { Db, NotebookTable } from '../keep/database';
import { FaultyRow, reasonOf, type SetAside } from '../keep/kept';
import { newId, now, outcomeOf, writing, type Write } from '../keep/write';

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

	/** All notebooks that can be read, the deleted ones too, the oldest first. */
	async all(): Promise<NotebookRecord[]> {
		return (await this.rows()).flatMap((row) => {
			const read = toRecord(row);
			return 'reason' in read ? [] : [read];
		});
	}

	/** Those that cannot be read. */
	async setAside(): Promise<SetAside[]> {
		return (await this.rows()).flatMap((row) => {
			const read = toRecord(row);
			return 'reason' in read ? [read] : [];
		});
	}

	/** @throws FaultyRow when it is there and cannot be read. */
	async find(id: string): Promise<NotebookRecord | undefined> {
		const row = await this.db
			.selectFrom('notebook')
			.selectAll()
			.where('id', '=', id)
			.executeTakeFirst();
		const read = row && toRecord(row);
		if (read && 'reason' in read) throw new FaultyRow(read);
		return read;
	}

	private rows() {
		return this.db.selectFrom('notebook').selectAll().orderBy('created_at').execute();
	}

	async create(notebook: Notebook): Promise<NotebookRecord> {
		const record: NotebookRecord = { id: newId(), revision: 1, deleted: false, notebook };
		const row = {
			id: record.id,
			name: notebook.name,
			content: JSON.stringify(notebook),
			revision: 1,
			created_at: now(),
			deleted_at: null
		};
		await writing(this.db, (tx) => tx.insertInto('notebook').values(row).execute());
		return record;
	}

	/** Writes a notebook if nobody changed or deleted it since `revision`. */
	async update(id: string, revision: number, notebook: Notebook): Promise<Write<NotebookRecord>> {
		const content = { name: notebook.name, content: JSON.stringify(notebook) };
		const done = await writing(this.db, (tx) =>
			tx
				.updateTable('notebook')
				.set({ ...content, revision: revision + 1 })
				.where('id', '=', id)
				.where('revision', '=', revision)
				.where('deleted_at', 'is', null)
				.executeTakeFirst()
		);
		return this.outcome(id, done.numUpdatedRows > 0n);
	}

	/** Marks a notebook as deleted, or takes the mark away. */
	async setDeleted(id: string, deleted: boolean): Promise<Write<NotebookRecord>> {
		const done = await writing(this.db, (tx) =>
			tx
				.updateTable('notebook')
				.set({ deleted_at: deleted ? now() : null })
				.where('id', '=', id)
				.executeTakeFirst()
		);
		return this.outcome(id, done.numUpdatedRows > 0n);
	}

	private async outcome(id: string, written: boolean): Promise<Write<NotebookRecord>> {
		return outcomeOf(written, await this.find(id));
	}
}

function toRecord(row: Selectable<NotebookTable>): NotebookRecord | SetAside {
	const notebook = readJson(notebookSchema, row.content);
	if (!notebook.ok)
		return { what: 'notebook', id: row.id, name: row.name, reason: reasonOf(notebook.faults) };
	return {
		id: row.id,
		revision: row.revision,
		deleted: row.deleted_at !== null,
		notebook: notebook.value
	};
}
