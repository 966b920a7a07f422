import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
	frame,
	line,
	mergeMarks,
	slotOutline,
	stencilMm,
	stencilSlots,
	type Mark,
	type Slot
} from '.';

const pitchMm = 5;
const lengthMm = ({ from, to }: Slot) => Math.hypot(to.x - from.x, to.y - from.y) * pitchMm;

/** Smallest distance of two outlines in mm, from the corners of each to the sides of the other. */
function distanceMm(a: Slot, b: Slot): number {
	const [one, two] = [slotOutline(a, pitchMm), slotOutline(b, pitchMm)];
	const sides = (points: typeof one) =>
		points.map((point, index) => [point, points[(index + 1) % 4] ?? point] as const);
	const near = (corners: typeof one, others: typeof one) =>
		corners.flatMap(({ x, y }) =>
			sides(others).map(([p, q]) => {
				const [dx, dy] = [q.x - p.x, q.y - p.y];
				const t = Math.min(1, Math.max(0, ((x - p.x) * dx + (y - p.y) * dy) / (dx * dx + dy * dy)));
				return Math.hypot(x - p.x - t * dx, y - p.y - t * dy);
			})
		);
	return Math.min(...near(one, two), ...near(two, one)) * pitchMm;
}

const anyLines: fc.Arbitrary<Mark[]> = fc
	.array(
		fc.record({
			x: fc.nat(28),
			y: fc.nat(40),
			length: fc.integer({ min: 1, max: 40 }),
			across: fc.boolean()
		}),
		{ maxLength: 12 }
	)
	.map((all) =>
		all.map(({ x, y, length, across }) =>
			across ? line(x, y, Math.min(28, x + length), y) : line(x, y, x, Math.min(40, y + length))
		)
	)
	.map((lines) => mergeMarks(lines.filter(({ x1, y1, x2, y2 }) => x1 !== x2 || y1 !== y2)));

test('a line of 20 squares is two slots, with bridges at its ends and between', () => {
	const slots = stencilSlots([line(0, 0, 20, 0)], pitchMm);
	expect(slots).toHaveLength(2);
	const [first, second] = slots;
	expect((first?.from.x ?? 0) * pitchMm).toBeCloseTo(1.15);
	expect(((second?.from.x ?? 0) - (first?.to.x ?? 0)) * pitchMm).toBeCloseTo(2.3);
});

test('a frame falls apart nowhere: between any two slots stays a bridge of card', () => {
	fc.assert(
		fc.property(anyLines, (marks) => {
			const slots = stencilSlots(marks, pitchMm);
			slots.forEach((slot, index) => {
				expect(lengthMm(slot)).toBeLessThanOrEqual(stencilMm.longest + 1e-9);
				for (const other of slots.slice(index + 1))
					expect(distanceMm(slot, other)).toBeGreaterThan(stencilMm.bridge / 2);
			});
		})
	);
});

test('every slot lies on a line, and every line of two squares that none meets has one', () => {
	fc.assert(
		fc.property(anyLines, (marks) => {
			const slots = stencilSlots(marks, pitchMm);
			for (const { from, to } of slots)
				expect(
					marks.some(
						(mark) =>
							mark.kind === 'line' &&
							[from, to].every(
								({ x, y }) =>
									x >= mark.x1 - 1e-9 &&
									x <= mark.x2 + 1e-9 &&
									y >= mark.y1 - 1e-9 &&
									y <= mark.y2 + 1e-9
							)
					)
				).toBe(true);
		})
	);
	expect(stencilSlots(frame({ x: 0, y: 0, w: 2, h: 2 }), pitchMm)).toHaveLength(4);
});

test('round frames are left to the compass', () => {
	const circle: Mark = { kind: 'arc', x: 6, y: 6, radius: 5, part: 'whole' };
	expect(stencilSlots([circle, line(0, 0, 4, 0)], pitchMm)).toEqual(
		stencilSlots([line(0, 0, 4, 0)], pitchMm)
	);
});
