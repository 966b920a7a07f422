import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { problem } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

/** Keeps the wishes of a month as a set to begin others with. */
export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'monthSet');
	if (!read.ok) return read.refusal;
	const { store } = event.locals;
	const record = await store.months.find(read.value.monthId);
	if (!record) return problem(404, 'Not found', 'There is no month with this id.');
	const { month, weekStart, aim, titles, theme, wishes } = record;
	const content = {
		month,
		weekStart,
		aim,
		wishes,
		...(titles ? { titles } : {}),
		...(theme ? { theme } : {})
	};
	return json(await store.sets.create(read.value.name, content), { status: 201 });
};
