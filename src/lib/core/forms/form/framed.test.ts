import fc from 'fast-check';
import { expect, test } from 'vitest';
import { framed, insideFrame, type Framing } from './framed';

const rect = fc.record({
	x: fc.integer({ min: 0, max: 9 }),
	y: fc.integer({ min: 0, max: 9 }),
	w: fc.integer({ min: 1, max: 40 }),
	h: fc.integer({ min: 1, max: 40 })
});
const framing = fc.constantFrom<Framing>('none', 'rectangle', 'octagon', 'circle', 'arch');

test('a frame begins, ends and is set on dots, inside its room', () => {
	fc.assert(
		fc.property(rect, framing, (room, framing) => {
			for (const mark of framed(room, framing)) {
				if (mark.kind === 'arc') expect(mark.radius).toBeGreaterThan(0);
				const ends =
					mark.kind === 'line'
						? [mark.x1, mark.y1, mark.x2, mark.y2]
						: mark.kind === 'arc'
							? [mark.x, mark.y, mark.radius]
							: [];
				expect(ends.length).toBeGreaterThan(0);
				expect(ends.every(Number.isInteger)).toBe(true);
				if (mark.kind !== 'arc') continue;
				const { x, y, radius, part } = mark;
				expect(x - radius).toBeGreaterThanOrEqual(room.x);
				expect(y - radius).toBeGreaterThanOrEqual(room.y);
				expect(x + radius).toBeLessThanOrEqual(room.x + room.w);
				expect(y + (part === 'whole' ? radius : 0)).toBeLessThanOrEqual(room.y + room.h);
			}
		})
	);
});

test('words inside a round or cornered frame do not touch it', () => {
	fc.assert(
		fc.property(rect, framing, (room, framing) => {
			const place = insideFrame(room, framing);
			if (place.w === 0 || place.h === 0) return;
			const corners = [place.x, place.x + place.w].flatMap((x) =>
				[place.y, place.y + place.h].map((y) => ({ x, y }))
			);
			for (const mark of framed(room, framing))
				for (const { x, y } of corners) {
					if (mark.kind === 'arc' && (mark.part === 'whole' || y < mark.y))
						expect(Math.hypot(x - mark.x, y - mark.y)).toBeLessThanOrEqual(mark.radius);
					if (mark.kind !== 'line') continue;
					// All corners lie on one side of each line, the one where the middle of the room is.
					const side = (px: number, py: number) =>
						Math.sign((mark.x2 - mark.x1) * (py - mark.y1) - (mark.y2 - mark.y1) * (px - mark.x1));
					expect(side(x, y)).toBe(side(place.x + place.w / 2, place.y + place.h / 2));
				}
		})
	);
});

test('an arch of 20 × 30 stands on a compass point 10 in and 10 down, with sides of 20', () => {
	expect(framed({ x: 4, y: 2, w: 20, h: 30 }, 'arch')).toEqual([
		{ kind: 'arc', x: 14, y: 12, radius: 10, part: 'upper' },
		{ kind: 'line', x1: 4, y1: 12, x2: 4, y2: 32 },
		{ kind: 'line', x1: 24, y1: 12, x2: 24, y2: 32 },
		{ kind: 'line', x1: 4, y1: 32, x2: 24, y2: 32 }
	]);
});
