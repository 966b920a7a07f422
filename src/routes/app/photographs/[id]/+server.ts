import { json } from '@sveltejs/kit';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { problem } from '$lib/server/answer/problem';
import { readChecked } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

const missing = () => problem(404, 'Not found', 'There is no photograph with this id.');

/** The picture. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const photograph = await locals.store.photographs.file(params.id);
	if (!photograph) return missing();
	const path = join(locals.store.photographFolder, photograph.hash);
	const bytes = await readFile(path).catch(() => undefined);
	if (!bytes) return problem(404, 'Not found', 'The file of this photograph is not there.');
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': photograph.type,
			'cache-control': 'private, max-age=31536000, immutable'
		}
	});
};

export const PATCH: RequestHandler = async (event) => {
	const read = await readChecked(event, 'deleted');
	if (!read.ok) return read.refusal;
	const done = await event.locals.store.photographs.setDeleted(event.params.id, read.value.deleted);
	return done ? json({}) : missing();
};
