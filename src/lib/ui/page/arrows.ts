import type { Dot } from '$lib/core/paper';

const steps: Readonly<Record<string, Dot>> = {
	ArrowLeft: { x: -1, y: 0 },
	ArrowRight: { x: 1, y: 0 },
	ArrowUp: { x: 0, y: -1 },
	ArrowDown: { x: 0, y: 1 }
};

/** The step of one square that an arrow key means; undefined for other keys, and with a key that changes them. */
export function arrowStep({ key, altKey, ctrlKey, metaKey }: KeyboardEvent): Dot | undefined {
	return altKey || ctrlKey || metaKey ? undefined : steps[key];
}
