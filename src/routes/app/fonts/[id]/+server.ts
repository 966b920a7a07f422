import { json } from '@sveltejs/kit';
import { fontType } from '$lib/core/render/fonts/faces';
import { readChecked } from '$lib/server/shelf/app-request';
import { problem } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

const missing = () => problem(404, 'Not found', 'There is no font with this id.');

/** The file, for the screens to write with. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const file = await locals.store.fonts.file(params.id);
	if (!file) return missing();
	return new Response(new Uint8Array(file), {
		headers: {
			'content-type': fontType(file),
			'cache-control': 'private, max-age=31536000, immutable'
		}
	});
};

export const PATCH: RequestHandler = async (event) => {
	const read = await readChecked(event, 'deleted');
	if (!read.ok) return read.refusal;
	const done = await event.locals.store.fonts.setDeleted(event.params.id, read.value.deleted);
	return done ? json({}) : missing();
};
