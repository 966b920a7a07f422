import type { PageServerLoad } from './$types';

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
