/** How far what is shown is also kept; a conflict carries the revision that others wrote. */
export type SaveState =
	| { readonly kind: 'saved' }
	| { readonly kind: 'saving' }
	/** Not reached or refused; tried again by itself when `retry` says so. */
	| { readonly kind: 'failed'; readonly message: string; readonly retry: boolean }
	/** Others wrote, or deleted it, first. */
	| { readonly kind: 'conflict' | 'deleted'; readonly revision: number };

/** What a write comes back with. */
export type Sent<T> =
	| { readonly kind: 'written'; readonly revision: number }
	/** `ours` tells whether what is kept now is what was sent. */
	| {
			readonly kind: 'conflict';
			readonly revision: number;
			readonly ours: (sent: T) => boolean;
	  }
	| { readonly kind: 'deleted'; readonly revision: number }
	/** The server has a trouble that may pass. */
	| { readonly kind: 'troubled'; readonly message: string }
	| { readonly kind: 'refused'; readonly message: string }
	| { readonly kind: 'unreached' };

const retryMs = 2000;

/**
 * Writes every change at once, one write at a time; while one is under way only the newest content
 * waits. Says "saved" only when the server has confirmed what is shown.
 */
export class Saver<T> {
	state = $state.raw<SaveState>({ kind: 'saved' });
	/** The newest content that is not kept; also while it is on its way. */
	private waiting: { readonly content: T } | undefined;
	/** What was sent and is not answered yet. */
	private sending: { readonly content: T } | undefined;
	/** What was sent and never answered: it may be kept all the same. */
	private unanswered: T[] = [];
	private working = false;
	private timer: ReturnType<typeof setTimeout> | undefined;

	constructor(
		private revision: number,
		private readonly send: (revision: number, content: T) => Promise<Sent<T>>,
		private readonly saved: (revision: number) => void
	) {}

	/** What is not kept yet, if anything is not. */
	get unsaved(): T | undefined {
		return this.settled ? undefined : this.waiting?.content;
	}

	/** What was sent and is not answered, here or before this page was left: any of it may be kept. */
	get onItsWay(): readonly T[] {
		return this.sending ? [...this.unanswered, this.sending.content] : this.unanswered;
	}

	/** Whether everything shown is kept. */
	get settled(): boolean {
		return this.state.kind === 'saved';
	}

	get baseRevision(): number {
		return this.revision;
	}

	write(content: T): void {
		this.waiting = { content };
		if (this.stopped || this.working) return;
		void this.work();
	}

	/**
	 * Takes up what was not kept when this page was left, on top of the revision that it was based on. It, or something
	 * before it (`sent`), may have been on its way then, and be kept all the same.
	 */
	recover(revision: number, content: T, sent: readonly T[] = []): void {
		this.revision = revision;
		this.unanswered = [...sent, content];
		this.write(content);
	}

	/** Goes on after a conflict on top of what the others wrote: what waits here is written over it. */
	overwrite(): void {
		if (!this.stopped) return;
		this.revision = this.stopped.revision;
		this.state = { kind: 'saving' };
		void this.work();
	}

	/** Lets go of what waits: what the others wrote holds, and is on its way here. */
	takeTheirs(): void {
		if (!this.stopped) return;
		this.revision = this.stopped.revision;
		this.waiting = undefined;
		this.state = { kind: 'saving' };
	}

	/** Nothing is on its way any more. */
	settle(): void {
		if (!this.waiting) this.state = { kind: 'saved' };
	}

	private get stopped() {
		return this.state.kind === 'conflict' || this.state.kind === 'deleted' ? this.state : undefined;
	}

	/** Takes over what is kept; nothing waits any more. */
	adopt(revision: number): void {
		clearTimeout(this.timer);
		this.waiting = undefined;
		this.revision = revision;
		this.state = { kind: 'saved' };
	}

	retry(): void {
		if (!this.working) void this.work();
	}

	private async work(): Promise<void> {
		clearTimeout(this.timer);
		this.working = true;
		while (this.waiting) {
			const { waiting } = this;
			const { content } = waiting;
			this.state = { kind: 'saving' };
			this.sending = waiting;
			const sent = await this.send(this.revision, content);
			this.sending = undefined;
			if (sent.kind === 'written') {
				this.revision = sent.revision;
				this.unanswered = [];
				if (this.waiting === waiting) {
					this.waiting = undefined;
					this.state = { kind: 'saved' };
				}
				this.saved(sent.revision);
				continue;
			}
			if (sent.kind === 'unreached') this.unanswered.push(content);
			const kept = sent.kind === 'conflict' ? this.unanswered.findIndex(sent.ours) : -1;
			if (sent.kind === 'conflict' && kept >= 0) {
				// Nobody else wrote: it was our own, and the answer was lost. What was sent after it may still come.
				this.revision = sent.revision;
				this.unanswered = this.unanswered.slice(kept + 1);
				continue;
			}
			// What failed still waits, or something newer does.
			this.fail(sent);
			break;
		}
		this.working = false;
	}

	private fail(sent: Exclude<Sent<T>, { kind: 'written' }>): void {
		if (sent.kind === 'conflict' || sent.kind === 'deleted')
			this.state = { kind: sent.kind, revision: sent.revision };
		else if (sent.kind === 'refused')
			this.state = { kind: 'failed', message: sent.message, retry: false };
		else {
			const why = sent.kind === 'troubled' ? sent.message : 'Horarium does not answer.';
			this.state = {
				kind: 'failed',
				message: `${why} Your changes stay here and are saved as soon as it works again.`,
				retry: true
			};
			this.timer = setTimeout(() => this.retry(), retryMs);
		}
	}
}
