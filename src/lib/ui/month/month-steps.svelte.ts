import { sameContent } from '$lib/core/wish';
import type { KeptMonth } from '$lib/core/fit';
import type { Saver } from '../keeping/saver.svelte';
import { begin, redo, step, undo, type History } from './history';
import { forget, recall, remember } from './kept-history';
import { withoutAct } from './without-act';

const rememberMs = 300;
/** Steps of which one may have been on its way when the page was left. */
const mostOnTheWay = 20;
/** After such a pause typing begins a step of its own. */
const pauseMs = 2000;

/** A month and its steps, to be undone one by one, also after a reload of the window. */
export class MonthSteps {
	private history: History<KeptMonth>;
	private remembering: ReturnType<typeof setTimeout> | undefined;
	private recalled = false;
	private changedAt = 0;

	/** `changed` hears of every month that becomes the present one by a hand. */
	constructor(
		private readonly id: string,
		month: KeptMonth,
		private readonly saver: Saver<KeptMonth>,
		private readonly changed: () => void
	) {
		this.history = $state.raw(begin(month));
	}

	get month(): KeptMonth {
		return this.history.present;
	}

	/** Every month of the history: those that can be undone, the present one, those that can be done again. */
	get months(): readonly KeptMonth[] {
		const { past, present, future } = this.history;
		return [...past, present, ...future];
	}

	/** The month to which undo leads back. */
	get before(): KeptMonth | undefined {
		return this.history.past.at(-1);
	}

	get canUndo() {
		return this.history.past.length > 0;
	}

	get canRedo() {
		return this.history.future.length > 0;
	}

	/** Makes a step; equal names in a row without a pause are undone together. */
	change(content: Partial<KeptMonth>, name?: string): void {
		const now = Date.now();
		if (now - this.changedAt > pauseMs) this.endStep();
		this.changedAt = now;
		this.present(step(this.history, { ...this.month, ...content }, name));
	}

	/** What follows from the latest step by itself: kept with it, and undone with it. */
	follow(content: Partial<KeptMonth>): void {
		this.history = { ...this.history, present: { ...this.month, ...content } };
		this.saver.write(this.month);
		// At once: what is remembered while a page is being left may come too late for the next one, which would then take
		// this for a step of somebody else.
		this.rememberNow();
	}

	/** Takes over a month that others have written: a step that need not be kept. */
	adopt(month: KeptMonth): void {
		this.history = step(this.history, month);
	}

	/** Ends what is undone together: a field was left. */
	endStep(): void {
		if (this.history.last !== undefined) this.history = { ...this.history, last: undefined };
	}

	undo(): void {
		if (this.canUndo) this.present(undo(this.history));
	}

	redo(): void {
		if (this.canRedo) this.present(redo(this.history));
	}

	/** A way to take back what was done last, that one act and nothing else, whatever comes after it. */
	wayBack(): () => void {
		const before = this.history.past.at(-1);
		const after = this.month;
		return () => {
			if (!before) return;
			if (sameContent(this.month, after)) this.undo();
			else this.change(withoutAct(before, after, this.month));
		};
	}

	/** Takes up the steps that this window made before it was reloaded, and what of them was not kept. */
	recallOnce(): void {
		if (this.recalled) return;
		this.recalled = true;
		const found = recall(this.id);
		if (!found) return;
		if (sameContent(found.history.present, this.month))
			this.history = { ...found.history, present: this.month, last: undefined };
		else if (found.saved) this.history = step(found.history, this.month);
		else {
			this.history = { ...found.history, last: undefined };
			const { past, present } = found.history;
			const sent = [...past.slice(-mostOnTheWay), ...(found.sent ?? [])];
			this.saver.recover(found.revision, present, sent);
		}
	}

	rememberSoon(): void {
		clearTimeout(this.remembering);
		this.remembering = setTimeout(() => this.rememberNow(), rememberMs);
	}

	rememberNow(): void {
		clearTimeout(this.remembering);
		const { baseRevision: revision, settled: saved, onItsWay } = this.saver;
		const { history } = this;
		const sent = onItsWay.filter((month) => !history.past.includes(month));
		remember(this.id, { revision, saved, sent: sent.slice(-mostOnTheWay), history });
	}

	/** Forgets the month's steps in this window. */
	forget(): void {
		clearTimeout(this.remembering);
		forget(this.id);
	}

	private present(history: History<KeptMonth>): void {
		this.history = history;
		this.saver.write(history.present);
		this.rememberSoon();
		this.changed();
	}
}
