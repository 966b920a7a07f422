import { error } from '@sveltejs/kit';
import { sittingsCalendar } from '$lib/core/formats/icalendar-sittings';
import { movedDays } from '$lib/core/making';
import { monthTitle } from '$lib/core/month';
import { placedMonth } from '$lib/server/shelf';
import { makingApart } from '$lib/server/work';
import type { RequestHandler } from './$types';

/** The sittings of a kept month as a calendar file. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const { store, person } = locals;
	const placed = await placedMonth(store, params.id, person);
	if (!placed) error(404, 'There is no such month.');
	const { plan, run, record } = placed;
	const making = await store.person.making();
	const today = new Date().toISOString().slice(0, 10);
	const moved = movedDays(await store.makings.of(record.id));
	const { sittings } = await makingApart({
		plan,
		run,
		workshop: making,
		evenings: making.evenings,
		today,
		moved
	});
	const text = sittingsCalendar(sittings, monthTitle('en', plan.month), record.id, Date.now());
	return new Response(text, {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': `attachment; filename="sittings-${record.month}.ics"`
		}
	});
};
