import type { Kysely, Migration } from 'kysely';
import { addColumn } from './add-column';
import { rewrite } from './rewrite';

/** Months say how titles are done, and what stood beside a calendar by name becomes its members. */
export const rooms: Migration = {
	async up(db: Kysely<unknown>) {
		await addColumn(db, 'month', 'titles');
		await addColumn(db, 'month', 'lately');
		await rewrite(db, 'wish', 'content', withMembers);
		await rewrite(db, 'own_kind', 'content', withMembers);
	}
};

/** A calendar that named sections beside it, with a list for each of them. */
function withMembers(value: unknown): unknown {
	if (typeof value !== 'object' || value === null) return value;
	const { parts, ...rest }: Record<string, unknown> = { ...value };
	const grid = rest.form === undefined || rest.form === 'month-grid';
	if (rest.kind !== 'month-calendar' || !grid || !Array.isArray(parts) || 'members' in rest)
		return value;
	const members = parts.slice(0, 3).map((title: unknown, index) => ({
		id: `${String(rest.id)}-section-${index + 1}`,
		kind: 'tasks',
		form: 'lists',
		title,
		...(rest.span === 'page' ? {} : { room: 'right' })
	}));
	return { ...rest, members };
}
