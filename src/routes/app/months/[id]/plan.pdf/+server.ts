import { monthSheet } from '$lib/server/shelf/month-sheet';
import type { RequestHandler } from './$types';

/** A kept month’s pages at true size, corrected for the printer in `?printer=` where one is named. */
export const GET: RequestHandler = (event) => monthSheet(event, event.params.id, 'pdf');
