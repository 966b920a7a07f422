import type { Dot } from '../paper';
import type { Outline } from './removed';

/** A rectangle in mm by its edges. */
export interface Edges {
	readonly left: number;
	readonly top: number;
	readonly right: number;
	readonly bottom: number;
}

/** Binary rounding is forgiven up to this, in mm; measuring is not. */
const slackMm = 1e-6;

/** Whether a point lies inside a closed outline (crossings of a ray to the right; odd is inside). */
export function isInside({ x, y }: Dot, outline: Outline): boolean {
	let inside = false;
	sides(outline).forEach(([a, b]) => {
		if (a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
	});
	return inside;
}

/** Whether a closed outline takes anything of a rectangle; to touch its edge takes nothing. */
export function takesOf(outline: Outline, rect: Edges): boolean {
	const within = {
		left: rect.left + slackMm,
		top: rect.top + slackMm,
		right: rect.right - slackMm,
		bottom: rect.bottom - slackMm
	};
	if (!overlap(edgesOf(outline), rect)) return false;
	const middle = { x: (rect.left + rect.right) / 2, y: (rect.top + rect.bottom) / 2 };
	return isInside(middle, outline) || sides(outline).some((side) => crosses(side, within));
}

/** Whether two upright rectangles share more than an edge. */
export function overlap(a: Edges, b: Edges): boolean {
	return (
		a.right > b.left + slackMm &&
		a.left < b.right - slackMm &&
		a.bottom > b.top + slackMm &&
		a.top < b.bottom - slackMm
	);
}

/** The smallest upright rectangle around an outline. */
export function edgesOf(outline: Outline): Edges {
	const xs = outline.map(({ x }) => x);
	const ys = outline.map(({ y }) => y);
	return {
		left: Math.min(...xs),
		top: Math.min(...ys),
		right: Math.max(...xs),
		bottom: Math.max(...ys)
	};
}

/** The straight sides of a closed outline. */
export function sides(outline: Outline): (readonly [Dot, Dot])[] {
	return outline.map((point, index) => [point, outline[(index + 1) % outline.length] ?? point]);
}

/** Whether a straight side runs through a rectangle (clipping by Liang and Barsky, from memory). */
function crosses([a, b]: readonly [Dot, Dot], rect: Edges): boolean {
	let [from, to] = [0, 1];
	for (const [delta, room] of [
		[a.x - b.x, a.x - rect.left],
		[b.x - a.x, rect.right - a.x],
		[a.y - b.y, a.y - rect.top],
		[b.y - a.y, rect.bottom - a.y]
	] as const) {
		if (delta === 0 && room < 0) return false;
		if (delta < 0) from = Math.max(from, room / delta);
		if (delta > 0) to = Math.min(to, room / delta);
	}
	return from <= to;
}

/** The smallest distance between two outlines; 0 where they cross or touch. */
export function distanceOf(one: Outline, two: Outline): number {
	const meet = sides(one).some(([a, b]) => sides(two).some(([c, d]) => intersect(a, b, c, d)));
	if (meet) return 0;
	const [first] = one;
	const [other] = two;
	if ((first && isInside(first, two)) || (other && isInside(other, one))) return 0;
	const near = (points: Outline, others: Outline) =>
		points.flatMap((point) => sides(others).map((side) => toSide(point, side)));
	return Math.min(...near(one, two), ...near(two, one));
}

function intersect(a: Dot, b: Dot, c: Dot, d: Dot): boolean {
	const turn = (p: Dot, q: Dot, r: Dot) =>
		Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
	return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
}

function toSide({ x, y }: Dot, [a, b]: readonly [Dot, Dot]): number {
	const [dx, dy] = [b.x - a.x, b.y - a.y];
	const length = dx * dx + dy * dy;
	const t = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / length));
	return Math.hypot(x - a.x - t * dx, y - a.y - t * dy);
}
