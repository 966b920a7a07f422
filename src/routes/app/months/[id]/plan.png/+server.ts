import { error } from '@sveltejs/kit';
import { pngResponse } from '$lib/server/page-response';
import { placedMonth } from '$lib/server/shelf';
import type { RequestHandler } from './$types';

/** A page of a kept month as a picture of a chosen resolution. */
export const GET: RequestHandler = async ({ params, locals, url }) => {
	const placed = await placedMonth(locals.store, params.id, locals.person);
	if (!placed) error(404, 'There is no such month.');
	return pngResponse(placed.plan, placed.run, url.searchParams);
};
