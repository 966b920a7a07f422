import { wrap, type Remote } from 'comlink';
import type { CalendarRead } from '$lib/core/formats/icalendar';
import type { YearMonth } from '$lib/core/month';
import type { Plan, Remedy, Run } from '$lib/core/fit';
import type { PlannerWorker } from '$lib/worker/planner.worker';

/**
 * Asks the planner's worker for runs, one at a time: while it works only the newest request waits, so
 * fast typing never queues up.
 */
export class Planner {
	private readonly worker: Worker;
	private readonly remote: Remote<PlannerWorker>;
	private working = false;
	private waiting: Plan | undefined;

	/** `planned` is called with each run and the plan it belongs to; `failed` when the worker breaks. */
	constructor(
		private readonly planned: (plan: Plan, run: Run) => void,
		private readonly failed: (message: string) => void
	) {
		this.worker = new Worker(new URL('../../worker/planner.worker.ts', import.meta.url), {
			type: 'module'
		});
		this.worker.onerror = () => failed('The page planner stopped. Reload this page.');
		this.remote = wrap<PlannerWorker>(this.worker);
	}

	request(plan: Plan): void {
		this.waiting = plan;
		if (!this.working) void this.work();
	}

	/** Changes that would give a wish without a place one. */
	remedies(plan: Plan, run: Run, wish: string): Promise<Remedy[]> {
		return this.remote.remedies(plan, run, wish);
	}

	/** The events of a month in a calendar file, times as this device's clock shows them. */
	readCalendar(text: string, month: YearMonth): Promise<CalendarRead> {
		const { timeZone } = new Intl.DateTimeFormat().resolvedOptions();
		return this.remote.readCalendar(text, month, timeZone);
	}

	close(): void {
		this.worker.terminate();
	}

	private async work(): Promise<void> {
		this.working = true;
		while (this.waiting) {
			const plan = this.waiting;
			this.waiting = undefined;
			try {
				this.planned(plan, await this.remote.plan(plan));
			} catch (error) {
				this.failed(error instanceof Error ? error.message : 'The page planner failed.');
			}
		}
		this.working = false;
	}
}
