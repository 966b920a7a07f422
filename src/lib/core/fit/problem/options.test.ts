import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { a5, anyPlan } from '../../../../../tests/support/arbitraries';
import { often } from '../../../../../tests/support/effort';
import type { Wish } from '../../wish';
import { defaultHand } from '../../hand';
import type { Aim } from '../plan/aims';
import { summaryOf } from '../plan/summary';
import { sizeSteps, type Plan } from '../plan/plan';
import { planRun } from '../planner';
import { pageChoices } from './options';
import { choicesIn } from '../members/hosting';

const room = { w: 16, h: 30 };
const wishes: readonly Wish[] = [
	{ id: 'w', kind: 'sleep', title: 'Sleep' },
	{ id: 'w', kind: 'habits', title: 'Habits', items: [{ name: 'Dough' }, { name: 'Bellows' }] },
	{ id: 'w', kind: 'mood', title: 'Weather' },
	{ id: 'w', kind: 'notes', title: 'Ideas' },
	{ id: 'w', kind: 'spending', rules: { table: { entries: 6 } } },
	{ id: 'w', kind: 'one-line-a-day' }
];

const planOf = (aim: Aim, wish: Wish): Plan => ({
	notebook: a5,
	month: { year: 2027, month: 5 },
	weekStart: 'monday',
	hand: defaultHand,
	locale: 'en',
	aim,
	wishes: [wish]
});

describe('sizes of a wish on a page', () => {
	// Referee: every width and height of the room, one by one.
	test.each(wishes)('every: none is missed at which $kind is more comfortable', (wish) => {
		const plan = planOf('roomiest', wish);
		const sort = { side: 'left', whole: true } as const;
		const offered = pageChoices(plan, wish, [room], sort, 'every');
		const missed: string[] = [];
		for (let w = 1; w <= room.w; w++)
			for (let h = 1; h <= room.h; h++) {
				const [ruled] = choicesIn(plan, wish, { span: 'page', w, h }, true);
				if (!ruled || ruled.form.wholePage) continue;
				// Half a page and a quarter have their price, as everywhere.
				const squeezed = [w <= (room.w - 1) / 2, h <= (room.h - 1) / 2].filter(Boolean).length;
				const price = Math.round((ruled.discomfort + 10 * squeezed) / 5) * 5;
				const found = offered.some((size) => size.w <= w && size.h <= h && size.cost <= price);
				if (!found) missed.push(`${w} × ${h} at ${price}`);
			}
		expect(missed).toEqual([]);
	});

	test('none is both larger and less comfortable than another', () => {
		for (const wish of wishes)
			for (const sizes of sizeSteps) {
				const plan = planOf('balanced', wish);
				const offered = pageChoices(plan, wish, [room], { side: 'left', whole: true }, sizes);
				for (const a of offered)
					for (const b of offered)
						if (a !== b) expect(a.w <= b.w && a.h <= b.h && a.cost <= b.cost).toBe(false);
			}
	});
});

describe('steps of sizes', () => {
	test('each holds what the one before found: no more is left out, no page more where pages come first', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const fewest: Plan = { ...plan, aim: 'fewest-pages' };
				const [usual, united, every] = sizeSteps.map((sizes) => planRun({ ...fewest, sizes }));
				if (!usual || !united || !every) throw new Error('three steps');
				for (const [less, more] of [
					[usual, united],
					[united, every]
				] as const) {
					const [a, b] = [summaryOf(less), summaryOf(more)];
					expect(b.leftOut).toBeLessThanOrEqual(a.leftOut);
					if (b.leftOut === a.leftOut) expect(b.pagesUsed).toBeLessThanOrEqual(a.pagesUsed);
				}
			}),
			{ numRuns: often(20) }
		);
	});

	test('only a run of every size is the best there is, and the answer says which were tried', () => {
		const plan = planOf('balanced', { id: 'w', kind: 'habits', items: [{ name: 'Dough' }] });
		expect(planRun({ ...plan, sizes: 'usual' })).toMatchObject({ sizes: 'usual', optimal: false });
		expect(planRun(plan)).toMatchObject({ sizes: 'united', optimal: false, bound: 0 });
		expect(planRun({ ...plan, sizes: 'every' })).toMatchObject({ sizes: 'every', optimal: true });
		// Weeks take whole pages: there is no other size to try.
		const weekly = planOf('balanced', {
			id: 'w',
			kind: 'weekly-pages',
			weeks: { belong: 'middle-day', short: 'own', pagesPerWeek: 2 }
		});
		expect(planRun(weekly)).toMatchObject({ sizes: 'every', optimal: true });
	});
});
