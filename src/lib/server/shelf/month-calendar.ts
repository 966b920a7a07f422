import { error } from '@sveltejs/kit';
import { calendarFile, planEntries, sittingEntries } from '$lib/core/formats/outside/icalendar-out';
import { movedDays } from '$lib/core/making';
import { monthTitle } from '$lib/core/month';
import { placedMonth } from './shelf';
import { makingApart, TooMuch } from '../work';

/** A kept month as a calendar file: only the sittings in which it is made, or all of it. */
export async function monthCalendar(
	{ store, person }: App.Locals,
	id: string,
	what: 'sittings' | 'plan'
): Promise<Response> {
	const placed = await placedMonth(store, id, person);
	if (!placed) error(404, 'There is no such month.');
	const { plan, run, record, trouble } = placed;
	if (trouble !== undefined) throw new TooMuch(trouble);
	const making = await store.person.making();
	const { sittings } = await makingApart({
		plan,
		run,
		workshop: making,
		evenings: making.evenings,
		today: new Date().toISOString().slice(0, 10),
		moved: movedDays(await store.makings.of(record.id))
	});
	const entries = [
		...(what === 'plan' ? planEntries(plan, run, await store.person.yearly(), record.id) : []),
		...sittingEntries(sittings, monthTitle('en', plan.month), record.id)
	];
	const name = what === 'plan' ? `horarium-${record.month}` : `sittings-${record.month}`;
	return new Response(calendarFile(entries, Date.now()), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': `attachment; filename="${name}.ics"`
		}
	});
}
