import {
	doneTimes,
	mergeProgress,
	movedDays,
	noProgress,
	ownPace,
	simplerWays,
	simplified,
	type MakingPlan,
	type MakingSettings,
	type PlannedSitting,
	type Progress,
	type SimplerWay,
	type Task,
	type Ticked,
	type WorkPiece
} from '$lib/core/making';
import { checked, progressSchema } from '$lib/core/formats';
import { Saver, type Sent } from '../keeping/saver.svelte';
import type { MonthDesk } from '../month/month-desk.svelte';
import { send, troubleOf, type Answer } from '../send';
import { kept, keep } from './kept-here';

/** So many ticks are remembered for the pace: older ones no longer tell how one works. */
const mostTicks = 400;
const ticksKey = 'horarium ticks';
/** Less than this is not worth a change, in seconds. */
const leastSaved = 30;
/** So many ways to simplify are offered, those that save the most first. */
const mostSavings = 4;

/** A month done in a simpler way, and the seconds that it saves. */
export interface Saving {
	readonly way: SimplerWay;
	readonly saved: number;
}

/** A month as it is made: its sittings, what is done of them and when, and how the person works. */
export class MakingDesk {
	settings: MakingSettings;
	/** The sittings; undefined until they are worked out. */
	plan = $state.raw<MakingPlan>();
	/** What could be simpler where the time does not do. */
	savings = $state.raw<readonly Saving[]>([]);
	/** How far the month is made, as far as this window knows. */
	progress = $state.raw<Progress>(noProgress);
	/** When each task was done, in ms, by its id. */
	readonly done = $derived(doneTimes(this.progress));
	/** Days that spreads were moved to. */
	readonly moved = $derived(movedDays(this.progress));
	readonly saver: Saver<MakingSettings>;
	readonly progressSaver: Saver<Progress>;
	private readonly progressKey: string;

	constructor(
		private readonly desk: MonthDesk,
		settings: MakingSettings,
		progress: Progress
	) {
		this.settings = $state.raw(settings);
		this.progress = progress;
		this.progressKey = `horarium progress ${desk.id}`;
		this.saver = new Saver<MakingSettings>(
			0,
			async (_, making) => sentOf(await send('PUT', '/app/making', making)),
			() => undefined
		);
		this.progressSaver = new Saver<Progress>(
			0,
			async (_, own) => {
				const answer = await send('PUT', `/app/months/${desk.id}/making`, own);
				const all = answer.kind === 'ok' ? checked(progressSchema, answer.body) : undefined;
				if (all?.ok) this.progress = mergeProgress(this.progress, all.value);
				return sentOf(answer);
			},
			() => undefined
		);
	}

	/** Takes up what this browser remembers: what was ticked off while nobody answered. */
	recall(): void {
		const here = kept(this.progressKey, isProgress);
		if (here) this.note(here);
	}

	/** Has the sittings worked out anew, as they are from a day on. */
	async reckon(today: string): Promise<void> {
		const { settings, moved } = this;
		const plan = await this.desk.making(settings, settings.evenings, today, moved);
		if (!plan || settings !== this.settings) return;
		this.plan = plan;
		await this.simpler();
	}

	/** What would make the month shorter to draw, each tried out: the change, and the seconds that it saves. */
	async simpler(): Promise<void> {
		const { plan, settings, desk } = this;
		this.savings = [];
		if (!plan || (plan.unseated.length === 0 && !plan.sittings.some(({ late }) => late))) return;
		const lost = desk.run.unplaced.length;
		const found: Saving[] = [];
		for (const way of simplerWays(desk.plan, desk.run)) {
			const other = await desk.timeWith(simplified(desk.plan, way), settings);
			if (!other || plan !== this.plan) return;
			const saved = plan.seconds - other.seconds;
			if (other.unplaced > lost || saved < leastSaved) continue;
			found.push({ way, saved });
			this.savings = found.toSorted((a, b) => b.saved - a.saved).slice(0, mostSavings);
		}
	}

	simplify({ way }: Saving): void {
		this.desk.change(simplified(this.desk.plan, way));
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
		this.note({ done: [{ id: task.id, at: now }], moved: [] });
		// The person says how long pictures take.
		if (last === 0 || task.pass === 'picture') return;
		const usual = task.seconds / (this.settings.pace[task.pass] ?? 1);
		const tick: Ticked = { pass: task.pass, usual, taken: (now - last) / 1000 };
		const ticks = [...(kept(ticksKey, isTicks) ?? []), tick].slice(-mostTicks);
		keep(ticksKey, ticks);
		const pace = ownPace(ticks);
		if (JSON.stringify(pace) !== JSON.stringify(this.settings.pace)) this.change({ pace });
	}

	takeBack(task: Task, now: number): void {
		this.note({ done: [{ id: task.id, at: now, undone: true }], moved: [] });
	}

	/** Gives a spread to the sitting of a day, or lets it go where it fits. */
	give(left: number, day: string | undefined, now: number): void {
		this.note({ done: [], moved: [{ left, at: now, ...(day ? { day } : {}) }] });
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

	/**
	 * Plans around a page that is spoilt: pages that are begun stay as they are, and what was done on the spoilt one is to be
	 * done again elsewhere. Returns the way back.
	 */
	planAround(spoilt: number, now: number): () => void {
		const tasks = this.plan?.sittings.flatMap(({ pieces }) => pieces.flatMap(({ tasks }) => tasks));
		const begun = (tasks ?? []).filter((task) => this.isDone(task));
		const undone = begun
			.filter(({ page }) => page === spoilt)
			.map(({ id }) => ({ id, at: now, undone: true }));
		this.note({ done: undone, moved: [] });
		const others = begun.map(({ page }) => page).filter((page) => page !== spoilt);
		this.desk.giveUp(spoilt, others);
		const back = this.desk.wayBack();
		return () => {
			this.note({ done: undone.map(({ id }) => ({ id, at: now + 1 })), moved: [] });
			back();
		};
	}

	private note(news: Progress): void {
		this.progress = mergeProgress(this.progress, news);
		keep(this.progressKey, this.progress);
		this.progressSaver.write(this.progress);
	}
}

function sentOf<T>(answer: Answer): Sent<T> {
	if (answer.kind === 'ok') return { kind: 'written', revision: 0 };
	if (answer.kind === 'conflict') return { kind: 'refused', message: troubleOf(answer) };
	return answer;
}

function isProgress(value: unknown): value is Progress {
	return checked(progressSchema, value).ok;
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
