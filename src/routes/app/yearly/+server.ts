import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** What comes every year, such as birthdays. */
export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'yearly');
	if (!read.ok) return read.refusal;
	await event.locals.store.person.setYearly(read.value.yearly);
	return json(read.value);
};
