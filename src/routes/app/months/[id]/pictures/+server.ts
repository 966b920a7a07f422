import { bytesOf, problem } from '$lib/server/answer/problem';
import { mostPhotographBytes } from '$lib/server/keep/photograph-files';
import { handedTo, handOver } from '$lib/server/network/handed-over';
import type { RequestHandler } from './$types';

/** Lays a picture down for the desk; it is held in memory and never kept. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
	const type = request.headers.get('content-type') ?? '';
	if (!type.startsWith('image/'))
		return problem(
			415,
			'Not a picture',
			'A picture is sent with its media type, such as image/jpeg.'
		);
	if (!(await locals.store.months.find(params.id)))
		return problem(404, 'Not found', 'There is no month with this id.');
	const bytes = await bytesOf(request, mostPhotographBytes);
	if (!bytes)
		return problem(
			413,
			'Too large',
			`A picture may have at most ${mostPhotographBytes / 1024 ** 2} MB.`
		);
	handOver(params.id, { type, bytes }, Date.now());
	return new Response(null, { status: 202 });
};

/** The next picture that was laid down for this month, given once; 204 where none waits. */
export const GET: RequestHandler = ({ params }) => {
	const picture = handedTo(params.id, Date.now());
	return picture
		? new Response(new Uint8Array(picture.bytes), {
				headers: { 'content-type': picture.type, 'cache-control': 'no-store' }
			})
		: new Response(null, { status: 204 });
};
