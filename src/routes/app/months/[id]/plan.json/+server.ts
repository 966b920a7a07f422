import { error } from '@sveltejs/kit';
import { toDocument } from '$lib/core/formats';
import { formatMonth } from '$lib/core/month';
import { placedMonth } from '$lib/server/shelf/shelf';
import type { RequestHandler } from './$types';

/** A kept month as a plan document, to be saved as a file: with the pages that its book leaves it. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const placed = await placedMonth(locals.store, params.id, locals.person);
	if (!placed) error(404, 'There is no such month.');
	const name = `horarium-${formatMonth(placed.plan.month)}.json`;
	return new Response(JSON.stringify(toDocument(placed.plan), null, '\t'), {
		headers: {
			'content-type': 'application/json',
			'content-disposition': `attachment; filename="${name}"`,
			'cache-control': 'no-store'
		}
	});
};
