import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { monthFault } from '$lib/server/shelf/month-fault';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'month');
	if (!read.ok) return read.refusal;
	const { store } = event.locals;
	const book = await store.notebooks.find(read.value.notebookId);
	const refusal = monthFault(book?.notebook, read.value);
	if (refusal) return refusal;
	return json(await store.months.create(read.value), { status: 201 });
};
