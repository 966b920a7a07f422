import { monthCalendar } from '$lib/server/shelf/month-calendar';
import type { RequestHandler } from './$types';

/** The sittings of a kept month as a calendar file. */
export const GET: RequestHandler = ({ params, locals }) =>
	monthCalendar(locals, params.id, 'sittings');
