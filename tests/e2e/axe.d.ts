import type axe from 'axe-core';

declare global {
	interface Window {
		/** Put there by the tests before they look at a page. */
		axe: typeof axe;
	}
}
