import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** How the person’s banks write their statements, and what bookings were for. */
export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'bank');
	if (!read.ok) return read.refusal;
	await event.locals.store.person.setBank(read.value);
	return json(read.value);
};
