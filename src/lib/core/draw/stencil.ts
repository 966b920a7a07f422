import type { Dot } from '../paper';
import type { Mark } from './mark';

/** A straight slot to be cut out of a stencil, along the middle of a ruled line; in squares. */
export interface Slot {
	readonly from: Dot;
	readonly to: Dot;
}

/** Measures of a stencil, in mm (common practice: card of about a quarter of a millimetre). */
export const stencilMm = {
	/** Width of a slot: a pencil's lead with some room. */
	slot: 0.8,
	/** Card that stays between two slots, so that the stencil holds together. */
	bridge: 1.5,
	/** A longer slot would gape. */
	longest: 50,
	/** A shorter one guides no pencil. */
	shortest: 1
};

/**
 * Slots of a stencil for ruled marks: along every line, with a bridge where it ends, where another line meets
 * it, and wherever it would be too long to stay straight. What a bridge leaves out is joined by hand.
 */
export function stencilSlots(marks: readonly Mark[], pitchMm: number): Slot[] {
	const lines = segments(marks);
	const half = (stencilMm.bridge + stencilMm.slot) / 2 / pitchMm;
	return lines.flatMap((line) => {
		const length = Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y);
		const stops = [0, length, ...lines.flatMap((other) => meeting(line, other, length))].sort(
			(a, b) => a - b
		);
		return stops.slice(1).flatMap((stop, index) => {
			const start = (stops[index] ?? 0) + half;
			const room = stop - half - start;
			if (room * pitchMm < stencilMm.shortest) return [];
			const count = Math.ceil((room * pitchMm) / stencilMm.longest);
			const part = (room - (count - 1) * 2 * half) / count;
			return Array.from({ length: count }, (_, at): Slot => {
				const begin = start + at * (part + 2 * half);
				return { from: along(line, begin / length), to: along(line, (begin + part) / length) };
			});
		});
	});
}

/** The four corners of a slot, in squares. */
export function slotOutline({ from, to }: Slot, pitchMm: number): Dot[] {
	const length = Math.hypot(to.x - from.x, to.y - from.y);
	const half = stencilMm.slot / 2 / pitchMm / length;
	const across = { x: -(to.y - from.y) * half, y: (to.x - from.x) * half };
	return [
		{ x: from.x + across.x, y: from.y + across.y },
		{ x: to.x + across.x, y: to.y + across.y },
		{ x: to.x - across.x, y: to.y - across.y },
		{ x: from.x - across.x, y: from.y - across.y }
	];
}

/** All straight strokes, each once; round ones are left to the compass, because what they enclose would fall out. */
function segments(marks: readonly Mark[]): Slot[] {
	const found = new Map<string, Slot>();
	const add = (from: Dot, to: Dot) => {
		const ends = [`${from.x} ${from.y}`, `${to.x} ${to.y}`].sort();
		found.set(ends.join(' '), { from, to });
	};
	for (const mark of marks)
		if (mark.kind === 'line') add({ x: mark.x1, y: mark.y1 }, { x: mark.x2, y: mark.y2 });
	return [...found.values()];
}

/** Where along a line, in squares from its start, another meets it. */
function meeting(line: Slot, other: Slot, length: number): number[] {
	if (line === other) return [];
	const d = { x: line.to.x - line.from.x, y: line.to.y - line.from.y };
	const e = { x: other.to.x - other.from.x, y: other.to.y - other.from.y };
	const offset = { x: other.from.x - line.from.x, y: other.from.y - line.from.y };
	const cross = d.x * e.y - d.y * e.x;
	if (cross === 0) {
		// Lines in one direction meet only where the end of one lies on the other.
		if (offset.x * d.y - offset.y * d.x !== 0) return [];
		return [other.from, other.to]
			.map(({ x, y }) => ((x - line.from.x) * d.x + (y - line.from.y) * d.y) / length)
			.filter((at) => at >= 0 && at <= length);
	}
	const t = (offset.x * e.y - offset.y * e.x) / cross;
	const u = (offset.x * d.y - offset.y * d.x) / cross;
	const slack = 1e-9;
	const inside = (value: number) => value >= -slack && value <= 1 + slack;
	return inside(t) && inside(u) ? [Math.min(length, Math.max(0, t * length))] : [];
}

function along({ from, to }: Slot, t: number): Dot {
	return { x: from.x + t * (to.x - from.x), y: from.y + t * (to.y - from.y) };
}
