import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { monthFault } from '$lib/server/shelf/month-fault';
import { keptMonth, mostImportBytes } from '$lib/core/formats';
import type { RequestHandler } from './$types';

/** Takes a plan document: its notebook where it goes into none that is kept, its hand if wanted, and its month. */
export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'import', mostImportBytes);
	if (!read.ok) return read.refusal;
	const { document, notebookId, withHand } = read.value;
	const { notebook, hand } = document;
	const content = keptMonth(document);
	const { store } = event.locals;
	const kept = notebookId ? (await store.notebooks.find(notebookId))?.notebook : notebook;
	const refusal = monthFault(kept, content);
	if (refusal) return refusal;
	const made = await store.together(async ({ notebooks, person, months }) => {
		if (withHand) await person.setHand(hand);
		const into = notebookId || (await notebooks.create(notebook)).id;
		return months.create({ ...content, notebookId: into });
	});
	return json(made, { status: 201 });
};
