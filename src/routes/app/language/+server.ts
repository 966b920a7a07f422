import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'language');
	if (!read.ok) return read.refusal;
	await event.locals.store.person.setLanguage(read.value.language);
	return json(read.value);
};
