import { json } from '@sveltejs/kit';
import { bytesOf, faulty, problem } from '$lib/server/answer/problem';
import { keepPhotograph, mostPhotographBytes } from '$lib/server/keep/photograph-files';
import { refusedQuery } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** Pages of the thickest book. */
const mostPage = 2000;

/** Keeps a photograph of the page that `?page=` says. */
export const POST: RequestHandler = async ({ request, params, url, locals }) => {
	const refused = refusedQuery(url, { page: 'any' });
	if (refused) return refused;
	const page = Number(url.searchParams.get('page'));
	if (!Number.isInteger(page) || page < 1 || page > mostPage)
		return faulty([{ path: 'page', message: `must be a whole number from 1 to ${mostPage}` }]);
	const { months, photographs } = locals.store;
	if (!(await months.find(params.id)))
		return problem(404, 'Not found', 'There is no month with this id.');
	const bytes = await bytesOf(request, mostPhotographBytes);
	if (!bytes)
		return problem(
			413,
			'Too large',
			`A picture may have at most ${mostPhotographBytes / 1024 ** 2} MB.`
		);
	const file = keepPhotograph(locals.store.photographFolder, bytes);
	if (!file)
		return problem(415, 'Not a picture', 'Photographs are kept as JPEG, PNG or WebP pictures.');
	return json({ id: await photographs.add(params.id, page, file) }, { status: 201 });
};
