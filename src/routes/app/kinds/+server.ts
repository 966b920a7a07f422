import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/app-request';
import { ownKindSchema } from '$lib/server/schemas';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
	const read = await readChecked(request, ownKindSchema);
	if (!read.ok) return read.refusal;
	const { name, wish } = read.value;
	return json(await locals.store.kinds.create(name, wish), { status: 201 });
};
