import { json } from '@sveltejs/kit';
import { planRun } from '$lib/core/fit';
import { runDocument } from '$lib/core/formats';
import { readPlan } from '$lib/server/plan-request';
import type { RequestHandler } from './$types';

/** A plan in, its run out; nothing is stored. */
export const POST: RequestHandler = async ({ request, url }) => {
	const read = await readPlan(request);
	if (!read.ok) return read.refusal;
	const include = url.searchParams.get('include')?.split(',') ?? [];
	return json(runDocument(read.plan, planRun(read.plan), include.includes('marks')));
};
