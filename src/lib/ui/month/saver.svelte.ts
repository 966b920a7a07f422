/** How far what is shown is also kept; a conflict carries the revision that others wrote. */
export type SaveState =
	| { readonly kind: 'saved' }
	| { readonly kind: 'saving' }
	/** Not reached or refused; tried again by itself when `retry` says so. */
	| { readonly kind: 'failed'; readonly message: string; readonly retry: boolean }
	| { readonly kind: 'conflict'; readonly revision: number };

/** What a write comes back with. */
export type Sent =
	| { readonly kind: 'written'; readonly revision: number }
	| { readonly kind: 'conflict'; readonly revision: number }
	| { readonly kind: 'refused'; readonly message: string }
	| { readonly kind: 'unreached' };

const retryMs = 2000;

/**
 * Writes every change at once, one write at a time; while one is under way only the newest content
 * waits. Says "saved" only when the server has confirmed what is shown.
 */
export class Saver<T> {
	state = $state.raw<SaveState>({ kind: 'saved' });
	private waiting: { readonly content: T } | undefined;
	private working = false;
	private timer: ReturnType<typeof setTimeout> | undefined;

	constructor(
		private revision: number,
		private readonly send: (revision: number, content: T) => Promise<Sent>,
		private readonly saved: (revision: number) => void
	) {}

	/** Whether everything shown is kept. */
	get settled(): boolean {
		return this.state.kind === 'saved';
	}

	get baseRevision(): number {
		return this.revision;
	}

	write(content: T): void {
		this.waiting = { content };
		if (this.state.kind === 'conflict' || this.working) return;
		void this.work();
	}

	/** Goes on after a conflict on top of what the others wrote: what waits here is written over it. */
	overwrite(content: T): void {
		if (this.state.kind !== 'conflict') return;
		this.revision = this.state.revision;
		this.state = { kind: 'saving' };
		this.write(content);
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

	close(): void {
		clearTimeout(this.timer);
	}

	private async work(): Promise<void> {
		clearTimeout(this.timer);
		this.working = true;
		while (this.waiting) {
			const { content } = this.waiting;
			this.waiting = undefined;
			this.state = { kind: 'saving' };
			const sent = await this.send(this.revision, content);
			if (sent.kind === 'written') {
				this.revision = sent.revision;
				this.saved(sent.revision);
				if (!this.waiting) this.state = { kind: 'saved' };
				continue;
			}
			// What failed still waits, unless something newer does.
			this.waiting ??= { content };
			this.fail(sent);
			break;
		}
		this.working = false;
	}

	private fail(sent: Exclude<Sent, { kind: 'written' }>): void {
		if (sent.kind === 'conflict') this.state = sent;
		else if (sent.kind === 'refused')
			this.state = { kind: 'failed', message: sent.message, retry: false };
		else {
			this.state = {
				kind: 'failed',
				message: 'Horarium does not answer. Your changes stay here and are saved when it does.',
				retry: true
			};
			this.timer = setTimeout(() => this.retry(), retryMs);
		}
	}
}
