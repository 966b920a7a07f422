import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const { months, notebooks, makings, person } = locals.store;
	const month = await months.find(params.id);
	const book = month && (await notebooks.find(month.notebookId));
	if (!book) error(404, 'There is no such month.');
	return { making: await person.making(), progress: await makings.of(params.id), book };
};
