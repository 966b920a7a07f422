import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/app-request';
import { problem } from '$lib/server/problem';
import { deletedSchema, nameSchema } from '$lib/server/schemas';
import type { RequestHandler } from './$types';

const found = (done: boolean) =>
	done ? json({}) : problem(404, 'Not found', 'There is no kind with this id.');

export const PUT: RequestHandler = async ({ request, params, locals }) => {
	const read = await readChecked(request, nameSchema);
	if (!read.ok) return read.refusal;
	return found(await locals.store.kinds.rename(params.id, read.value.name));
};

export const PATCH: RequestHandler = async ({ request, params, locals }) => {
	const read = await readChecked(request, deletedSchema);
	if (!read.ok) return read.refusal;
	return found(await locals.store.kinds.setDeleted(params.id, read.value.deleted));
};
