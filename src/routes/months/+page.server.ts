import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
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
	return {
		setAside,
		notebooks: notebooks
			.filter(({ deleted }) => !deleted)
			.map(({ id, notebook }) => ({ id, notebook })),
		all: months.filter((month) => !month.deleted),
		deleted: months.filter((month) => month.deleted),
		/** A new month starts from the last one's set. */
		latest: latest && (await locals.store.months.find(latest.id))
	};
};
