import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { problem } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

const found = (done: boolean) =>
	done ? json({}) : problem(404, 'Not found', 'There is no kind with this id.');

export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'name');
	if (!read.ok) return read.refusal;
	return found(await event.locals.store.kinds.rename(event.params.id, read.value.name));
};

export const PATCH: RequestHandler = async (event) => {
	const read = await readChecked(event, 'deleted');
	if (!read.ok) return read.refusal;
	return found(await event.locals.store.kinds.setDeleted(event.params.id, read.value.deleted));
};
