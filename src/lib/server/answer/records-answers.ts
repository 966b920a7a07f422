import { allCompleted } from '$lib/core/catalogue';
import { planRun, type Sizes } from '$lib/core/fit';
import {
	entriesSchema,
	list,
	makingSchema,
	missing,
	planSchema,
	readJson,
	record,
	toPlan,
	whole,
	words,
	type Fault
} from '$lib/core/formats';
import { subjectOf } from '$lib/core/draw';
import { allWishes } from '$lib/core/wish';
import { makingPlan, usualMaking } from '$lib/core/making';
import { daysIn, formatMonth, monthShape, parseMonth } from '$lib/core/month';
import { carried, effectOf, keptIn, nextPlan, review } from '$lib/core/next';
import { tallyOf, trackersOf } from '$lib/core/records';
import { faulty, tooMuch } from './problem';
import { sizeFault } from './size-fault';

const entries = entriesSchema;

/** So many months before the last one are looked at. */
const mostEarlier = 11;

/** Requests of the API about what was kept and how a month is made; each holds a plan document. */
export const recordsBodies = {
	tally: record({ plan: planSchema, entries, until: whole(1, 31) }).required(missing),
	review: record({
		plan: planSchema,
		entries,
		/** Months before it, the last one first. */
		earlier: list(record({ plan: planSchema, entries }).required(missing), 0, mostEarlier)
			.optional()
			.default([])
	}).required(missing),
	'work-order': record({
		plan: planSchema,
		making: makingSchema.optional().default(usualMaking),
		today: words(10)
			.matches(/^\d{4}-\d{2}-\d{2}$/, 'must be a day such as 2027-04-24')
			.required(missing)
	}).required(missing)
};

export type RecordsRoute = keyof typeof recordsBodies;

export function isRecordsRoute(route: string): route is RecordsRoute {
	return route in recordsBodies;
}

/** Answers a request about records or making, planned with `sizes` where they are asked for; nothing is stored. */
export function recordsAnswer(route: RecordsRoute, body: string, sizes?: Sizes): Response {
	switch (route) {
		case 'tally': {
			const read = readJson(recordsBodies.tally, body);
			return read.ok ? tallied(read.value) : faulty(read.faults);
		}
		case 'review': {
			const read = readJson(recordsBodies.review, body);
			return read.ok ? reviewed(read.value) : faulty(read.faults);
		}
		case 'work-order': {
			const read = readJson(recordsBodies['work-order'], body);
			if (!read.ok) return faulty(read.faults);
			const { plan } = read.value;
			return ordered({ ...read.value, plan: { ...plan, ...(sizes ? { sizes } : {}) } });
		}
	}
}

type Document = Parameters<typeof toPlan>[0];
type Asked = { readonly plan: Document; readonly entries: Parameters<typeof keptIn>[2] };
type ReviewAsked = Asked & { readonly earlier: readonly Asked[] };

/** A plan and its run, or the answer to one that asks for too much. */
function planned(document: Document) {
	const plan = toPlan({ ...document, wishes: allCompleted(document.wishes) });
	const large = sizeFault(plan);
	if (large) return { refusal: tooMuch({ ...large, path: `plan.${large.path}` }) };
	return { plan, run: planRun(plan) };
}

/** Entries that are about nothing of the month: a day that it lacks, or a wish that the plan does not know. */
function strayFaults({ plan, entries }: Asked): Fault[] {
	const month = parseMonth(plan.month);
	const days = month ? daysIn(month) : 31;
	const wishes = new Set([
		...allWishes(plan.wishes).map(({ id }) => id),
		...(plan.drawn?.blocks ?? []).map(({ wish }) => wish.id)
	]);
	return entries.flatMap(({ wish, about }, at): Fault[] => {
		const { day = 1 } = subjectOf(about) ?? {};
		const faults: Fault[] = [];
		// What is written besides the trackers, such as the month's review, has a name that no wish has.
		if (!wishes.has(wish) && !wish.startsWith('#'))
			faults.push({
				path: `entries[${at}].wish`,
				message: `must be a wish of the plan; none is called “${wish}”`
			});
		if (day > days)
			faults.push({
				path: `entries[${at}].about`,
				message: `must be about a day from 1 to ${days}; it is about day ${day}`
			});
		return faults;
	});
}

function tallied({
	plan: document,
	entries,
	until
}: Asked & { readonly until?: number }): Response {
	const stray = strayFaults({ plan: document, entries });
	if (stray.length > 0) return faulty(stray);
	const made = planned(document);
	if (made.refusal) return made.refusal;
	const { plan, run } = made;
	const month = monthShape(plan.month, plan.weekStart);
	const tallies = trackersOf(plan, run).flatMap((tracker) => {
		const tally = tallyOf(tracker, entries, { month, hand: plan.hand, until: until ?? month.days });
		return tally
			? [{ wish: tracker.wish.id, name: tracker.name, pages: tracker.pages, tally }]
			: [];
	});
	return plainJson({ tallies });
}

/** So many proposals are planned, to tell what they come to; each takes as much as a request of its own would. */
const mostTried = 20;
/** A try that is not settled by then counts as it stands. */
const workOfTry = { all: 300_000, search: 60_000 };

function reviewed({ plan: document, entries, earlier }: ReviewAsked): Response {
	const stray = [
		...strayFaults({ plan: document, entries }),
		...earlier.flatMap((month, at) =>
			strayFaults(month).map((fault) => ({ ...fault, path: `earlier[${at}].${fault.path}` }))
		)
	];
	if (stray.length > 0) return faulty(stray);
	const months = [{ plan: document, entries }, ...earlier].map((month) => ({
		...planned(month.plan),
		entries: month.entries
	}));
	const refusal = months.find((month) => month.refusal)?.refusal;
	if (refusal) return refusal;
	const [last, ...before] = months.flatMap(({ plan, run, entries }) =>
		plan ? [{ plan, run, entries }] : []
	);
	if (!last) return faulty([{ path: 'plan', message: 'is missing' }]);
	const { plan, run } = last;
	const next = nextPlan(plan, run);
	const kept = [last, ...before].map((month) => keptIn(month.plan, month.run, month.entries));
	const { proposals, unchanged } = review(kept, next.month);
	const base = planRun(next, undefined, workOfTry);
	const told = [...proposals, ...carried(plan, run, entries)]
		.slice(0, mostTried)
		.flatMap((proposal) => {
			const wishes = proposal.change(next.wishes);
			const effect = effectOf(proposal, base, planRun({ ...next, wishes }, undefined, workOfTry));
			const { id, wish, why, leavesOut = false } = proposal;
			// What the next month would not draw is no proposal, and nothing loses its place for one.
			if (effect.what === undefined || effect.lost > 0) return [];
			return [{ id, wish, what: effect.what, why, leavesOut, pages: effect.pages, wishes }];
		});
	return plainJson({
		month: formatMonth(next.month),
		pagesUsed: base.pagesUsed,
		proposals: told,
		unchanged
	});
}

function ordered({
	plan: document,
	making,
	today
}: {
	readonly plan: Document;
	readonly making: typeof usualMaking;
	readonly today: string;
}): Response {
	const made = planned(document);
	if (made.refusal) return made.refusal;
	return plainJson(makingPlan(made.plan, made.run, making, making.evenings, today));
}

/** What is kept by name is a list of pairs in JSON. */
function plainJson(value: unknown): Response {
	const text = JSON.stringify(value, (_, part: unknown) =>
		part instanceof Map ? [...part.entries()] : part
	);
	return new Response(text, { headers: { 'content-type': 'application/json' } });
}
