import { expose } from 'comlink';
import { planRun, type Plan, type Run } from '$lib/core/fit';

/** What the planner's worker can be asked. */
export interface PlannerWorker {
	plan: (plan: Plan) => Run;
}

expose({ plan: planRun } satisfies PlannerWorker);
