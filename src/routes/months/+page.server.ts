import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const notebooks = await locals.store.notebooks.all();
	const names = new Map(notebooks.map(({ id, notebook }) => [id, notebook.name]));
	const months = (await locals.store.months.all()).map((month) => ({
		...month,
		notebook: names.get(month.notebookId) ?? ''
	}));
	const latest = months.findLast((month) => !month.deleted);
	return {
		notebooks: notebooks
			.filter(({ deleted }) => !deleted)
			.map(({ id, notebook }) => ({ id, notebook })),
		all: months.filter((month) => !month.deleted),
		deleted: months.filter((month) => month.deleted),
		/** A new month starts from the last one's set. */
		latest: latest && (await locals.store.months.find(latest.id))
	};
};
