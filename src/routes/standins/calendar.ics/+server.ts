import { createHash } from 'node:crypto';
import { onlyWithStandins } from '$lib/server/network/standins';
import { behaviour, calendarFeed, inCharacter } from '$lib/standins';
import type { RequestHandler } from './$types';

/** A calendar's feed, with a tag that changes when it does. */
export const GET: RequestHandler = ({ request }) => {
	onlyWithStandins();
	return inCharacter(() => {
		const text = calendarFeed(behaviour().later);
		const etag = `"${createHash('sha256').update(text).digest('hex').slice(0, 16)}"`;
		const headers = { 'content-type': 'text/calendar; charset=utf-8', etag };
		return request.headers.get('if-none-match') === etag
			? new Response(undefined, { status: 304, headers })
			: new Response(text, { headers });
	});
};
