import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { problem } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

/** Adds what a window knows of how far a month is made; the answer is what all windows know. */
export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'progress');
	if (!read.ok) return read.refusal;
	const { id } = event.params;
	const { store } = event.locals;
	const month = await store.months.find(id);
	if (!month) return problem(404, 'Not found', 'There is no month with this id.');
	return json(await store.makings.add(id, read.value));
};
