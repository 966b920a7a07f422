import { error } from '@sveltejs/kit';
import { correctionFor } from '$lib/core/paper';
import { pdfResponse } from '$lib/server/pdf-response';
import { placedMonth } from '$lib/server/shelf';
import type { RequestHandler } from './$types';

/** A kept month's pages at true size, corrected for the printer in `?printer=` where one is named. */
export const GET: RequestHandler = async ({ params, locals, url }) => {
	const placed = await placedMonth(locals.store, params.id, locals.person);
	if (!placed) error(404, 'There is no such month.');
	const wanted = url.searchParams.get('printer');
	const printer = (await locals.store.person.printers()).find(({ id }) => id === wanted);
	return pdfResponse(placed.plan, placed.run, url.searchParams, printer && correctionFor(printer));
};
