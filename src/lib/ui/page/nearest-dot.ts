import type { Dot, Size } from '$lib/core/paper';

/** A dot with the shortest way to count to it. */
export interface CountedDot extends Dot {
	/** "from the top left: 3 right, 5 down" */
	readonly words: string;
}

/** The dot nearest to a place on a page, counted from the corner that is nearest to it. */
export function nearestDot(place: Dot, page: Size): CountedDot {
	const x = Math.min(page.w, Math.max(0, Math.round(place.x)));
	const y = Math.min(page.h, Math.max(0, Math.round(place.y)));
	const left = x <= page.w - x;
	const top = y <= page.h - y;
	const across = left ? `${x} right` : `${page.w - x} left`;
	const down = top ? `${y} down` : `${page.h - y} up`;
	return {
		x,
		y,
		words: `from the ${top ? 'top' : 'bottom'} ${left ? 'left' : 'right'}: ${across}, ${down}`
	};
}
