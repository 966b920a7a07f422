import { readChecked, written } from '$lib/server/shelf/app-request';
import { monthFault } from '$lib/server/shelf/month-fault';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'monthChange');
	if (!read.ok) return read.refusal;
	const { revision, ...content } = read.value;
	const { store } = event.locals;
	const book = await store.notebooks.find(content.notebookId);
	const refusal = monthFault(book?.notebook, content);
	if (refusal) return refusal;
	return written(await store.months.update(event.params.id, revision, content), 'month');
};

export const PATCH: RequestHandler = async (event) => {
	const read = await readChecked(event, 'deleted');
	if (!read.ok) return read.refusal;
	const { months } = event.locals.store;
	return written(await months.setDeleted(event.params.id, read.value.deleted), 'month');
};
