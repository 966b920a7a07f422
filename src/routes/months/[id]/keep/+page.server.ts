import { hasStandins } from '$lib/server/network/standins';
import { sharedAddresses, sharedBy } from '$lib/server/network/shared';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url, platform }) => ({
	entries: await locals.store.records.ofMonth(params.id),
	bank: await locals.store.person.bank(),
	// Where there is a stand-in, its address is proposed.
	band:
		(await locals.store.person.outside()).band ??
		(hasStandins() ? `${url.origin}/standins/band` : ''),
	// Whether this screen is another device's, or hears of pictures from one.
	shared: sharedBy(platform?.req)
		? ('elsewhere' as const)
		: sharedAddresses().length > 0
			? ('here' as const)
			: undefined,
	camera: hasStandins() ? '/standins#camera' : undefined
});
