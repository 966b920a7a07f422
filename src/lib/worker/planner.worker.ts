import { expose } from 'comlink';
import {
	everySize,
	findRemedies,
	otherOrder,
	PackingCache,
	planning,
	planningAlong,
	summaryOf,
	type Along,
	type Aim,
	type Offer,
	type Plan,
	type Planning,
	type Remedy,
	type Run,
	type Summary
} from '$lib/core/fit';
import type { Goal } from '$lib/core/forms';
import { leveled, type Bandwidth, type Leveled } from '$lib/core/goals';
import {
	makingPlan,
	monthWork,
	secondsOf,
	type Evenings,
	type MakingPlan,
	type Workshop
} from '$lib/core/making';
import { keepSummary, knownSummary } from './kept-summaries';

/** A run for one of the aims, in a few numbers. */
export interface Suggestion {
	readonly aim: Aim;
	readonly summary: Summary;
}

/** What is worth knowing of a run once there is time for it. */
export interface Beyond {
	/** Whether no run of whatever sizes is better. */
	readonly optimal: boolean;
	/** What would make it better, each by itself. */
	readonly offers: readonly Offer[];
}

/** What the planner's worker can be asked. What is asked later makes earlier answers `undefined`. */
export interface PlannerWorker {
	/**
	 * The run, and the plan with its cuts gone along; `better` hears of runs that are good enough to be shown while the work
	 * goes on.
	 */
	plan: (plan: Plan, better: (run: Run) => void) => Promise<Along | undefined>;
	/** Plans what is shown already, so that the first change to it is answered as fast as the later ones. */
	warm: (plan: Plan) => Promise<void>;
	/** The aims that are not the plan's own. What `build` of the program has worked out before in this browser is not worked out again. */
	suggestOthers: (plan: Plan, build: string) => Promise<Suggestion[] | undefined>;
	/** What would make a run better; it takes long, and whatever somebody waits for goes first. */
	beyond: (plan: Plan, run: Run) => Promise<Beyond | undefined>;
	/** The run of a plan that is being tried; undefined when another one is tried meanwhile. */
	tryOut: (plan: Plan) => Promise<Run | undefined>;
	/** The run of another plan than the one at hand. */
	runOf: (plan: Plan) => Promise<Run | undefined>;
	remedies: (plan: Plan, run: Run, wish: string) => Promise<Remedy[]>;
	/** The sittings in which what is not drawn yet is made, from `today` on. */
	making: (
		plan: Plan,
		run: Run,
		workshop: Workshop,
		evenings: Evenings,
		today: string,
		moved: Readonly<Record<string, string>>
	) => Promise<MakingPlan>;
	/** The least moving of goals that leaves time for all of them. */
	leveled: (goals: readonly Goal[], bandwidth: Bandwidth) => Promise<Leveled | undefined>;
	/** Seconds that another plan takes to draw, and how many of its wishes find no place. */
	timeFor: (
		plan: Plan,
		workshop: Workshop
	) => Promise<{ readonly seconds: number; readonly unplaced: number }>;
}

/** A run that takes longer is shown as it stands, and again every so often. */
const patienceMs = 200;
const cache = new PackingCache();
let newest = 0;
let newestTrial = 0;

/** How much is being worked on that somebody waits for; what nobody does rests meanwhile. */
let awaited = 0;
const resting: (() => void)[] = [];

async function first<T>(work: Promise<T>): Promise<T> {
	awaited++;
	try {
		return await work;
	} finally {
		awaited--;
		if (awaited === 0) for (const goOn of resting.splice(0)) goOn();
	}
}

const { port1, port2 } = new MessageChannel();
const waiting: (() => void)[] = [];
port1.onmessage = () => waiting.shift()?.();

/** Lets messages in; a timer would wait for milliseconds each time. */
function pause(): Promise<void> {
	return new Promise((resolve) => {
		waiting.push(resolve);
		port2.postMessage(undefined);
	});
}

function planned(plan: Plan, current: () => boolean): Promise<Run | undefined> {
	return first(worked(planning(plan, cache), current, pause));
}

/** A plan that nobody waits for. */
function plannedBeside(plan: Plan, current: () => boolean): Promise<Run | undefined> {
	return worked(planning(plan, cache), current, whenNobodyWaits);
}

async function whenNobodyWaits(): Promise<void> {
	await pause();
	while (awaited > 0) await new Promise<void>((goOn) => resting.push(goOn));
}

/** Work that nobody waits for, to its end; undefined when it is of no use any more. */
async function beside<T>(
	work: Generator<unknown, T>,
	current: () => boolean
): Promise<T | undefined> {
	let state = work.next();
	for (; !state.done; state = work.next()) {
		await whenNobodyWaits();
		if (!current()) return undefined;
	}
	return state.value;
}

/** Plans in steps; before each one it waits for its turn. */
async function worked<T>(
	work: Generator<Planning, T>,
	current: () => boolean,
	turn: () => Promise<void>,
	better: (run: Run) => void = () => {}
): Promise<T | undefined> {
	let shown = performance.now();
	let state = work.next();
	while (!state.done) {
		if (performance.now() - shown > patienceMs) {
			const run = state.value.run();
			// As long as nothing is placed yet, what stands on the screen is the better picture.
			if (run.blocks.length > 0) better(run);
			shown = performance.now();
		}
		await turn();
		if (!current()) return undefined;
		state = work.next();
	}
	return state.value;
}

async function remediesOf(plan: Plan, run: Run, wish: string): Promise<Remedy[]> {
	const own = newest;
	const search = findRemedies(plan, run, wish, cache);
	let state = search.next();
	while (!state.done) {
		await pause();
		if (own !== newest) return [];
		state = search.next();
	}
	return state.value;
}

expose({
	plan: (plan, better) => {
		const own = ++newest;
		return first(worked(planningAlong(plan, cache), () => own === newest, pause, better));
	},
	warm: async (plan) => {
		const own = newest;
		await plannedBeside(plan, () => own === newest);
	},
	suggestOthers: async (plan, build) => {
		const own = newest;
		const suggestions: Suggestion[] = [];
		for (const aim of ['fewest-pages', 'balanced', 'roomiest'] as const) {
			if (aim === plan.aim) continue;
			const aimed = { ...plan, aim };
			const known = await knownSummary(build, aimed);
			const run = known ? undefined : await plannedBeside(aimed, () => own === newest);
			const summary = known ?? (run && summaryOf(run));
			if (!summary) return undefined;
			if (run) void keepSummary(build, aimed, summary);
			suggestions.push({ aim, summary });
		}
		return suggestions;
	},
	beyond: async (plan, run) => {
		const own = newest;
		const current = () => own === newest;
		const sizes = await beside(everySize(plan, run, cache), current);
		const order = sizes && (await beside(otherOrder(plan, run, cache), current));
		if (!sizes || !current()) return undefined;
		const offers = [sizes.offer, order].filter((offer) => offer !== undefined);
		return { optimal: sizes.optimal, offers };
	},
	tryOut: async (plan) => {
		const own = ++newestTrial;
		return planned(plan, () => own === newestTrial);
	},
	runOf: (plan) => planned(plan, () => true),
	remedies: (plan, run, wish) => first(remediesOf(plan, run, wish)),
	leveled: async (...asked) => leveled(...asked),
	making: async (...asked) => makingPlan(...asked),
	timeFor: async (plan, workshop) => {
		const run = await planned(plan, () => true);
		if (!run) throw new Error('the planning was broken off');
		const seconds = secondsOf(monthWork(plan, run, workshop));
		return { seconds, unplaced: run.unplaced.length };
	}
} satisfies PlannerWorker);
