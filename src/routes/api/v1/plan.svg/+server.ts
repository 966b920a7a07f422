import { planRun } from '$lib/core/fit';
import { svgResponse } from '$lib/server/page-response';
import { readPlan } from '$lib/server/plan-request';
import type { RequestHandler } from './$types';

/** A plan in, its notebook page `?page=` out as an SVG in mm; nothing is stored. */
export const POST: RequestHandler = async ({ request, url }) => {
	const read = await readPlan(request);
	if (!read.ok) return read.refusal;
	return svgResponse(read.plan, planRun(read.plan), url.searchParams);
};
