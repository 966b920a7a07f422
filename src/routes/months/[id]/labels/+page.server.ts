import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	printer: (await locals.store.person.outside()).printer ?? ''
});
