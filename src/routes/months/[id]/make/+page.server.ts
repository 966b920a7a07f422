import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	making: await locals.store.person.making()
});
