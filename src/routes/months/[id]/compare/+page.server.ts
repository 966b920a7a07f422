import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	notebooks: (await locals.store.notebooks.all()).map(({ id, notebook }) => ({ id, notebook }))
});
