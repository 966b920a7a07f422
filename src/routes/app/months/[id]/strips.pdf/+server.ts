import { monthSheet } from '$lib/server/shelf/month-sheet';
import type { RequestHandler } from './$types';

/**
 * Tick strips of a kept month, or of its page `?page=`, on `?paper=` a4 or letter, corrected for the printer
 * in `?printer=` where one is named.
 */
export const GET: RequestHandler = (event) => monthSheet(event, event.params.id, 'strips');
