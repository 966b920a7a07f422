import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	hand: locals.person.hand,
	language: (await locals.store.person.language()) ?? ''
});
