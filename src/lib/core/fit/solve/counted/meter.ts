/** Something that was worked out once and is remembered: its own work, and what it used of other such things. */
export interface Remembered {
	readonly name: string;
	work: number;
	readonly uses: Remembered[];
}

/** Work of one planning, counted in choices tried: the same for the same plan on every machine. */
export class Meter {
	private sum = 0;
	private readonly paid = new Set<string>();
	/** What is being worked out to be remembered, the innermost last. */
	private readonly open: Remembered[] = [];

	/** What belongs to no planning is counted only for what will be remembered. */
	constructor(private readonly pays = true) {}

	get spent(): number {
		return this.sum;
	}

	charge(work: number): void {
		const inner = this.open.at(-1);
		if (inner) inner.work += work;
		else this.sum += work;
	}

	begin(name: string): Remembered {
		const remembered = { name, work: 0, uses: [] };
		this.open.push(remembered);
		return remembered;
	}

	end(): void {
		this.open.pop();
	}

	/** Pays for something at its first use here, whether it was worked out just now or is remembered from before. */
	use(remembered: Remembered): void {
		const inner = this.open.at(-1);
		if (inner) inner.uses.push(remembered);
		else this.pay(remembered);
	}

	private pay({ name, work, uses }: Remembered): void {
		if (!this.pays || this.paid.has(name)) return;
		this.paid.add(name);
		this.sum += work;
		for (const other of uses) this.pay(other);
	}
}

/** The meter of the planning that goes on at the moment; several take turns, so each sets its own when it goes on. */
let current = new Meter(false);

/** Counts work that is being done. */
export function charge(work: number): void {
	current.charge(work);
}

/** Works something out that will be remembered, and gives what it took with it. */
export function counted<T>(
	name: string,
	work: () => T
): { readonly value: T; readonly took: Remembered } {
	const took = current.begin(name);
	try {
		return { value: work(), took };
	} finally {
		current.end();
	}
}

/** Counts the use of something remembered. */
export function used(took: Remembered): void {
	current.use(took);
}

/** Goes through some work with its own meter. */
export function* metered<T, R>(work: Generator<T, R>, meter: Meter): Generator<T, R> {
	for (;;) {
		const outer = current;
		current = meter;
		let state: IteratorResult<T, R>;
		try {
			state = work.next();
		} finally {
			current = outer;
		}
		if (state.done) return state.value;
		yield state.value;
	}
}
