import { apiResponse } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** A plan in, its run out; nothing is stored. `?include=marks,remedies` adds what takes longer. */
export const POST: RequestHandler = (event) => apiResponse(event, 'plan');
