import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'notebook');
	if (!read.ok) return read.refusal;
	return json(await event.locals.store.notebooks.create(read.value), { status: 201 });
};
