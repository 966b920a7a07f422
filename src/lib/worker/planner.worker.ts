import { expose } from 'comlink';
import type { CalendarRead } from '$lib/core/formats/icalendar';
import type { YearMonth } from '$lib/core/month';
import { planRun, remediesFor, type Plan, type Remedy, type Run } from '$lib/core/fit';

/** What the planner's worker can be asked. */
export interface PlannerWorker {
	plan: (plan: Plan) => Run;
	remedies: (plan: Plan, run: Run, wish: string) => Remedy[];
	readCalendar: (text: string, month: YearMonth, timeZone: string) => Promise<CalendarRead>;
}

expose({
	plan: planRun,
	remedies: remediesFor,
	readCalendar: async (text, month, timeZone) => {
		// The parser is large and few months need it.
		const { readCalendar } = await import('$lib/core/formats/icalendar');
		return readCalendar(text, month, timeZone);
	}
} satisfies PlannerWorker);
