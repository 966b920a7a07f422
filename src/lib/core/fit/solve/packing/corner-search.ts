import type { Rect, Size } from '../../../paper';

export interface Packing {
	/** Where rectangles lie, in the order in which they were given; or that there is no way; or that the
	 * search was broken off. */
	readonly found: readonly Rect[] | 'none' | 'unknown';
	/** Partial packings that were looked at. */
	readonly nodes: number;
}

/** From so many rectangles on it pays to remember which staircases led nowhere. */
const worthRemembering = 8;

/**
 * Depth-first search over rectangles and inner corners. A staircase is kept as its outer corners, x
 * growing and y falling, in plain arrays: this is the innermost loop of planning.
 */
export class CornerSearch {
	private nodes = 0;
	private readonly count: number;
	/** Widths and heights, the largest area first, and each one's index among the sizes given. */
	private readonly order: readonly number[];
	private readonly w: readonly number[];
	private readonly h: readonly number[];
	private readonly x: number[];
	private readonly y: number[];
	private readonly area: number;
	private readonly mirrored: boolean;
	private readonly seen = new Set<string>();

	constructor(
		private readonly page: Size,
		sizes: readonly Size[],
		private readonly obstacles: readonly Rect[],
		private readonly mostNodes: number
	) {
		const sorted = [...sizes.entries()].sort(
			([i, a], [j, b]) => b.w * b.h - a.w * a.h || b.w - a.w || i - j
		);
		this.count = sizes.length;
		this.order = sorted.map(([index]) => index);
		this.w = sorted.map(([, size]) => size.w);
		this.h = sorted.map(([, size]) => size.h);
		this.x = sizes.map(() => 0);
		this.y = sizes.map(() => 0);
		this.area = page.w * page.h;
		this.mirrored = obstacles.length === 0;
	}

	run(given: readonly Size[]): Packing {
		let rest = areaOf(this.obstacles);
		for (let index = 0; index < this.count; index++) rest += this.wide(index) * this.high(index);
		const all = (1 << this.count) - 1;
		if (this.place([], [], all, (1 << this.obstacles.length) - 1, rest, 0, 0)) {
			const found: Rect[] = given.map((size) => ({ x: 0, y: 0, ...size }));
			for (const [index, original] of this.order.entries()) {
				const size = given[original];
				if (size) found[original] = { x: this.x[index] ?? 0, y: this.y[index] ?? 0, ...size };
			}
			return { found, nodes: this.nodes };
		}
		return { found: this.nodes > this.mostNodes ? 'unknown' : 'none', nodes: this.nodes };
	}

	private wide(index: number): number {
		return this.w[index] ?? 0;
	}

	private high(index: number): number {
		return this.h[index] ?? 0;
	}

