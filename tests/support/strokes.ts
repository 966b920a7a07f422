import type { Mark } from '../../src/lib/core/draw';
import { arcPoints, type Dot } from '../../src/lib/core/paper';

/** Every straight stroke that a picture must have: lines, and the pieces of arcs, each of which ends on its circle. */
export function straightStrokes(
	marks: readonly Mark[]
): { readonly from: Dot; readonly to: Dot }[] {
	return marks.flatMap((mark) => {
		if (mark.kind === 'line')
			return [{ from: { x: mark.x1, y: mark.y1 }, to: { x: mark.x2, y: mark.y2 } }];
		if (mark.kind !== 'arc') return [];
		const points = arcPoints(mark, mark.part);
		for (const point of points)
			if (Math.abs(Math.hypot(point.x - mark.x, point.y - mark.y) - mark.radius) > 1e-9)
				throw new Error(`(${point.x}, ${point.y}) is not on its circle`);
		const pairs = points.map((from, index) => ({
			from,
			to: points[(index + 1) % points.length] ?? from
		}));
		return mark.part === 'whole' ? pairs : pairs.slice(0, -1);
	});
}
