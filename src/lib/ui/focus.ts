import { tick } from 'svelte';

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
