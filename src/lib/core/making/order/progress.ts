/** A task that was ticked off, or whose tick was taken back, and when, in ms. */
export interface Tick {
	readonly id: string;
	readonly at: number;
	readonly undone?: boolean;
}

/** A spread that a person gave to the sitting of a day, or to none again, and when, in ms. */
export interface Move {
	/** The spread's left page. */
	readonly left: number;
	readonly at: number;
	readonly day?: string;
}

/** How far a month is made: what is done, and which spreads a person moved to another sitting. */
export interface Progress {
	readonly done: readonly Tick[];
	readonly moved: readonly Move[];
}

export const noProgress: Progress = { done: [], moved: [] };

/** What two windows or devices know together: of each task and spread what was done last. */
export function mergeProgress(one: Progress, other: Progress): Progress {
	return {
		done: latest([...one.done, ...other.done], ({ id }) => id),
		moved: latest([...one.moved, ...other.moved], ({ left }) => left)
	};
}

function latest<T extends { readonly at: number }, Name>(
	entries: readonly T[],
	nameOf: (entry: T) => Name
): T[] {
	const found = new Map<Name, T>();
	for (const entry of entries) {
		const known = found.get(nameOf(entry));
		if (!known || known.at < entry.at) found.set(nameOf(entry), entry);
	}
	return [...found.values()];
}

/** When each task was done, in ms, by its id. */
export function doneTimes({ done }: Progress): Readonly<Record<string, number>> {
	return Object.fromEntries(done.flatMap(({ id, at, undone }) => (undone ? [] : [[id, at]])));
}

/** Days that spreads were moved to, by their left page. */
export function movedDays({ moved }: Progress): Readonly<Record<string, string>> {
	return Object.fromEntries(moved.flatMap(({ left, day }) => (day ? [[left, day]] : [])));
}
