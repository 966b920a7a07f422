import { json } from '@sveltejs/kit';
import { subjectOf } from '$lib/core/draw';
import { daysIn, parseMonth } from '$lib/core/month';
import { toCsv } from '$lib/core/records';
import { readChecked } from '$lib/server/shelf/app-request';
import { faulty, problem } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

const mostBytes = 4 * 1024 * 1024;

/** What was filled in under a wish of a month, as CSV; all of the month's entries as JSON where no wish is named. */
export const GET: RequestHandler = async ({ params, locals, url }) => {
	const { store } = locals;
	const month = await store.months.find(params.id);
	if (!month) return problem(404, 'Not found', 'There is no month with this id.');
	const entries = await store.records.ofMonth(params.id);
	const wish = url.searchParams.get('wish');
	if (wish === null) return json(entries);
	return new Response(toCsv(entries.filter((entry) => entry.wish === wish)), {
		headers: {
			'content-type': 'text/csv; charset=utf-8; header=present',
			'content-disposition': `attachment; filename="${month.month}-${encodeURIComponent(wish)}.csv"`
		}
	});
};

/** Sets and takes away entries of a month; tells what stands where a change was made over something else. */
export const PUT: RequestHandler = async (event) => {
	const read = await readChecked(event, 'records', mostBytes);
	if (!read.ok) return read.refusal;
	const { store } = event.locals;
	const month = await store.months.find(event.params.id);
	if (!month) return problem(404, 'Not found', 'There is no month with this id.');
	const shape = parseMonth(month.month);
	const days = shape ? daysIn(shape) : 31;
	const late = read.value.changes.flatMap(({ about }, at) => {
		const day = subjectOf(about)?.day ?? 1;
		const message = `must be about a day from 1 to ${days}; it is about day ${day}`;
		return day > days ? [{ path: `changes[${at}].about`, message }] : [];
	});
	if (late.length > 0) return faulty(late);
	const standing = await store.records.change(event.params.id, read.value.changes);
	return json({ kept: read.value.changes.length - standing.length, standing });
};
