import { json, text } from '@sveltejs/kit';
import { planRun } from '$lib/core/fit';
import { pageGuide, sentenceOf } from '$lib/core/guide';
import { readPlan } from '$lib/server/plan-request';
import type { RequestHandler } from './$types';

/** A plan in, the counting guide of each of its pages out: numbers and sentences, or sentences alone. */
export const POST: RequestHandler = async ({ request }) => {
	const read = await readPlan(request);
	if (!read.ok) return read.refusal;
	const run = planRun(read.plan);
	const guides = run.pages.map(({ number }) => pageGuide(read.plan, run, number));
	if (request.headers.get('accept')?.includes('text/plain'))
		return text(
			guides
				.map(({ page, size, cuts, steps, checks }) =>
					[
						`Page ${page}`,
						...cuts.map((cut) => `Cut first. ${cut}`),
						...steps.map((step, index) => `${index + 1}. ${sentenceOf(step, size)}`),
						...checks.map((check) => `– ${check}`)
					].join('\n')
				)
				.join('\n\n')
		);
	return json({
		pages: guides.map(({ page, size, cuts, corners, steps, checks }) => ({
			page,
			cuts,
			corners,
			steps: steps.map((step) => ({ ...step, sentence: sentenceOf(step, size) })),
			checks
		}))
	});
};
