import { allCompleted } from '$lib/core/catalogue';
import { PackingCache, runAlong, sizeSteps, type Plan, type Run } from '$lib/core/fit';
import { readJson, planSchema, runDocument, toPlan } from '$lib/core/formats';
import { pageGuide, sentenceOf } from '$lib/core/guide';
import type { FontFile } from './fonts';
import { pdfResponse } from './pdf-response';
import { svgResponse } from './page-response';
import { faulty, tooMuch } from './problem';
import { queryFaults, type Asks } from './query';
import { isRecordsRoute, recordsAnswer, type RecordsRoute } from './records-answers';
import { sizeFault } from './size-fault';

/** A request of the open API. */
export interface ApiRequest {
	readonly route: ApiRoute;
	readonly body: string;
	readonly query: string;
	/** Whether the answer is wanted as plain text. */
	readonly plain: boolean;
	/** The person's own. */
	readonly fonts: readonly FontFile[];
}

export type ApiRoute = 'plan' | 'pdf' | 'svg' | 'guide' | RecordsRoute;

const onlyValues = ['lines', 'stencil'];

/** What each address may be asked in its query. */
export const asks = {
	plan: { include: 'any' },
	pdf: {
		sheet: ['a4', 'letter'],
		order: ['spreads', 'leaves'],
		page: 'any',
		only: onlyValues
	},
	svg: { page: 'any', only: onlyValues },
	png: { page: 'any', only: onlyValues, dpi: 'any' },
	guide: {},
	tally: {},
	review: {},
	'work-order': {},
	strips: { page: 'any', paper: ['a4', 'letter'] },
	'labels.pdf': { sets: 'any', high: 'any', paper: ['a4', 'letter'] },
	'labels.svg': { sets: 'any', high: 'any', paper: ['a4', 'letter'], page: 'any' },
	tape: { sets: 'any', high: 'any' },
	label: { sets: 'any', high: 'any', label: 'any' },
	none: {}
} satisfies Record<string, Asks>;

/** Requests that plan with the sizes that they ask for; a kept month says itself which it tries. */
const ofPlanning: Readonly<Partial<Record<ApiRoute, Asks>>> = Object.fromEntries(
	(['plan', 'pdf', 'svg', 'guide', 'work-order'] as const).map((route) => [
		route,
		{ sizes: sizeSteps }
	])
);

const included = ['marks', 'remedies'];

/** Answers a request of the open API: checks it, plans, and draws what is asked for. */
export async function answer(request: ApiRequest): Promise<Response> {
	const { route, body, query, plain, fonts } = request;
	const asked = new URLSearchParams(query);
	const faults = queryFaults(asked, { ...asks[route], ...ofPlanning[route] });
	if (faults.length > 0) return faulty(faults);
	const sizes = sizeSteps.find((step) => step === asked.get('sizes'));
	if (isRecordsRoute(route)) return recordsAnswer(route, body, sizes);
	const include = asked.get('include')?.split(',') ?? [];
	const unknown = include.find((name) => !included.includes(name));
	if (unknown !== undefined)
		return faulty([
			{
				path: 'include',
				message: `must be a comma list of ${included.join(', ')}; “${unknown}” is none of them`
			}
		]);
	const document = readJson(planSchema, body);
	if (!document.ok) return faulty(document.faults);
	// A request says what it wants; a file that was saved also says by its silence what was taken away.
	const { wishes, ...rest } = document.value;
	const asPlanned = toPlan({ ...rest, wishes: allCompleted(wishes), ...(sizes ? { sizes } : {}) });
	const large = sizeFault(asPlanned);
	if (large) return tooMuch(large);
	const cache = new PackingCache();
	const { plan, run } = runAlong(asPlanned, cache);
	switch (route) {
		case 'plan':
			return Response.json(
				runDocument(plan, run, {
					marks: include.includes('marks'),
					remedies: include.includes('remedies') ? cache : undefined
				})
			);
		case 'pdf':
			return pdfResponse(plan, run, asked, fonts);
		case 'svg':
			return svgResponse(plan, run, asked, fonts);
		case 'guide':
			return guideResponse(plan, run, plain);
	}
}

/** The counting guide of each page of a run: numbers and sentences, or sentences alone. */
function guideResponse(plan: Plan, run: Run, plain: boolean): Response {
	const guides = run.pages.map(({ number }) => pageGuide(plan, run, number));
	if (plain)
		return new Response(
			guides
				.map(({ page, size, cuts, cutsBetween, steps, pastes, checks }) =>
					[
						`Page ${page}`,
						...cuts.map((cut) => (cutsBetween ? cut : `Cut first. ${cut}`)),
						...steps.map((step, index) => `${index + 1}. ${sentenceOf(step, size)}`),
						...pastes,
						...checks.map((check) => `– ${check}`)
					].join('\n')
				)
				.join('\n\n'),
			{ headers: { 'content-type': 'text/plain; charset=utf-8' } }
		);
	return Response.json({
		pages: guides.map(({ page, size, cuts, corners, steps, pastes, checks }) => ({
			page,
			cuts,
			corners,
			steps: steps.map((step) => ({ ...step, sentence: sentenceOf(step, size) })),
			...(pastes.length > 0 ? { pastes } : {}),
			checks
		}))
	});
}
