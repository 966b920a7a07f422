import { json } from '@sveltejs/kit';
import { handSchema } from '$lib/core/formats';
import { readChecked } from '$lib/server/app-request';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ request, locals }) => {
	const read = await readChecked(request, handSchema);
	if (!read.ok) return read.refusal;
	await locals.store.person.setHand(read.value);
	return json(read.value);
};
