import { version } from '$app/environment';
import { proxy, wrap, type Remote } from 'comlink';
import type { Along, Plan, Remedy, Run } from '$lib/core/fit';
import type { MakingPlan } from '$lib/core/making';
import { sameContent } from '$lib/core/wish';
import type { Beyond, PlannerWorker, Suggestion } from '$lib/worker/planner.worker';

/** Hears of runs with the plan they belong to; the final one ends the work on it, and may have taken cuts along. */
export type Planned = (along: Along, final: boolean) => void;

/** Tells what it hears until the final word: runs on the way come through a port of their own, and may be overtaken by it. */
export function untilFinal<T>(
	tell: (heard: T, final: boolean) => void
): (heard: T, final: boolean) => void {
	let ended = false;
	return (heard, final) => {
		if (ended) return;
		ended = final;
		tell(heard, final);
	};
}

/** Asks the planner's worker for runs. A newer request breaks off the older, so typing never queues up. */
export class Planner {
	private readonly worker: Worker;
	private readonly remote: Remote<PlannerWorker>;
	private newest: Plan | undefined;

	/** `failed` is called when the worker breaks. */
	constructor(
		private readonly planned: Planned,
		private readonly failed: (message: string) => void
	) {
		this.worker = new Worker(new URL('../../worker/planner.worker.ts', import.meta.url), {
			type: 'module'
		});
		this.worker.onerror = () => failed('The page planner stopped. Reload this page.');
		this.remote = wrap<PlannerWorker>(this.worker);
	}

	async request(plan: Plan): Promise<void> {
		this.newest = plan;
		const tell = untilFinal((along: Along, final) => {
			if (plan === this.newest) this.planned(along, final);
		});
		try {
			const better = proxy((run: Run) => tell({ plan, run }, false));
			const found = await this.remote.plan(plan, better);
			// The plan that came back is a copy: as long as nothing went along, it is the one that was asked for.
			const isSame = found && sameContent(found.plan.cuts, plan.cuts);
			if (found) tell(isSame ? { plan, run: found.run } : found, true);
		} catch (error) {
			if (plan === this.newest)
				this.failed(error instanceof Error ? error.message : 'The page planner failed.');
		}
	}

	/** Lets go of what was asked for last: something else is shown now. */
	forget(): void {
		this.newest = undefined;
	}

	/** Gets ready for changes to a plan whose run is known. */
	warm(plan: Plan): Promise<void> {
		return this.remote.warm(plan);
	}

	/** The aims that are not the plan's own in a few numbers each; undefined when a newer plan came in between. */
	suggestOthers(plan: Plan): Promise<Suggestion[] | undefined> {
		return this.remote.suggestOthers(plan, version);
	}

	/** What would make a run better; undefined when a newer plan came in between. */
	beyond(plan: Plan, run: Run): Promise<Beyond | undefined> {
		return this.remote.beyond(plan, run);
	}

	/** What a plan comes to that is being tried; undefined when another one is tried meanwhile. */
	tryOut(plan: Plan): Promise<Run | undefined> {
		return this.remote.tryOut(plan);
	}

	/** Changes that would give a wish without a place one. */
	remedies(plan: Plan, run: Run, wish: string): Promise<Remedy[]> {
		return this.remote.remedies(plan, run, wish);
	}

	/** The sittings in which a run is drawn. */
	making(...asked: Parameters<PlannerWorker['making']>): Promise<MakingPlan> {
		return this.remote.making(...asked);
	}

	/** The run of another plan than the one at hand. */
	runOf(plan: Plan): Promise<Run | undefined> {
		return this.remote.runOf(plan);
	}

	/** The least moving of goals that leaves time for all of them. */
	leveled(...asked: Parameters<PlannerWorker['leveled']>): ReturnType<PlannerWorker['leveled']> {
		return this.remote.leveled(...asked);
	}

	/** Seconds that another plan takes to draw, and how many of its wishes find no place. */
	timeFor(...asked: Parameters<PlannerWorker['timeFor']>): ReturnType<PlannerWorker['timeFor']> {
		return this.remote.timeFor(...asked);
	}

	close(): void {
		this.worker.terminate();
	}
}
