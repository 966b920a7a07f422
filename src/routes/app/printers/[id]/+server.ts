import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const DELETE: RequestHandler = async ({ params, locals }) => {
	await locals.store.person.removePrinter(params.id);
	return json(await locals.store.person.printers());
};
