import { apiResponse } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

/** A plan in, its pages at true size out as a PDF, two on a sheet with `?sheet=`; nothing is stored. */
export const POST: RequestHandler = (event) => apiResponse(event, 'pdf');
