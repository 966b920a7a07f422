import { apiResponse } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** A plan in, its notebook page `?page=` out as an SVG in mm; nothing is stored. */
export const POST: RequestHandler = (event) => apiResponse(event, 'svg');
