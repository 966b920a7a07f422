import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const notebooks = await locals.store.notebooks.all();
	const notebook = notebooks.findLast((record) => !record.deleted)?.notebook;
	return { person: locals.person, columns: notebook?.columns ?? 28, rows: notebook?.rows ?? 40 };
};
