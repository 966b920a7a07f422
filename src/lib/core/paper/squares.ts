/** A width and a height in squares. */
export interface Size {
	readonly w: number;
	readonly h: number;
}

/** A dot, counted from the first dot (top left, 0, 0): x to the right, y down. */
export interface Dot {
	readonly x: number;
	readonly y: number;
}

/** A rectangle of whole squares; (x, y) is its top left dot. */
export interface Rect extends Dot, Size {}

/** Whether two rectangles share at least one square. */
export function overlaps(a: Rect, b: Rect): boolean {
	return a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;
}

/** Whether `inner` lies wholly inside `outer`; edges may touch. */
export function contains(outer: Rect, inner: Rect): boolean {
	return (
		inner.x >= outer.x &&
		inner.y >= outer.y &&
		inner.x + inner.w <= outer.x + outer.w &&
		inner.y + inner.h <= outer.y + outer.h
	);
}

/** "1 square", "7 squares". */
export function squares(n: number): string {
	return n === 1 ? '1 square' : `${n} squares`;
}
