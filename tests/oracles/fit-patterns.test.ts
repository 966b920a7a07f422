import { describe, expect, test } from 'vitest';
import { often } from '../support/effort';
import { chunks, leastPrice, solved } from '../support/integer-program';
import { faultsOf } from '../support/judge-solution';
import { patternModel } from '../support/pattern-model';
import { patternProblem } from '../support/problems';

describe('full-size problems, as a choice among page patterns', () => {
	test.each(chunks(often(100, 20), 20))('seeds from %i on', (...chunk) => {
		for (const seed of chunk) {
			const problem = patternProblem(6 + (seed % 7), seed);
			const { best, bound } = solved(problem);
			expect(faultsOf(problem, best), `seed ${seed}`).toEqual([]);
			expect(bound, `seed ${seed}`).toBe(best.cost);
			expect(best.cost, `seed ${seed}`).toBe(leastPrice(patternModel(problem)));
		}
	});
});
