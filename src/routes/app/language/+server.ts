import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/app-request';
import { languageSchema } from '$lib/server/schemas';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ request, locals }) => {
	const read = await readChecked(request, languageSchema);
	if (!read.ok) return read.refusal;
	await locals.store.person.setLanguage(read.value.language);
	return json(read.value);
};
