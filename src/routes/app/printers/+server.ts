import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'printer');
	if (!read.ok) return read.refusal;
	const { person } = event.locals.store;
	await person.setPrinter(read.value.name, read.value);
	return json(await person.printers(), { status: 201 });
};
