import { json } from '@sveltejs/kit';
import { newOffer } from '$lib/server/network/pairing';
import { problem } from '$lib/server/answer/problem';
import { sharedAddresses, sharedBy } from '$lib/server/network/shared';
import type { RequestHandler } from './$types';

/** A new code with which one device is paired; only this machine itself is given one. */
export const POST: RequestHandler = ({ platform }) => {
	if (sharedBy(platform?.req))
		return problem(403, 'Not here', 'Codes are shown on the machine itself.');
	if (sharedAddresses().length === 0)
		return problem(409, 'Not shared', 'Horarium answers on this machine only.');
	return json(newOffer(Date.now()));
};
