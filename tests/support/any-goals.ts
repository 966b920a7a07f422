import fc from 'fast-check';
import type { Goal } from '../../src/lib/core/forms';

/** A few goals of the first four weeks, in half hours. */
export const anyGoals: fc.Arbitrary<Goal[]> = fc
	.array(
		fc.record({
			from: fc.integer({ min: 1, max: 20 }),
			length: fc.integer({ min: 0, max: 8 }),
			slack: fc.integer({ min: 0, max: 3 }),
			halfHours: fc.integer({ min: 0, max: 14 })
		}),
		{ minLength: 1, maxLength: 4 }
	)
	.map((all) =>
		all.map(({ from, length, slack, halfHours }, at): Goal => ({
			name: `goal ${at}`,
			from,
			to: from + length,
			slack,
			hours: halfHours / 2
		}))
	);
