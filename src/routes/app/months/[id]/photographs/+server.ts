import { json } from '@sveltejs/kit';
import { faulty, problem } from '$lib/server/answer/problem';
import { keepPhotograph } from '$lib/server/keep/photograph-files';
import { readPicture, refusedQuery } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** Pages of the thickest book. */
const mostPage = 2000;

/** Keeps a photograph of the page that `?page=` says. */
export const POST: RequestHandler = async (event) => {
	const { params, url } = event;
	const refused = refusedQuery(url, { page: 'any' });
	if (refused) return refused;
	const page = Number(url.searchParams.get('page'));
	if (!Number.isInteger(page) || page < 1 || page > mostPage)
		return faulty([{ path: 'page', message: `must be a whole number from 1 to ${mostPage}` }]);
	const { photographs, photographFolder } = event.locals.store;
	const read = await readPicture(event, event.params.id);
	if (!read.ok) return read.refusal;
	const file = keepPhotograph(photographFolder, read.value);
	if (!file)
		return problem(415, 'Not a picture', 'Photographs are kept as JPEG, PNG or WebP pictures.');
	return json({ id: await photographs.add(params.id, page, file) }, { status: 201 });
};
