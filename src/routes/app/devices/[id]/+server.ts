import type { RequestHandler } from './$types';

/** Puts a device out: it is asked for a code again. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
	await locals.store.devices.remove(params.id);
	return Response.json({ removed: params.id });
};
