/** A text that this window remembers under a name, across screens and reloads. */
export interface KeptText {
	readonly read: () => string | undefined;
	/** Remembers it, or forgets it. */
	readonly keep: (text: string | undefined) => void;
}

/** What was typed into a field and is no value yet. */
export function keptText(name: string): KeptText {
	const key = `horarium typed ${name}`;
	return {
		read: () => {
			try {
				return sessionStorage.getItem(key) ?? undefined;
			} catch {
				return undefined;
			}
		},
		keep: (text) => {
			try {
				if (text === undefined) sessionStorage.removeItem(key);
				else sessionStorage.setItem(key, text);
			} catch {
				// It stands in the field as long as the field is there.
			}
		}
	};
}
