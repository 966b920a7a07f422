import { describe, expect, test } from 'vitest';
import { often } from '../support/effort';
import { cellModel } from '../support/cell-model';
import { chunks, leastPrice, solved } from '../support/integer-program';
import { faultsOf } from '../support/judge-solution';
import { smallProblem } from '../support/problems';

describe('small problems, square by square, as integer programs', () => {
	test.each(chunks(often(200, 40), 20))('seeds from %i on', (...chunk) => {
		for (const seed of chunk) {
			const problem = smallProblem(seed);
			const { best, bound } = solved(problem);
			expect(faultsOf(problem, best), `seed ${seed}`).toEqual([]);
			expect(bound, `seed ${seed}`).toBe(best.cost);
			// Musts cost most, so an equal price means that equally many are lost.
			expect(best.cost, `seed ${seed}`).toBe(leastPrice(cellModel(problem)));
		}
	});
});
