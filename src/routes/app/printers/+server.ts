import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/app-request';
import { printerSchema } from '$lib/server/schemas';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
	const read = await readChecked(request, printerSchema);
	if (!read.ok) return read.refusal;
	await locals.store.person.setPrinter(read.value.name, read.value);
	return json(await locals.store.person.printers(), { status: 201 });
};
