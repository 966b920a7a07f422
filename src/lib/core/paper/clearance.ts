import { overlaps, type Rect, type Size } from './squares';

/** How far a rectangle is from what comes next on one side, in squares. */
export interface Gap {
	readonly squares: number;
	/** Which of the others comes next; undefined where it is the page's last dot. */
	readonly neighbour?: number;
}

export type Edge = 'left' | 'right' | 'top' | 'bottom';

/** The gaps on all four sides; negative where the rectangle stands out over the page. */
export type Clearance = Readonly<Record<Edge, Gap>>;

/** Gaps from a rectangle to the nearest other beside it, or to the page's last dots. */
export function clearance(rect: Rect, page: Size, others: readonly Rect[]): Clearance {
	const right = rect.x + rect.w;
	const bottom = rect.y + rect.h;
	const beside = (other: Rect) => other.y < bottom && rect.y < other.y + other.h;
	const along = (other: Rect) => other.x < right && rect.x < other.x + other.w;
	const least = (edge: number, near: (other: Rect) => boolean, gap: (other: Rect) => number) =>
		others.reduce<Gap>(
			(best, other, neighbour) => {
				if (!near(other) || overlaps(other, rect)) return best;
				const squares = gap(other);
				return squares >= 0 && squares < best.squares ? { squares, neighbour } : best;
			},
			{ squares: edge }
		);
	return {
		left: least(rect.x, beside, (other) => rect.x - other.x - other.w),
		right: least(page.w - right, beside, (other) => other.x - right),
		top: least(rect.y, along, (other) => rect.y - other.y - other.h),
		bottom: least(page.h - bottom, along, (other) => other.y - bottom)
	};
}

/** A line of dots on which a rectangle ends or has its middle together with another, or with the page. */
export interface Alignment {
	/** `x` for a line down the page, `y` for one across it. */
	readonly axis: 'x' | 'y';
	/** Where it runs, in squares; a half where two middles agree between dots. */
	readonly at: number;
	readonly from: number;
	readonly to: number;
	readonly what: 'edge' | 'middle';
}

/** All alignments of a rectangle with others and with the middle of the page, each line once. */
export function alignments(rect: Rect, page: Size, others: readonly Rect[]): Alignment[] {
	const found = new Map<string, Alignment>();
	const add = (alignment: Alignment) => {
		const key = `${alignment.axis} ${alignment.at} ${alignment.what}`;
		const known = found.get(key);
		found.set(key, {
			...alignment,
			from: Math.min(alignment.from, known?.from ?? Infinity),
			to: Math.max(alignment.to, known?.to ?? -Infinity)
		});
	};
	for (const axis of ['x', 'y'] as const) {
		const own = extent(rect, axis);
		const across = extent(rect, axis === 'x' ? 'y' : 'x');
		for (const other of others) {
			const theirs = extent(other, axis);
			const reach = extent(other, axis === 'x' ? 'y' : 'x');
			const line = { axis, from: Math.min(across[0], reach[0]), to: Math.max(across[1], reach[1]) };
			for (const at of own) if (theirs.includes(at)) add({ ...line, at, what: 'edge' });
			if (middle(own) === middle(theirs)) add({ ...line, at: middle(own), what: 'middle' });
		}
		const whole = axis === 'x' ? page.w : page.h;
		if (middle(own) === whole / 2)
			add({ axis, at: whole / 2, from: 0, to: axis === 'x' ? page.h : page.w, what: 'middle' });
	}
	return [...found.values()];
}

function extent({ x, y, w, h }: Rect, axis: 'x' | 'y'): readonly [number, number] {
	return axis === 'x' ? [x, x + w] : [y, y + h];
}

function middle([from, to]: readonly [number, number]): number {
	return (from + to) / 2;
}
