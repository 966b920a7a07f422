import { tick } from 'svelte';

/** Whether anything on the screen has the focus. */
export function hasFocus(): boolean {
	const { activeElement, body } = document;
	return activeElement !== null && activeElement !== body && activeElement.isConnected;
}

/** What is to have the focus once it is on the screen. */
let wanted: readonly string[] = [];

/** Gives the focus to the first thing that a selector finds once the screen has changed. */
export async function focusOn(...selectors: readonly string[]): Promise<void> {
	await tick();
	for (const selector of selectors) {
		const found = document.querySelector<HTMLElement>(selector);
		if (!found) continue;
		found.focus();
		return;
	}
}

/** The same as soon as what is being worked out is shown (`focusWanted`), if the focus is nowhere else by then. */
export function focusLater(...selectors: readonly string[]): void {
	wanted = selectors;
}

/** Gives the focus to what was asked for, if that is there now and nothing else has the focus. */
export function focusWanted(): void {
	if (wanted.length === 0) return;
	if (hasFocus()) {
		wanted = [];
		return;
	}
	const selectors = wanted;
	if (!selectors.some((selector) => document.querySelector(selector))) return;
	wanted = [];
	void focusOn(...selectors);
}
