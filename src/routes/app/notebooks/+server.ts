import { json } from '@sveltejs/kit';
import { notebookSchema } from '$lib/core/formats';
import { readChecked } from '$lib/server/app-request';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
	const read = await readChecked(request, notebookSchema);
	if (!read.ok) return read.refusal;
	return json(await locals.store.notebooks.create(read.value), { status: 201 });
};
