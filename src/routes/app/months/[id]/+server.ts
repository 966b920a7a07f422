import { readChange, readChecked, written } from '$lib/server/app-request';
import { unknownNotebook } from '$lib/server/problem';
import { deletedSchema, monthContentSchema } from '$lib/server/schemas';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ request, params, locals }) => {
	const read = await readChange(request, monthContentSchema);
	if (!read.ok) return read.refusal;
	const { revision, content } = read.value;
	if (!(await locals.store.notebooks.find(content.notebookId))) return unknownNotebook();
	return written(await locals.store.months.update(params.id, revision, content));
};

export const PATCH: RequestHandler = async ({ request, params, locals }) => {
	const read = await readChecked(request, deletedSchema);
	if (!read.ok) return read.refusal;
	return written(await locals.store.months.setDeleted(params.id, read.value.deleted));
};
