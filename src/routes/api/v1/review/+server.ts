import { apiResponse } from '$lib/server/shelf/app-request';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = (event) => apiResponse(event, 'review');
