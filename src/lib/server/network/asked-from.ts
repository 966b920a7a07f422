import type { RequestEvent } from '@sveltejs/kit';
import { sharedBy } from './shared';

/**
 * Whether a request may have an address on this very machine asked: one that came in by the network, as a tablet's does, only
 * where the address was saved on the machine itself.
 */
export async function mayAskThisMachine(
	{ platform, locals }: RequestEvent,
	address: string
): Promise<boolean> {
	if (!sharedBy(platform?.req)) return true;
	const { band, calendar, printer } = await locals.store.person.outside();
	return [band, calendar, printer].includes(address.trim());
}
