import { error } from '@sveltejs/kit';
import { planOf, planRun } from '$lib/core/fit';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals, depends }) => {
	depends('horarium:month');
	const record = await locals.store.months.find(params.id);
	const notebook = record && (await locals.store.notebooks.find(record.notebookId));
	if (!record || record.deleted || !notebook) error(404, 'There is no such month.');
	const { month, weekStart, aim, wishes } = record;
	const kept = { month, weekStart, aim, wishes };
	return {
		desk: {
			id: record.id,
			revision: record.revision,
			notebookId: notebook.id,
			notebook: notebook.notebook,
			month: kept,
			locale: locals.locale,
			run: planRun(planOf(kept, notebook.notebook, locals.locale))
		}
	};
};
