import { MediaQuery } from 'svelte/reactivity';

const night = new MediaQuery('(prefers-color-scheme: dark)', false);
let chosen = $state<string>();

/** Whether the screen is dark now, by the device or by the person's choice. */
export const mode = {
	get dark(): boolean {
		return chosen === 'dark' || (chosen !== 'light' && night.current);
	}
};

/** Follows the choice that the page's root carries; returns what ends it. */
export function followChoice(): () => void {
	const root = document.documentElement;
	const look = () => (chosen = root.dataset.theme);
	const observer = new MutationObserver(look);
	observer.observe(root, { attributes: true, attributeFilter: ['data-theme'] });
	look();
	return () => observer.disconnect();
}
