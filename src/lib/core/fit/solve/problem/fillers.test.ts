import fc from 'fast-check';
import { expect, test } from 'vitest';
import { Fillers } from './fillers';
import type { ProblemItem } from './problem';

const filler = (loss: number): ProblemItem => ({ options: [], spreads: [], loss, filler: true });

test('counts of fillers are told, and taken from each other, as if each were a number of its own', () => {
	const some = fc.tuple(fc.nat(60), fc.nat(70), fc.nat(9), fc.nat(1));
	fc.assert(
		fc.property(some, some, some, (most, left, taken) => {
			const items = most.flatMap((count, sort) =>
				Array.from({ length: count + 1 }, () => filler(sort))
			);
			const fillers = new Fillers(items, [...items.keys()], []);
			const within = (counts: readonly number[]) =>
				counts.map((count, sort) => Math.min(count, (most[sort] ?? 0) + 1));
			const [has, takes] = [within(left), within(taken)];
			const code = fillers.code(has);
			expect(has.map((_, sort) => fillers.count(code, sort))).toEqual(has);
			const rest = has.map((count, sort) => count - (takes[sort] ?? 0));
			const enough = rest.every((count) => count >= 0);
			expect(fillers.without(code, fillers.code(takes))).toBe(enough ? fillers.code(rest) : -1);
		})
	);
});
