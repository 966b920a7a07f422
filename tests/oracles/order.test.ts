import loadHighs from 'highs';
import { expect, test } from 'vitest';
import { bestOrder, endOf, listOrder, type OrderProblem } from '../../src/lib/core/making';
import { often } from '../support/effort';
import { wrongIn } from '../support/judge-order';
import { orderModel } from '../support/order-model';
import { chunks } from '../support/integer-program';

// Referee: HiGHS, which is given the times at which jobs begin and who comes first as unknowns.
const highs = await loadHighs();

/** A spread of up to twelve steps: two pages, some steps that wait for others, some that dry. */
function anySpread(seed: number): OrderProblem {
	let state = (seed + 10) * 2654435761;
	const random = (below: number) => {
		state = (Math.imul(state ^ (state >>> 15), 2246822519) + 374761393) | 0;
		return (state >>> 1) % below;
	};
	const count = 2 + random(11);
	// On every second spread what is done on one page waits until the other one is dry.
	const jobs = Array.from({ length: count }, (_, job) => ({
		length: 1 + random(20),
		tail: random(3) === 0 ? random(25) : 0,
		place: job % 2,
		...(seed % 2 === 0 && job % 2 === 1 ? { clear: 0 } : {})
	}));
	const delays = jobs.flatMap((_, to) =>
		Array.from({ length: to }, (_, from) => from)
			.filter((from) => from % 2 === to % 2 && random(3) > 0)
			.map((from) => ({ from, to, least: random(2) === 0 ? 0 : random(30) }))
	);
	return { jobs, delays };
}

test.each(chunks(often(200, 30), 10).map((seeds) => [seeds[0], seeds] as const))(
	'no order ends before the one that is found: spreads from %i on',
	(_, seeds) => {
		for (const seed of seeds) {
			const problem = anySpread(seed);
			const found = bestOrder(problem);
			const answer = highs.solve(orderModel(problem), { mip_rel_gap: 0, output_flag: false });
			expect(answer.Status).toBe('Optimal');
			expect(wrongIn(problem, found.order), `spread ${seed}`).toEqual([]);
			expect(found.proven).toBe(true);
			expect(found.end, `spread ${seed}`).toBe(Math.round(answer.ObjectiveValue));
			expect(found.end).toBe(endOf(problem, found.order));
			expect(found.end).toBeLessThanOrEqual(endOf(problem, listOrder(problem)));
			expect(found.bound).toBeLessThanOrEqual(found.end);
		}
	}
);

test('while one page dries the other is worked on', () => {
	// Two pages, each tinted for 4 minutes, dry after 3, then ruled for 5: nobody waits.
	const page = (first: number) => ({ from: first, to: first + 1, least: 3 });
	const problem = {
		jobs: [4, 5, 4, 5].map((length) => ({ length, tail: 0 })),
		delays: [page(0), page(2)]
	};
	expect(bestOrder(problem)).toMatchObject({ end: 18, bound: 18, proven: true });
	expect(bestOrder({ jobs: problem.jobs.slice(0, 2), delays: [page(0)] }).end).toBe(12);
});

test('jobs that wait for each other in a circle are refused', () => {
	const job = { length: 1, tail: 0 };
	const delays = [
		{ from: 0, to: 1, least: 0 },
		{ from: 1, to: 0, least: 0 }
	];
	expect(() => bestOrder({ jobs: [job, job], delays })).toThrow(/circle/);
});
