/** What this window keeps under a name until it is closed; nothing where it keeps nothing. */
export function keptHere(name: string): string | undefined {
	try {
		return sessionStorage.getItem(name) ?? undefined;
	} catch {
		return undefined;
	}
}

/** Keeps a text in this window, or with nothing lets go of it; where there is no place for it, nothing happens. */
export function keepHere(name: string, text: string | undefined): void {
	try {
		if (text === undefined) sessionStorage.removeItem(name);
		else sessionStorage.setItem(name, text);
	} catch {
		// Nothing else depends on it.
	}
}
