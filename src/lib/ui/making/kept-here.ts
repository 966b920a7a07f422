/** What this browser keeps under a name, if it is what is expected; nothing where it keeps nothing. */
export function kept<T>(key: string, is: (value: unknown) => value is T): T | undefined {
	try {
		const value: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
		return is(value) ? value : undefined;
	} catch {
		return undefined;
	}
}

/** Keeps something in this browser; without a place for it, it is known until the window is closed. */
export function keep(key: string, value: unknown): void {
	try {
		localStorage.setItem(key, JSON.stringify(value));
	} catch {
		// Nothing else depends on it.
	}
}
