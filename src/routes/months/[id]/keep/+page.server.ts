import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => ({
	entries: await locals.store.records.ofMonth(params.id)
});
