import { expect, test } from 'vitest';
import { planRun, type Plan } from '../../src/lib/core/fit';
import type { Problem } from '../../src/lib/core/fit/solve';
import type { Wish } from '../../src/lib/core/wish';
import { a5, planWith } from '../support/arbitraries';
import { cellModel } from '../support/cell-model';
import { often } from '../support/effort';
import { chunks, leastPrice } from '../support/integer-program';
import { randomFrom } from '../support/problems';

/** What a member is worth, so that more of them never outweigh one that matters more. */
const worth = { must: 100, want: 10, spare: 1 } as const;
const air = 1;

/** A composed page of a small book with members of fixed sizes, some of which will hardly fit. */
function composedPage(seed: number): {
	readonly plan: Plan;
	readonly members: readonly Wish[];
	readonly problem: Problem;
} {
	const random = randomFrom(seed);
	const upTo = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const [columns, rows] = [upTo(10, 15), upTo(10, 18)];
	const members = Array.from({ length: upTo(2, 5) }, (_, index): Wish => ({
		id: `m${index}`,
		kind: 'notes',
		form: 'blank',
		importance: (['must', 'want', 'spare'] as const)[upTo(0, 2)],
		size: { w: upTo(3, 9), h: upTo(3, 9) }
	}));
	const plan = planWith([{ id: 'page', kind: 'composed', members }], {
		notebook: { ...a5, columns, rows, freePages: [{ first: 12, last: 12 }] }
	});
	const problem: Problem = {
		pages: [{ w: columns + air, h: rows + air, side: 'left', options: 0, obstacles: [] }],
		items: members.map(({ size = { w: 1, h: 1 }, importance = 'want' }) => ({
			options: [[{ w: size.w + air, h: size.h + air, cost: 0 }]],
			spreads: [],
			loss: worth[importance],
			filler: false
		})),
		pageCost: 0,
		usedAnyway: 0
	};
	return { plan, members, problem };
}

test.each(chunks(often(60, 20), 20))(
	'members left out are as few as can be, seeds from %i on',
	(...chunk) => {
		let left = 0;
		for (const seed of chunk) {
			const { plan, members, problem } = composedPage(seed);
			const { unplaced } = planRun(plan);
			const lost = members.filter(({ id }) => unplaced.some(({ wish }) => wish === id));
			const price = lost.reduce((sum, { importance = 'want' }) => sum + worth[importance], 0);
			left += lost.length;
			expect(price, `seed ${seed}: ${JSON.stringify(members)}`).toBe(
				leastPrice(cellModel(problem))
			);
		}
		expect(left).toBeGreaterThan(0);
	}
);
