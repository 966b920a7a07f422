import { error } from '@sveltejs/kit';
import { planRun, planOf } from '$lib/core/fit';
import { pdfResponse } from '$lib/server/pdf-response';
import type { RequestHandler } from './$types';

/** A kept month's pages at true size. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const month = await locals.store.months.find(params.id);
	const notebook = month && (await locals.store.notebooks.find(month.notebookId));
	if (!month || !notebook) error(404, 'There is no such month.');
	const plan = planOf(month, notebook.notebook, locals.locale);
	return pdfResponse(plan, planRun(plan));
};
