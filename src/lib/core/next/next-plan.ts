import type { Plan, Run } from '../fit';
import { addMonths } from '../month';
import { freeAfter } from '../paper';
import { undated } from './undated';

/** The month after a month, begun with its wishes without their dates, in the pages that it leaves of the book. */
export function nextPlan(plan: Plan, run: Run): Plan {
	const month = addMonths(plan.month, 1);
	const { notebook, weekStart, hand, locale, aim, titles, theme, wishes } = plan;
	return {
		notebook: freeAfter(notebook, run.pages.at(-1)?.number ?? 0),
		month,
		weekStart,
		hand,
		locale,
		aim,
		wishes: wishes.map((wish) => undated(wish, plan.month, month, locale)),
		...(titles ? { titles } : {}),
		...(theme ? { theme } : {})
	};
}
