import { problem } from '$lib/server/answer/problem';
import { handedTo, handOver } from '$lib/server/network/handed-over';
import { readPicture } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** Lays a picture down for the desk; it is held in memory and never kept. */
export const POST: RequestHandler = async (event) => {
	const type = event.request.headers.get('content-type') ?? '';
	if (!type.startsWith('image/'))
		return problem(
			415,
			'Not a picture',
			'A picture is sent with its media type, such as image/jpeg.'
		);
	const read = await readPicture(event, event.params.id);
	if (!read.ok) return read.refusal;
	handOver(event.params.id, { type, bytes: read.value }, Date.now());
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
