import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'ownKind');
	if (!read.ok) return read.refusal;
	const { name, wish } = read.value;
	return json(await event.locals.store.kinds.create(name, wish), { status: 201 });
};
