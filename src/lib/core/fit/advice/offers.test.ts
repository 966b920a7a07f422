import { expect, test } from 'vitest';
import { a5 } from '../../../../../tests/support/arbitraries';
import { defaultHand } from '../../hand';
import type { Wish } from '../../wish';
import { summaryOf } from '../plan/summary';
import type { Plan } from '../plan/plan';
import { planRun } from '../planner';
import { PackingCache } from '../solve';
import { everySize, gainOf, otherOrder } from './offers';

function done<T>(work: Generator<unknown, T>): T {
	let state = work.next();
	while (!state.done) state = work.next();
	return state.value;
}

const block = (id: string, h: number, more: Partial<Wish> = {}): Wish => ({
	id,
	kind: 'habits',
	items: [{ name: 'Dough' }],
	size: { w: 28, h },
	...more
});

const planOf = (wishes: readonly Wish[]): Plan => ({
	notebook: { ...a5, freePages: [{ first: 12, last: 20 }] },
	month: { year: 2027, month: 5 },
	weekStart: 'monday',
	hand: defaultHand,
	locale: 'en',
	aim: 'fewest-pages',
	wishes
});

test('one thing elsewhere in the list that saves a page is offered with what it saves, and proved', () => {
	// Two halves with a whole page between them: only together they are one page.
	const plan = planOf([block('a', 19), block('whole', 40), block('b', 19)]);
	const run = planRun(plan);
	expect(run.pagesUsed).toBe(3);
	const offer = done(otherOrder(plan, run, new PackingCache()));
	expect(offer?.summary.pagesUsed).toBe(2);
	const taken = planRun({ ...plan, ...offer?.change });
	expect(summaryOf(taken)).toEqual(offer?.summary);
	expect(taken.unplaced).toEqual([]);
	expect(offer?.change.wishes?.every((wish) => plan.wishes.includes(wish))).toBe(true);
});

test('what is held or opens the month is never offered to stand elsewhere', () => {
	const plan = planOf([
		block('a', 19, { pin: { page: 12 } }),
		block('whole', 40, { pin: { page: 13 } }),
		block('b', 19, { pin: { page: 14 } })
	]);
	expect(done(otherOrder(plan, planRun(plan), new PackingCache()))).toBeUndefined();
});

test('nothing is offered where no other size is better, and what is tried already is not tried again', () => {
	const plan = planOf([block('a', 19), block('b', 19)]);
	const run = planRun(plan);
	expect(done(everySize(plan, run, new PackingCache()))).toEqual({ optimal: true });
	expect(run.sizes).toBe('every');
	const open = planOf([block('a', 19, { size: undefined })]);
	const found = done(everySize(open, planRun(open), new PackingCache()));
	expect(found.optimal).toBe(true);
});

test('a gain is told by what matters most', () => {
	const run = summaryOf(planRun(planOf([block('a', 19)])));
	expect(gainOf({ ...run, leftOut: 1 }, { ...run, pagesUsed: 9 })).toEqual({ leftOut: 1 });
	expect(gainOf(run, { ...run, leftOut: 1, pagesUsed: 0 })).toBeUndefined();
	expect(gainOf({ ...run, pagesUsed: 3 }, { ...run, pagesUsed: 1 })).toEqual({ pages: 2 });
	expect(gainOf({ ...run, discomfort: 9 }, { ...run, discomfort: 4 })).toEqual({ comfort: 5 });
	expect(gainOf(run, run)).toBeUndefined();
});
