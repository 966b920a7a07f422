/** Steps that can be taken back and made again; immutable. */
export interface History<T> {
	readonly past: readonly T[];
	readonly present: T;
	readonly future: readonly T[];
	/** What the last step changed: further steps with the same name join it. */
	readonly last: string | undefined;
}

const mostSteps = 200;

/** A history that begins with a value. */
export function begin<T>(present: T): History<T> {
	return { past: [], present, future: [], last: undefined };
}

/**
 * Makes a step. Steps in a row with the same `name` count as one, so that a typed word is taken back
 * whole; without a name each step stands alone.
 */
export function step<T>(history: History<T>, present: T, name?: string): History<T> {
	const joins = name !== undefined && name === history.last;
	return {
		past: joins ? history.past : [...history.past, history.present].slice(-mostSteps),
		present,
		future: [],
		last: name
	};
}

/** Takes the last step back; unchanged when there is none. */
export function undo<T>(history: History<T>): History<T> {
	const present = history.past.at(-1);
	if (present === undefined) return history;
	return {
		past: history.past.slice(0, -1),
		present,
		future: [history.present, ...history.future],
		last: undefined
	};
}

/** Makes the step again that was taken back last; unchanged when there is none. */
export function redo<T>(history: History<T>): History<T> {
	const [present, ...future] = history.future;
	if (present === undefined) return history;
	return { past: [...history.past, history.present], present, future, last: undefined };
}
