import type { Dot, Size } from '$lib/core/paper';

/** A dot with the shortest way to count to it. */
export interface CountedDot extends Dot {
	/** "from the top left: 3 right, 5 down" */
	readonly words: string;
}

/** The nearest line to count from along one side of a page, and the count with its direction. */
interface Count {
	readonly from: string;
	readonly count: string;
}

/** The dot nearest to a place on a page, counted from the corner or the mid-line that is nearest to it. */
export function nearestDot(place: Dot, page: Size): CountedDot {
	const x = Math.min(page.w, Math.max(0, Math.round(place.x)));
	const y = Math.min(page.h, Math.max(0, Math.round(place.y)));
	const across = counted(x, page.w, ['left', 'right']);
	const down = counted(y, page.h, ['top', 'bottom']);
	const from = [down.from, across.from].filter((side) => side !== 'middle');
	const where = from.length === 2 ? from.join(' ') : `middle of the ${from[0] ?? 'page'}`;
	const counts = [across.count, down.count].filter((count) => !count.startsWith('0 '));
	return { x, y, words: `from the ${where}: ${counts.join(', ') || 'the dot itself'}` };
}

function counted(at: number, length: number, [start, end]: readonly [string, string]): Count {
	const [less, more] = start === 'left' ? ['left', 'right'] : ['up', 'down'];
	// A page with an odd number of squares has no line of dots in its middle.
	const middle = length % 2 === 0 ? length / 2 : Infinity;
	const toMiddle = Math.abs(at - middle);
	if (toMiddle < Math.min(at, length - at))
		return { from: 'middle', count: `${toMiddle} ${at < middle ? less : more}` };
	return at <= length - at
		? { from: start, count: `${at} ${more}` }
		: { from: end, count: `${length - at} ${less}` };
}
