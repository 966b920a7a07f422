import { deviceCookie } from '$lib/server/network/shared';
import type { RequestHandler } from './$types';

/** Whether whoever sent the cookie is a paired device: 204, or 401. */
export const GET: RequestHandler = async ({ cookies, locals }) => {
	const token = cookies.get(deviceCookie);
	const known = token !== undefined && (await locals.store.devices.knows(token));
	return new Response(undefined, { status: known ? 204 : 401 });
};
