import { monthCalendar } from '$lib/server/shelf/month-calendar';
import type { RequestHandler } from './$types';

/** A kept month as a calendar file: its events, goals, weeks and sittings, and what comes every year. */
export const GET: RequestHandler = ({ params, locals }) => monthCalendar(locals, params.id, 'plan');
