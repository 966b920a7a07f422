import { monthSheet } from '$lib/server/shelf/month-sheet';
import type { RequestHandler } from './$types';

/** Labels of a kept month to be cut out: those of the sets in `?sets=`. */
export const GET: RequestHandler = (event) => monthSheet(event, event.params.id, 'labels.pdf');
