import { expose } from 'comlink';
import { readCalendar, type CalendarRead } from '$lib/core/formats/icalendar';
import type { YearMonth } from '$lib/core/month';
import { planRun, remediesFor, type Plan, type Remedy, type Run } from '$lib/core/fit';

/** What the planner's worker can be asked. */
export interface PlannerWorker {
	plan: (plan: Plan) => Run;
	remedies: (plan: Plan, run: Run, wish: string) => Remedy[];
	readCalendar: (text: string, month: YearMonth, timeZone: string) => CalendarRead;
}

expose({ plan: planRun, remedies: remediesFor, readCalendar } satisfies PlannerWorker);
