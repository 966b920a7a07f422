import type { KeptMonth } from '$lib/core/fit';
import type { History } from './history';

/** A month's steps as this window remembers them across reloads. */
export interface Remembered {
	/** Count of changes on the server that the present content is based on. */
	readonly revision: number;
	/** Whether the present content was kept when it was remembered. */
	readonly saved: boolean;
	/** What was on its way to the server then and is no step of the history, the oldest first. */
	readonly sent?: readonly KeptMonth[];
	readonly history: History<KeptMonth>;
}

const nameOf = (id: string) => `horarium steps 1 ${id}`;

/** Remembers a month's steps in this window, as many of them as there is room for. */
export function remember(id: string, { history, ...rest }: Remembered): void {
	for (let steps = history.past.length; ; steps = Math.floor(steps / 2)) {
		const past = steps === 0 ? [] : history.past.slice(-steps);
		const future = steps === history.past.length ? history.future : [];
		try {
			const text = JSON.stringify({ ...rest, history: { ...history, past, future } });
			sessionStorage.setItem(nameOf(id), text);
			return;
		} catch {
			// No room, or no place at all: what is here is then known until the window is closed.
			if (steps === 0) return;
		}
	}
}

/** What this window remembers of a month. */
export function recall(id: string): Remembered | undefined {
	try {
		const found: unknown = JSON.parse(sessionStorage.getItem(nameOf(id)) ?? 'null');
		return isRemembered(found) ? found : undefined;
	} catch {
		return undefined;
	}
}

/** Forgets a month's steps. */
export function forget(id: string): void {
	try {
		sessionStorage.removeItem(nameOf(id));
	} catch {
		// Nothing was remembered.
	}
}

/** Only this file writes under the name, so the outline is enough. */
function isRemembered(value: unknown): value is Remembered {
	return (
		typeof value === 'object' &&
		value !== null &&
		'revision' in value &&
		typeof value.revision === 'number' &&
		'saved' in value &&
		'history' in value &&
		typeof value.history === 'object'
	);
}
