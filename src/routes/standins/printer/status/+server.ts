import { json } from '@sveltejs/kit';
import { onlyWithStandins } from '$lib/server/network/standins';
import { behaviour, inCharacter, printerStatus } from '$lib/standins';
import type { RequestHandler } from './$types';

/** How the label printer is, and how much tape it has. */
export const GET: RequestHandler = () => {
	onlyWithStandins();
	return inCharacter(() => json(printerStatus(behaviour())));
};