	/**
	 * Places what is left (`open` and `blocked` as bits, `rest` squares) beyond the staircase. What lies
	 * left of `lastX` and below `lastTop`, where the last rectangle was put, could have been placed
	 * before it with the same result, and was.
	 */
	private place(
		xs: readonly number[],
		ys: readonly number[],
		open: number,
		blocked: number,
		rest: number,
		lastX: number,
		lastTop: number
	): boolean {
		if (open === 0) return true;
		if (++this.nodes > this.mostNodes) return false;
		const { w: pageW, h: pageH } = this.page;
		let leastW = pageW;
		let leastH = pageH;
		for (let index = 0; index < this.count; index++) {
			if (!(open & (1 << index))) continue;
			const w = this.wide(index);
			const h = this.high(index);
			if (w < leastW) leastW = w;
			if (h < leastH) leastH = h;
			const mostX = pageW - w;
			const mostY = pageH - h;
			let fits = false;
			for (let corner = 0; corner <= xs.length && !fits; corner++)
				fits = before(xs, corner) <= mostX && (ys[corner] ?? 0) <= mostY;
			if (!fits) return false;
		}
		const dead = blocked
			? covered(xs, ys, pageW, pageH, 0, 0)
			: covered(xs, ys, pageW, pageH, leastW, leastH);
		if (dead + rest > this.area) return false;
		if (this.count >= worthRemembering) {
			const key = `${open} ${blocked} ${lastX} ${xs.join()} ${ys.join()}`;
			if (this.seen.has(key)) return false;
			this.seen.add(key);
		}
		for (let index = 0; index < this.count; index++) {
			if (!(open & (1 << index))) continue;
			const w = this.wide(index);
			const h = this.high(index);
			// Of equal rectangles only the first takes its turn; sorted, they are neighbours.
			const twin = index > 0 && open & (1 << (index - 1));
			if (twin && w === this.wide(index - 1) && h === this.high(index - 1)) continue;
			for (let corner = 0; corner <= xs.length; corner++) {
				const x = before(xs, corner);
				const y = ys[corner] ?? 0;
				if (x + w > pageW || y + h > pageH) continue;
				// Mirrored packings are as good, so the largest may keep to one quarter of the page.
				if (index === 0 && this.mirrored && (2 * x > pageW - w || 2 * y > pageH - h)) continue;
				if (x + w <= lastX && y > lastTop) continue;
				if (blocked && this.hits(x, y, w, h, blocked)) continue;
				this.x[index] = x;
				this.y[index] = y;
				const others = open & ~(1 << index);
				if (this.grow(xs, ys, x + w, y + h, others, blocked, rest - w * h, x, y + h)) return true;
			}
		}
		for (let index = 0; blocked >> index > 0; index++) {
			const rect = this.obstacles[index];
			if (!rect || !(blocked & (1 << index))) continue;
			if (under(xs, ys, rect.x, rect.y)) continue;
			const left = rest - rect.w * rect.h;
			const beyond = blocked & ~(1 << index);
			if (this.grow(xs, ys, rect.x + rect.w, rect.y + rect.h, open, beyond, left, 0, 0))
				return true;
		}
		return false;
	}

	/** Goes on with the staircase around one more outer corner. */
	private grow(
		xs: readonly number[],
		ys: readonly number[],
		x: number,
		y: number,
		open: number,
		blocked: number,
		rest: number,
		lastX: number,
		lastTop: number
	): boolean {
		const nextX: number[] = [];
		const nextY: number[] = [];
		let put = false;
		for (let step = 0; step < xs.length; step++) {
			const stepX = xs[step] ?? 0;
			const stepY = ys[step] ?? 0;
			if (stepX >= x && stepY >= y) return this.place(xs, ys, open, blocked, rest, lastX, lastTop);
			if (stepX <= x && stepY <= y) continue;
			if (!put && stepX > x) {
				nextX.push(x);
				nextY.push(y);
				put = true;
			}
			nextX.push(stepX);
			nextY.push(stepY);
		}
		if (!put) {
			nextX.push(x);
			nextY.push(y);
		}
		return this.place(nextX, nextY, open, blocked, rest, lastX, lastTop);
	}

	private hits(x: number, y: number, w: number, h: number, blocked: number): boolean {
		return this.obstacles.some(
			(other, index) =>
				blocked & (1 << index) &&
				x < other.x + other.w &&
				other.x < x + w &&
				y < other.y + other.h &&
				other.y < y + h
		);
	}
}

/** What stands before a place in a row; a negative index would be looked up by its name, which is slow. */
function before(xs: readonly number[], place: number): number {
	return place === 0 ? 0 : (xs[place - 1] ?? 0);
}

/**
 * Squares under a staircase, and those above or beside it where not even the least width or height
 * finds room.
 */
function covered(
	xs: readonly number[],
	ys: readonly number[],
	pageW: number,
	pageH: number,
	leastW: number,
	leastH: number
): number {
	let area = 0;
	let left = 0;
	for (let step = 0; step < xs.length; step++) {
		const end = xs[step] ?? 0;
		const top = ys[step] ?? 0;
		const x = end > pageW - leastW ? pageW : end;
		area += (x - left) * (top > pageH - leastH ? pageH : top);
		if (x === pageW) break;
		left = x;
	}
	return area;
}

/** Whether a dot lies inside a staircase. */
function under(xs: readonly number[], ys: readonly number[], x: number, y: number): boolean {
	for (let step = 0; step < xs.length; step++)
		if ((xs[step] ?? 0) > x && (ys[step] ?? 0) > y) return true;
	return false;
}

/** Squares of some rectangles together. */
export function areaOf(sizes: readonly Size[]): number {
	return sizes.reduce((sum, { w, h }) => sum + w * h, 0);
}
