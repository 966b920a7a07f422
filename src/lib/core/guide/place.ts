import type { Dot, Rect } from '../paper';

/** No hand is asked to count further than this. */
export const furthest = 10;

/** A dot, and how to find it: from a dot that is known, so many to the right and down (or back). */
export interface Place {
	readonly at: Dot;
	readonly reference: Dot;
	readonly count: { readonly across: number; readonly down: number };
}

export type Direction = 'right' | 'left' | 'down' | 'up';

/** Helper ticks at every tenth dot from a known dot on, where nothing nearer is known. */
export interface TickStep {
	readonly kind: 'tick';
	readonly reference: Dot;
	readonly direction: Direction;
	readonly times: number;
}

const towards: Readonly<Record<Direction, Dot>> = {
	right: { x: 1, y: 0 },
	left: { x: -1, y: 0 },
	down: { x: 0, y: 1 },
	up: { x: 0, y: -1 }
};

/** The dots of helper ticks, in their order. */
export function tickedBy({ reference, direction, times }: TickStep): Dot[] {
	const { x, y } = towards[direction];
	return Array.from({ length: times }, (_, index) => ({
		x: reference.x + x * furthest * (index + 1),
		y: reference.y + y * furthest * (index + 1)
	}));
}

/** Squares that are counted to find a place. */
export function countsOf({ count }: Place): number {
	return Math.abs(count.across) + Math.abs(count.down);
}

/** The corner dots of a rectangle. */
export function cornersOf({ x, y, w, h }: Rect): Dot[] {
	return [y, y + h].flatMap((down) => [x, x + w].map((across) => ({ x: across, y: down })));
}

/** The dots of a page from which a hand can count: corners, and what it has ruled or ticked. */
export class KnownDots {
	private readonly dots = new Map<string, Dot>();

	constructor(corners: readonly Dot[]) {
		for (const corner of corners) this.add(corner);
	}

	add(dot: Dot): void {
		this.dots.set(`${dot.x} ${dot.y}`, dot);
	}

	/** The shortest way to a dot, or nothing where every known one is too far. */
	find(at: Dot, also?: Dot): Place | undefined {
		let best: Place | undefined;
		for (const reference of also ? [also, ...this.dots.values()] : this.dots.values()) {
			const place = placeFrom(reference, at);
			const { across, down } = place.count;
			if (Math.abs(across) > furthest || Math.abs(down) > furthest) continue;
			if (!best || countsOf(place) < countsOf(best)) best = place;
		}
		return best;
	}

	/** Helper ticks after which a dot is near enough to a known one. */
	ticksTo(at: Dot): TickStep[] {
		const steps: TickStep[] = [];
		let from = this.nearest(at);
		for (const axis of ['x', 'y'] as const) {
			const distance = at[axis] - from[axis];
			const times = Math.ceil(Math.abs(distance) / furthest) - 1;
			if (times < 1) continue;
			const direction =
				axis === 'x' ? (distance > 0 ? 'right' : 'left') : distance > 0 ? 'down' : 'up';
			const step: TickStep = { kind: 'tick', reference: from, direction, times };
			for (const dot of tickedBy(step)) {
				this.add(dot);
				from = dot;
			}
			steps.push(step);
		}
		return steps;
	}

	private nearest(at: Dot): Dot {
		let nearest = at;
		let least = Infinity;
		for (const dot of this.dots.values()) {
			const ticks =
				Math.ceil(Math.abs(at.x - dot.x) / furthest) + Math.ceil(Math.abs(at.y - dot.y) / furthest);
			if (ticks >= least) continue;
			least = ticks;
			nearest = dot;
		}
		return nearest;
	}
}

function placeFrom(reference: Dot, at: Dot): Place {
	return { at, reference, count: { across: at.x - reference.x, down: at.y - reference.y } };
}
