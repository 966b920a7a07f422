import type { Action } from 'svelte/action';

/** Calls back once, when the element comes near the window. */
export const seen: Action<Element, () => void> = (node, callback) => {
	const observer = new IntersectionObserver(
		([entry]) => {
			if (!entry?.isIntersecting) return;
			observer.disconnect();
			callback();
		},
		{ rootMargin: '200px' }
	);
	observer.observe(node);
	return { destroy: () => observer.disconnect() };
};
