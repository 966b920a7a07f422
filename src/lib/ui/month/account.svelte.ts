import type { Plan, Run } from '$lib/core/fit';
import { cutsGoneAlong, linesOf, onlyWishes, ownWishes, type Act } from './account-lines';

/** What a change of wishes did besides: a line for each other wish that lies or is ruled otherwise. */
export interface Told {
	readonly act: Act;
	readonly lines: readonly string[];
}

/** Accounts for each change of a hand, as soon as the run that follows from it is worked out. */
export class Account {
	/** What the latest change did besides; undefined where there is nothing to account for. */
	told = $state.raw<Told>();
	private act: Act | undefined;

	/** A change begins; those of one step are accounted for together. */
	begin(step: unknown, plan: Plan, run: Run): void {
		if (this.act?.step !== step) this.act = { step, plan, run };
		this.told = undefined;
	}

	/** Nothing is to be accounted for: something else than a change led here. */
	drop(): void {
		this.act = undefined;
		this.told = undefined;
	}

	/** The run that a change led to is worked out. */
	settle(plan: Plan, run: Run): void {
		const { act } = this;
		if (!act || plan === act.plan || !onlyWishes(act.plan, plan)) return;
		const own = ownWishes(act.plan, plan.wishes);
		const lines = [...cutsGoneAlong(act.plan, plan), ...linesOf(act.run, run, own)];
		if (own.size > 0) this.told = { act, lines };
	}
}
