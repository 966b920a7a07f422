import { blocksOn } from '$lib/core/page';
import type { Person } from '$lib/core/fit';
import { monthsInBook } from '$lib/server/shelf/shelf';
import type { Store } from '$lib/server/shelf/store';
import type { NotebookRecord } from '$lib/server/stores/notebooks';
import type { PageServerLoad } from './$types';

/** So many pages are shown of a month, and so many of the latest books are looked into. */
const [mostPages, mostBooks] = [8, 3];

/** The first pages of each month that have something on them, book by book. */
async function firstPages(
	store: Store,
	books: readonly NotebookRecord[],
	person: Person
): Promise<Record<string, readonly number[]>> {
	const found: Record<string, readonly number[]> = {};
	for (const { id, notebook } of books.slice(-mostBooks))
		for (const { record, run } of await monthsInBook(store, id, notebook, person))
			found[record.id] = run.pages
				.map(({ number }) => number)
				.filter((number) => blocksOn(run, number).length > 0)
				.slice(0, mostPages);
	return found;
}

/** All months, and what the next one begins with: `from` names a month, a set, or nothing; otherwise it is the latest month. */
export const load: PageServerLoad = async ({ locals, url }) => {
	const notebooks = await locals.store.notebooks.all();
	const setAside = await locals.store.setAside();
	const faulty = new Set(setAside.map(({ id }) => id));
	const names = new Map(notebooks.map(({ id, notebook }) => [id, notebook.name]));
	const readable = (await locals.store.months.all()).filter(({ id }) => !faulty.has(id));
	const months = readable.map((month) => ({
		...month,
		notebook: names.get(month.notebookId) ?? ''
	}));
	const latest = months.findLast((month) => !month.deleted);
	const sets = await locals.store.sets.all();
	const from = url.searchParams.get('from') ?? latest?.id;
	const set = sets.find(({ id, deleted }) => id === from && !deleted);
	const month = months.find(({ id }) => id === from);
	const chosen = month && (await locals.store.months.find(month.id));
	const open = notebooks.filter(({ deleted }) => !deleted);
	const asked = open.find(({ id }) => id === url.searchParams.get('book'));
	return {
		// Their pictures come later; the list does not wait for them, nor break without them.
		strips: firstPages(locals.store, open, locals.person).catch(
			(): Record<string, readonly number[]> => ({})
		),
		setAside,
		notebooks: open.map(({ id, notebook }) => ({ id, notebook })),
		all: months.filter((month) => !month.deleted),
		deleted: months.filter((month) => month.deleted),
		sets: sets.map(({ id, name, deleted }) => ({ id, name, deleted })),
		/** The book that is asked for, or the one that is being filled. */
		notebookId: (asked ?? open.find(({ id }) => id === latest?.notebookId) ?? open.at(-1))?.id,
		from: set?.id ?? chosen?.id ?? 'nothing',
		begin: set?.content ?? chosen,
		yearly: await locals.store.person.yearly()
	};
};
