import { deletedSchema, notebookContentSchema } from '$lib/server/schemas';
import { readChange, readChecked, written } from '$lib/server/app-request';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ request, params, locals }) => {
	const read = await readChange(request, notebookContentSchema);
	if (!read.ok) return read.refusal;
	const { revision, content } = read.value;
	return written(await locals.store.notebooks.update(params.id, revision, content.notebook));
};

export const PATCH: RequestHandler = async ({ request, params, locals }) => {
	const read = await readChecked(request, deletedSchema);
	if (!read.ok) return read.refusal;
	return written(await locals.store.notebooks.setDeleted(params.id, read.value.deleted));
};
