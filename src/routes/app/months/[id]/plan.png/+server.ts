import { monthSheet } from '$lib/server/shelf/month-sheet';
import type { RequestHandler } from './$types';

/** A page of a kept month as a picture of a chosen resolution. */
export const GET: RequestHandler = (event) => monthSheet(event, event.params.id, 'png');
