import { summaryOf, type Plan, type Run } from '$lib/core/fit';
import type { Beyond, Suggestion } from '$lib/worker/planner.worker';
import type { Planner } from './planner';

/** A hand that has changed nothing for so long rests: what is only to be compared with is worked out then. */
const restMs = 1500;

/** What else could be made of the month that is shown, worked out once the hand rests. */
export class Outlook {
	/** The three aims in a few numbers each, for the plan that is shown; empty while they are worked out. */
	suggestions = $state.raw<readonly Suggestion[]>([]);
	/** Whether the suggestions are being worked out anew. */
	busy = $state(false);
	/** What would make the run better, as soon as it is known. */
	beyond = $state.raw<Beyond>();
	private shown: Plan | undefined;
	private resting: ReturnType<typeof setTimeout> | undefined;

	/** Begins with a plan and its run; the numbers of other aims stay until new ones are known: most changes leave them. */
	begin(planner: Planner | undefined, plan: Plan, run: Run): void {
		this.shown = plan;
		this.busy = true;
		const own = { aim: plan.aim, summary: summaryOf(run) };
		this.suggestions = [...this.suggestions.filter(({ aim }) => aim !== plan.aim), own];
		clearTimeout(this.resting);
		this.resting = setTimeout(() => void this.work(planner, plan, run, own), restMs);
	}

	/** Another plan is shown; what would make the one before better is no longer of use. */
	leave(plan: Plan | undefined): void {
		this.shown = plan;
		this.beyond = undefined;
	}

	/** Nobody looks any more. */
	close(): void {
		clearTimeout(this.resting);
	}

	private async work(
		planner: Planner | undefined,
		plan: Plan,
		run: Run,
		own: Suggestion
	): Promise<void> {
		const others = await planner?.suggestOthers(plan);
		if (!others || plan !== this.shown) return;
		this.suggestions = [own, ...others];
		this.busy = false;
		const beyond = await planner?.beyond(plan, run);
		if (plan === this.shown) this.beyond = beyond;
	}
}
