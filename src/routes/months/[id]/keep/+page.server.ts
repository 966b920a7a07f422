import { hasStandins } from '$lib/server/network/standins';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => ({
	entries: await locals.store.records.ofMonth(params.id),
	bank: await locals.store.person.bank(),
	// Where there is a stand-in, its address is proposed.
	band:
		(await locals.store.person.outside()).band ??
		(hasStandins() ? `${url.origin}/standins/band` : ''),
	camera: hasStandins() ? '/standins#camera' : undefined
});
