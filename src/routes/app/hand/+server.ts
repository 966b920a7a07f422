import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'hand');
	if (!read.ok) return read.refusal;
	await event.locals.store.person.setHand(read.value);
	return json(read.value);
};
