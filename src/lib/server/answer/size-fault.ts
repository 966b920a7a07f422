import { tooLarge, type Plan } from '$lib/core/fit';
import type { Fault } from '$lib/core/formats';

/** What is too much about a plan to be planned at all: the planner itself is asked whether it can weigh it. */
export function sizeFault(plan: Plan): Fault | undefined {
	const why = tooLarge(plan);
	return why === undefined
		? undefined
		: {
				path: 'wishes',
				message: `ask for too much at once: ${why}, each week of a weekly set counted`
			};
}
