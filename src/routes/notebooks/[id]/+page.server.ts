import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const record = await locals.store.notebooks.find(params.id);
	if (!record || record.deleted) error(404, 'There is no such notebook.');
	return { record };
};
