/** What of one page is ticked off, kept in the browser until the page's guide changes. */
export class DoneSteps {
	private done = $state.raw<readonly number[]>([]);

	/** `key` names the page, `guide` is what its steps say: other steps are begun anew. */
	constructor(
		private readonly key: string,
		private readonly guide: string
	) {
		this.done = this.kept();
	}

	has(step: number): boolean {
		return this.done.includes(step);
	}

	get count(): number {
		return this.done.length;
	}

	/** The first step that is not done, or nothing when all are. */
	next(of: number): number | undefined {
		return Array.from({ length: of }, (_, step) => step).find((step) => !this.has(step));
	}

	set(steps: readonly number[], done: boolean): void {
		const others = this.done.filter((other) => !steps.includes(other));
		this.keep(done ? [...others, ...steps] : others);
	}

	clear(): void {
		this.keep([]);
	}

	private keep(steps: readonly number[]): void {
		this.done = steps;
		try {
			localStorage.setItem(this.key, JSON.stringify({ guide: this.guide, steps }));
		} catch {
			// Without a place to keep it, it is known until the window is closed.
		}
	}

	private kept(): number[] {
		try {
			const kept: unknown = JSON.parse(localStorage.getItem(this.key) ?? 'null');
			if (typeof kept !== 'object' || kept === null) return [];
			if (!('guide' in kept) || kept.guide !== this.guide || !('steps' in kept)) return [];
			return Array.isArray(kept.steps) ? kept.steps.filter((step) => Number.isInteger(step)) : [];
		} catch {
			return [];
		}
	}
}
