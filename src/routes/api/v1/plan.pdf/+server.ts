import { planRun } from '$lib/core/fit';
import { pdfResponse } from '$lib/server/pdf-response';
import { readPlan } from '$lib/server/plan-request';
import type { RequestHandler } from './$types';

/** A plan in, its pages at true size out as a PDF, two on a sheet with `?sheet=`; nothing is stored. */
export const POST: RequestHandler = async ({ request, url }) => {
	const read = await readPlan(request);
	if (!read.ok) return read.refusal;
	return pdfResponse(read.plan, planRun(read.plan), url.searchParams);
};
