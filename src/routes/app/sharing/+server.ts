import { problem } from '$lib/server/answer/problem';
import { sharedBy } from '$lib/server/network/shared';
import { sharing } from '$lib/server/network/sharing';
import type { RequestHandler } from './$types';

/** Lets paired devices of the network in, until it is switched off or the program ends; only from this machine itself. */
export const POST: RequestHandler = async ({ platform }) => {
	const refusal = refused(platform);
	if (refusal) return refusal;
	try {
		await sharing()?.start();
	} catch (error) {
		return problem(409, 'Not shared', error instanceof Error ? error.message : String(error));
	}
	return new Response(null, { status: 204 });
};

/** Answers on this machine only again; paired devices stay known. */
export const DELETE: RequestHandler = async ({ platform }) => {
	const refusal = refused(platform);
	if (refusal) return refusal;
	await sharing()?.stop();
	return new Response(null, { status: 204 });
};

function refused(platform: App.Platform | undefined): Response | undefined {
	if (sharedBy(platform?.req))
		return problem(403, 'Not here', 'Sharing is switched on and off on the machine itself.');
	if (!sharing())
		return problem(409, 'Not here', 'Whoever serves Horarium here decides where it answers.');
	return undefined;
}
