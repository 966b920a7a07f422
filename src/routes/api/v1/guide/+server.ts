import { apiResponse } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** A plan in, the counting guide of each of its pages out; nothing is stored. */
export const POST: RequestHandler = (event) => apiResponse(event, 'guide');
