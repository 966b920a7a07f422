import { checked } from '$lib/core/formats';
import type { KeptMonth } from '$lib/core/fit';
import { sql, type Selectable } from 'kysely';
import type { Db, MonthTable } from '../keep/database';
import { reasonOf, type SetAside } from '../keep/kept';
import { monthContentSchema } from '../keep/schemas';

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

/** A month and its wishes, each as JSON in a text of a JSON list. */
type MonthRow = Selectable<MonthTable> & { readonly wishes: string };

/** Months with their wishes, in one query, so that no write comes in between. */
export function monthRows(db: Db) {
	return db
		.selectFrom('month')
		.selectAll()
		.select(
			sql<string>`(select json_group_array(content) from
				(select content from wish where month_id = month.id order by position))`.as('wishes')
		)
		.orderBy('month');
}

/**
 * What a row says of its month, unchecked.
 * @throws SyntaxError when a part of it is no JSON.
 */
export function contentIn(row: MonthRow): Record<string, unknown> {
	return {
		notebookId: row.notebook_id,
		month: row.month,
		weekStart: row.week_start,
		aim: row.aim,
		...(row.sizes === null ? {} : { sizes: row.sizes }),
		...(row.titles === null ? {} : { titles: row.titles }),
		...(row.theme === null ? {} : { theme: JSON.parse(row.theme) }),
		...(row.lately === null ? {} : { lately: JSON.parse(row.lately) }),
		wishes: textsIn(row.wishes).map((content): unknown => JSON.parse(content)),
		...(row.drawn === null ? {} : { drawn: JSON.parse(row.drawn) }),
		...(row.cuts === null ? {} : { cuts: JSON.parse(row.cuts) })
	};
}

/** The month of a row, or why it cannot be read. */
export function monthOf(row: MonthRow): MonthRecord | SetAside {
	const setAside = (reason: string): SetAside => ({
		what: 'month',
		id: row.id,
		name: row.month,
		reason
	});
	let content: Record<string, unknown>;
	try {
		content = contentIn(row);
	} catch {
		return setAside('a part of it is no JSON');
	}
	const read = checked(monthContentSchema, content);
	if (!read.ok) return setAside(reasonOf(read.faults));
	return {
		id: row.id,
		revision: row.revision,
		deleted: row.deleted_at !== null,
		...contentOf(read.value)
	};
}

/** What was checked as a month, without fields that hold nothing. */
export function contentOf(checked: MonthContent): MonthContent {
	const { notebookId, month, weekStart, aim, sizes, titles, theme, lately, wishes, drawn, cuts } =
		checked;
	return {
		notebookId,
		month,
		weekStart,
		aim,
		wishes,
		...(sizes ? { sizes } : {}),
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
