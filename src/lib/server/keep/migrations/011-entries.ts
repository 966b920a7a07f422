import { sql, type Kysely, type Migration } from 'kysely';

/** What was filled in, a row an entry: found by its month, then by wish and subject. */
export const entries: Migration = {
	async up(db: Kysely<unknown>) {
		await sql`create table if not exists entry (
			month_id text not null references month (id),
			wish text not null,
			about text not null,
			holds text not null,
			value text not null,
			primary key (month_id, wish, about)
		) without rowid`.execute(db);
	}
};
