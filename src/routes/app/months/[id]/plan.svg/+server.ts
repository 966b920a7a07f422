import { monthSheet } from '$lib/server/shelf/month-sheet';
import type { RequestHandler } from './$types';

/** A page of a kept month as an SVG in mm. */
export const GET: RequestHandler = (event) => monthSheet(event, event.params.id, 'svg');
