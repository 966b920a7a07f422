import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { problem } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

export const PATCH: RequestHandler = async (event) => {
	const read = await readChecked(event, 'deleted');
	if (!read.ok) return read.refusal;
	const done = await event.locals.store.sets.setDeleted(event.params.id, read.value.deleted);
	return done ? json({}) : problem(404, 'Not found', 'There is no set with this id.');
};
