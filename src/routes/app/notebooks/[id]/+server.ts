import { readChecked, written } from '$lib/server/shelf/app-request';
import { keptCutsFault } from '$lib/server/shelf/kept-cuts';
import { faulty } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'notebookChange');
	if (!read.ok) return read.refusal;
	const { revision, notebook } = read.value;
	const { store } = event.locals;
	const fault = await keptCutsFault(store, event.params.id, notebook);
	if (fault) return faulty([fault]);
	return written(await store.notebooks.update(event.params.id, revision, notebook), 'notebook');
};

export const PATCH: RequestHandler = async (event) => {
	const read = await readChecked(event, 'deleted');
	if (!read.ok) return read.refusal;
	const { notebooks } = event.locals.store;
	return written(await notebooks.setDeleted(event.params.id, read.value.deleted), 'notebook');
};
