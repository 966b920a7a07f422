import fc from 'fast-check';
import { tabShapes, type Cut } from '../../src/lib/core/cuts';
import { outlineShapes, type Notebook } from '../../src/lib/core/paper';
import { a5 } from './arbitraries';

/** Notebooks whose front and back dots agree, or do not. */
export const anyBook: fc.Arbitrary<Notebook> = fc.oneof(
	fc.constant(a5),
	fc
		.record({ x: fc.integer({ min: 30, max: 55 }), y: fc.integer({ min: 30, max: 60 }) })
		.map(({ x, y }): Notebook => ({
			...a5,
			marginsMm: { left: { x: x / 10, y: y / 10 }, right: { x: 4, y: 5 } }
		}))
);

const leaves = fc
	.record({ first: fc.constantFrom(13, 15, 17), more: fc.nat(3) })
	.map(({ first, more }) => ({ first, last: first + 2 * more }));
const rect = fc
	.record({ x: fc.nat(20), y: fc.nat(30), w: fc.nat(15), h: fc.nat(25) })
	.map(({ x, y, w, h }) => ({
		x,
		y,
		w: Math.max(2, Math.min(w, 28 - x)),
		h: Math.max(2, Math.min(h, 40 - y))
	}));

const anyCut: fc.Arbitrary<Omit<Cut, 'id'>> = fc.oneof(
	fc.record({
		kind: fc.constantFrom('strip' as const, 'top' as const, 'bottom' as const),
		leaves,
		amount: fc.integer({ min: 1, max: 20 }),
		lastUncut: fc.boolean()
	}),
	fc.record({
		kind: fc.constantFrom('waterfall' as const, 'tab' as const),
		leaves,
		step: fc.integer({ min: 1, max: 6 }),
		leaveLine: fc.boolean()
	}),
	fc.record({
		kind: fc.constant('window' as const),
		leaves,
		rect,
		shape: fc.constantFrom(...outlineShapes)
	}),
	fc.record({
		kind: fc.constant('tab' as const),
		leaves,
		depth: fc.integer({ min: 2, max: 8 }),
		tabShape: fc.constantFrom(...tabShapes)
	}),
	fc.record({
		kind: fc.constant('corner' as const),
		leaves,
		amount: fc.integer({ min: 1, max: 6 })
	}),
	fc.record({
		kind: fc.constant('outline' as const),
		leaves,
		points: fc.array(fc.record({ x: fc.nat(28), y: fc.nat(40) }), { minLength: 3, maxLength: 6 })
	}),
	fc.record({ kind: fc.constant('glue' as const), leaves, rect })
);

/** A few cuts through leaves 13/14 to 23/24, each with an id of its own. */
export const anyCuts: fc.Arbitrary<Cut[]> = fc
	.array(anyCut, { maxLength: 4 })
	.map((all) => all.map((cut, index) => ({ ...cut, id: `cut-${index}` })));
