import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
	depends('horarium:notebooks');
	const all = await locals.store.notebooks.all();
	return {
		notebooks: all.filter((record) => !record.deleted),
		deleted: all.filter((record) => record.deleted)
	};
};
