import { error } from '@sveltejs/kit';
import { placedMonth } from '$lib/server/shelf/shelf';
import { hasStandins } from '$lib/server/network/standins';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals, depends, untrack, url }) => {
	depends('horarium:month');
	const placed = await placedMonth(locals.store, params.id, locals.person);
	if (!placed) error(404, 'There is no such month.');
	const { record, plan, run, trouble, next, themeBefore } = placed;
	const { month, weekStart, aim, sizes, titles, theme, lately, wishes, drawn, cuts } = record;
	return {
		printers: await locals.store.person.printers(),
		ownKinds: await locals.store.kinds.all(),
		// Where there is a stand-in, its address is proposed.
		calendar:
			(await locals.store.person.outside()).calendar ??
			// A spread that is opened or left has another address, and nothing anew to ask for.
			(hasStandins() ? `${untrack(() => url.origin)}/standins/calendar.ics` : ''),
		desk: {
			id: record.id,
			revision: record.revision,
			notebookId: record.notebookId,
			notebook: plan.notebook,
			month: { month, weekStart, aim, sizes, titles, theme, lately, wishes, drawn, cuts },
			earlierCuts: plan.earlierCuts ?? [],
			earlierWeeks: plan.earlierWeeks ?? [],
			person: locals.person,
			run,
			trouble,
			next,
			themeBefore
		}
	};
};
