import { monthSheet } from '$lib/server/shelf/month-sheet';
import type { RequestHandler } from './$types';

/** Labels of a kept month as a label printer prints them, side by side. */
export const GET: RequestHandler = (event) => monthSheet(event, event.params.id, 'tape');
