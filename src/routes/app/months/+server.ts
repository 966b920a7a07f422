import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/app-request';
import { unknownNotebook } from '$lib/server/problem';
import { monthContentSchema } from '$lib/server/schemas';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
	const read = await readChecked(request, monthContentSchema);
	if (!read.ok) return read.refusal;
	if (!(await locals.store.notebooks.find(read.value.notebookId))) return unknownNotebook();
	return json(await locals.store.months.create(read.value), { status: 201 });
};
