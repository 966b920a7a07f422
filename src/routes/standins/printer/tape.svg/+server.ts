import { onlyWithStandins } from '$lib/server/network/standins';
import { printedTape } from '$lib/standins';
import type { RequestHandler } from './$types';

/** What the label printer printed last. */
export const GET: RequestHandler = () => {
	onlyWithStandins();
	return new Response(printedTape(), {
		headers: { 'content-type': 'image/svg+xml', 'cache-control': 'no-store' }
	});
};
