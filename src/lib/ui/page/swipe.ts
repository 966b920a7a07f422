import type { Attachment } from 'svelte/attachments';

/** A finger that turns a page goes so far, and at least twice as far sideways as up or down. */
const leastPx = 60;

/** Which way a finger's path turns the pages; undefined where it does not. */
export function turnedBy(across: number, down: number): 'before' | 'after' | undefined {
	if (Math.abs(across) < leastPx || Math.abs(across) < 2 * Math.abs(down)) return undefined;
	return across > 0 ? 'before' : 'after';
}

/** Calls `turn` when one finger wipes over the element, unless what lies there takes the touch or scrolls sideways itself. */
export function swipes(turn: (way: 'before' | 'after') => void): Attachment<HTMLElement> {
	return (element) => {
		let start: Touch | undefined;
		const began = ({ touches, target, defaultPrevented: taken }: TouchEvent) => {
			const alone = touches.length === 1 && !taken && !scrolls(target, element);
			start = alone ? touches[0] : undefined;
		};
		const ended = ({ changedTouches: [touch] }: TouchEvent) => {
			if (!start || !touch) return;
			const way = turnedBy(touch.clientX - start.clientX, touch.clientY - start.clientY);
			start = undefined;
			if (way) turn(way);
		};
		const lost = () => (start = undefined);
		element.addEventListener('touchstart', began, { passive: true });
		element.addEventListener('touchend', ended, { passive: true });
		element.addEventListener('touchcancel', lost, { passive: true });
		return () => {
			element.removeEventListener('touchstart', began);
			element.removeEventListener('touchend', ended);
			element.removeEventListener('touchcancel', lost);
		};
	};
}

/** Whether something between what was touched and the element scrolls sideways. */
function scrolls(target: EventTarget | null, within: HTMLElement): boolean {
	for (
		let at = target instanceof Element ? target : null;
		at && at !== within;
		at = at.parentElement
	)
		if (at.scrollWidth > at.clientWidth + 1 && getComputedStyle(at).overflowX !== 'visible')
			return true;
	return false;
}
