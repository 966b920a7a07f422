import type { Attachment } from 'svelte/attachments';

/**
 * Keeps a finger on this part of a picture from scrolling what is around it, while `wanted` holds. The style
 * `touch-action` alone does not reach the inner parts of an SVG in every browser.
 */
export function holdTouch(wanted: () => boolean): Attachment<SVGElement> {
	return (element) => {
		const hold = (event: TouchEvent) => {
			if (wanted() && event.cancelable) event.preventDefault();
		};
		element.addEventListener('touchstart', hold, { passive: false });
		return () => element.removeEventListener('touchstart', hold);
	};
}
