import { apiResponse } from '$lib/server/app-request';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = (event) => apiResponse(event, 'review');
