import { hasStandins } from '$lib/server/network/standins';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => ({
	// Where there is a stand-in, its address is proposed.
	printer:
		(await locals.store.person.outside()).printer ??
		(hasStandins() ? `${url.origin}/standins/printer` : '')
});
