import {
	ownPace,
	type MakingPlan,
	type MakingSettings,
	type PlannedSitting,
	type Task,
	type Ticked,
	type WorkPiece
} from '$lib/core/making';
import { Saver } from '../keeping/saver.svelte';
import type { MonthDesk } from '../month/month-desk.svelte';
import { send, troubleOf } from '../send';
import { kept, keep } from './kept-here';

/** So many ticks are remembered for the pace: older ones no longer tell how one works. */
const mostTicks = 400;
const ticksKey = 'horarium ticks';

/** Titles done in a simpler way, and the seconds that it saves. */
export interface Saving {
	readonly titles: 'written' | 'none';
	readonly saved: number;
}

/** A month as it is made: its sittings, what is done of them and when, and how the person works. */
export class MakingDesk {
	settings: MakingSettings;
	/** The sittings; undefined until they are worked out. */
	plan = $state.raw<MakingPlan>();
	/** What could be simpler where the time does not do. */
	savings = $state.raw<readonly Saving[]>([]);
	/** When each task was done, in ms, by its id. */
	done = $state.raw<Readonly<Record<string, number>>>({});
	readonly saver: Saver<MakingSettings>;
	private readonly doneKey: string;

	constructor(
		private readonly desk: MonthDesk,
		settings: MakingSettings
	) {
		this.settings = $state.raw(settings);
		this.doneKey = `horarium making ${desk.id}`;
		this.saver = new Saver<MakingSettings>(
			0,
			async (_, making) => {
				const answer = await send('PUT', '/app/making', making);
				if (answer.kind === 'ok') return { kind: 'written', revision: 0 };
				if (answer.kind === 'conflict') return { kind: 'refused', message: troubleOf(answer) };
				return answer;
			},
			() => undefined
		);
	}

	/** Takes up what this browser remembers. */
	recall(): void {
		this.done = kept(this.doneKey, isTimes) ?? {};
	}

	/** Has the sittings worked out anew, as they are from a day on. */
	async reckon(today: string): Promise<void> {
		const { settings } = this;
		const plan = await this.desk.making(settings, settings.evenings, today);
		if (!plan || settings !== this.settings) return;
		this.plan = plan;
		await this.simpler();
	}

	/** What would make the month shorter to draw: the change, in words, and the seconds that it saves. */
	async simpler(): Promise<void> {
		const { plan, settings, desk } = this;
		this.savings = [];
		if (!plan || (plan.unseated.length === 0 && !plan.sittings.some(({ late }) => late))) return;
		const found: Saving[] = [];
		for (const titles of ['written', 'none'] as const) {
			if (desk.month.titles === titles) continue;
			const seconds = await desk.timeWith({ titles }, settings);
			if (seconds === undefined || plan !== this.plan) return;
			if (seconds < plan.seconds) found.push({ titles, saved: plan.seconds - seconds });
		}
		this.savings = found;
	}

	simplify({ titles }: Saving): void {
		this.desk.change({ titles });
	}

	change(settings: Partial<MakingSettings>): void {
		this.settings = { ...this.settings, ...settings };
		this.saver.write(this.settings);
	}

	isDone(task: Task): boolean {
		return task.id in this.done;
	}

	/** Ticks a task off, and learns from the time since the one before it. */
	finish(task: Task, now: number): void {
		const last = Math.max(0, ...Object.values(this.done));
		this.done = { ...this.done, [task.id]: now };
		keep(this.doneKey, this.done);
		if (last === 0) return;
		const usual = task.seconds / (this.settings.pace[task.pass] ?? 1);
		const tick: Ticked = { pass: task.pass, usual, taken: (now - last) / 1000 };
		const ticks = [...(kept(ticksKey, isTicks) ?? []), tick].slice(-mostTicks);
		keep(ticksKey, ticks);
		const pace = ownPace(ticks);
		if (JSON.stringify(pace) !== JSON.stringify(this.settings.pace)) this.change({ pace });
	}

	takeBack(task: Task): void {
		this.done = Object.fromEntries(Object.entries(this.done).filter(([id]) => id !== task.id));
		keep(this.doneKey, this.done);
	}

	/** The task that is next in a sitting; undefined when all are done. */
	next({ pieces }: PlannedSitting): { piece: WorkPiece; task: Task } | undefined {
		for (const piece of pieces)
			for (const { job } of piece.ordered.order) {
				const task = piece.tasks[job];
				if (task && !this.isDone(task)) return { piece, task };
			}
		return undefined;
	}

	/** The first sitting in which something is left to do. */
	atHand(plan: MakingPlan): number {
		return Math.max(
			0,
			plan.sittings.findIndex((sitting) => this.next(sitting) !== undefined)
		);
	}

	/** Marks pages as drawn in the book: they are no longer planned. */
	drawn(pages: readonly number[]): void {
		for (const page of pages) this.desk.setDrawn(page, true);
	}
}

function isTimes(value: unknown): value is Record<string, number> {
	return (
		typeof value === 'object' &&
		value !== null &&
		Object.values(value).every((time) => typeof time === 'number')
	);
}

function isTicks(value: unknown): value is Ticked[] {
	return (
		Array.isArray(value) &&
		value.every(
			(tick) =>
				typeof tick === 'object' &&
				tick !== null &&
				'pass' in tick &&
				'usual' in tick &&
				'taken' in tick &&
				typeof tick.usual === 'number' &&
				typeof tick.taken === 'number'
		)
	);
}
