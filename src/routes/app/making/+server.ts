import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** How the person works: evenings, inks, and the rules that are switched off. */
export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'making');
	if (!read.ok) return read.refusal;
	await event.locals.store.person.setMaking(read.value);
	return json(read.value);
};
