import { error } from '@sveltejs/kit';
import { indexLines } from '$lib/core/fit';
import { monthsInBook, pagesLeft } from '$lib/server/shelf';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
	const record = await locals.store.notebooks.find(params.id);
	if (!record || record.deleted) error(404, 'There is no such notebook.');
	const placed = await monthsInBook(locals.store, record.id, record.notebook, locals.person);
	return {
		record,
		left: pagesLeft(record.notebook, placed),
		planned: placed.map(({ record: { id, month }, plan, run }) => ({
			id,
			month,
			pages: run.pagesUsed,
			first: run.pages.at(0)?.number,
			last: run.pages.at(-1)?.number,
			titles: indexLines(plan, run).length
		}))
	};
};
