import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyPlan, demoPlan, planWith } from '../../../../tests/support/arbitraries';
import { often } from '../../../../tests/support/effort';
import { planRun } from '../fit';
import { daysIn, type YearMonth } from '../month';
import type { Entry } from '../records';
import { allWishes, type Wish } from '../wish';
import {
	beginnings,
	calendarProposals,
	carried,
	keptIn,
	movingAlong,
	placeable,
	review,
	withYearly,
	type Proposal,
	type Yearly
} from '.';

const may: YearMonth = { year: 2027, month: 5 };
const june: YearMonth = { year: 2027, month: 6 };
const entry = (wish: string, about: string, holds: Entry['holds'], value: string): Entry => ({
	wish,
	about,
	holds,
	value
});
const keptOf = (wishes: readonly Wish[], entries: readonly Entry[]) => {
	const plan = planWith(wishes);
	return keptIn(plan, planRun(plan), entries);
};

test('what comes every year stands once on its day, and only in its month', () => {
	const anyYearly: fc.Arbitrary<Yearly> = fc.record({
		month: fc.integer({ min: 1, max: 12 }),
		day: fc.integer({ min: 1, max: 31 }),
		text: fc.constantFrom('Birthday', 'Wedding day', 'First ferry')
	});
	const wishes: Wish[] = [
		{ id: 'h', kind: 'habits', items: [{ name: 'Walk' }] },
		{ id: 'e', kind: 'events', events: [{ day: 2, text: 'Birthday' }] },
		{ id: 'c', kind: 'month-calendar' }
	];
	fc.assert(
		fc.property(fc.array(anyYearly), fc.integer({ min: 1, max: 12 }), (yearly, month) => {
			const when = { year: 2027, month };
			const once = withYearly(wishes, yearly, when);
			expect(withYearly(once, yearly, when)).toEqual(once);
			const due = yearly
				.filter((one) => one.month === month)
				.map(({ day, text }) => `${Math.min(day, daysIn(when))} ${text}`);
			const there = once.find(({ id }) => id === 'c')?.events ?? [];
			expect(new Set(there.map(({ day, text }) => `${day} ${text}`))).toEqual(new Set(due));
			expect(once.find(({ id }) => id === 'e')).toEqual(wishes[1]);
		})
	);
	// Without anything that takes events nothing is made up.
	const none = wishes.slice(0, 1);
	expect(withYearly(none, [{ month: 5, day: 3, text: 'Birthday' }], may)).toBe(none);
});

test('what is taken of proposals never costs anything its place', async () => {
	await fc.assert(
		fc.asyncProperty(anyPlan, fc.array(fc.integer({ min: 0, max: 40 })), async (plan, sizes) => {
			// Some ask for more than there is, some for less.
			const proposals = sizes.map((h, at): Proposal => {
				const wish = plan.wishes[at % Math.max(1, plan.wishes.length)];
				return {
					id: String(at),
					wish: wish?.id ?? '',
					what: '',
					why: '',
					change: (wishes) =>
						h === 0
							? wishes.slice(1)
							: [...wishes, { id: `more-${at}`, kind: 'notes', size: { w: 10, h } }]
				};
			});
			const lost = async (wishes: readonly Wish[]) => planRun({ ...plan, wishes }).unplaced.length;
			const taken = await placeable(plan.wishes, proposals, lost);
			const after = proposals
				.filter(({ id }) => taken?.includes(id))
				.reduce((all, { change }) => change(all), plan.wishes);
			expect(await lost(after)).toBeLessThanOrEqual(await lost(plan.wishes));
		}),
		{ numRuns: often(60, 12) }
	);
});

describe('where only is known how full pages became', () => {
	const wishes: Wish[] = [
		{
			id: 'shop',
			kind: 'shopping-list',
			form: 'table',
			rules: { table: { entries: 20, tables: 1 } }
		},
		{
			id: 'mood',
			kind: 'mood',
			form: 'month-grid',
			rules: { 'month-grid': { cell: { w: 3, h: 3 } } }
		},
		{ id: 'line', kind: 'gratitude' }
	];
	const said = (wish: string, full: string) => keptOf(wishes, [entry(wish, '', 'full', full)]);

	test('what ran over grows, what stayed empty shrinks or rests, and what was full stays', () => {
		const of = (months: readonly ReturnType<typeof said>[]) =>
			review(months, june).proposals.map(({ what }) => what);
		const rows = (full: string) =>
			(/(\d+) rows instead of (\d+)/.exec(of([said('shop', full)])[0] ?? '') ?? [])
				.slice(1)
				.map(Number);
		const [more = 0, ruled = 0] = rows('over');
		expect(ruled).toBeGreaterThan(0);
		expect(more).toBe(Math.round(1.5 * ruled));
		expect(rows('quarter')).toEqual([Math.round(ruled / 2), ruled]);
		expect(of([said('shop', 'empty'), said('shop', 'empty')])[0]).toMatch(/rests$/);
		expect(of([said('mood', 'over')])[0]).toMatch(/cells of 4 × 4 squares instead of 3 × 3$/);
		for (const fine of ['half', 'full']) expect(of([said('shop', fine)])).toEqual([]);
		// A proposal does what it says.
		const [larger] = review([said('mood', 'over')], june).proposals;
		const after = planWith(larger?.change(wishes) ?? []);
		expect(planRun(after).blocks.find(({ wish }) => wish === 'mood')?.facts.cell).toEqual({
			w: 4,
			h: 4
		});
	});
});

test('cells hold the busiest day and one line more', () => {
	const calendar = (h: number, events: number): Wish => ({
		id: 'c',
		kind: 'month-calendar',
		form: 'month-grid',
		span: 'page',
		rules: { 'month-grid': { cell: { w: 4, h } } },
		events: Array.from({ length: events }, (_, at) => ({ day: 9, text: `thing ${at}` }))
	});
	const of = (wish: Wish) => {
		const plan = planWith([wish]);
		return calendarProposals(plan, planRun(plan));
	};
	const [proposal] = of(calendar(3, 3));
	expect(proposal?.what).toContain('5 squares high instead of 3');
	expect(proposal?.why).toBe(
		'Day 9 was the busiest, with 3 events: the date 1 + 3 + one line more = 5.'
	);
	expect(of(calendar(5, 3))).toEqual([]);
	expect(of(calendar(3, 0))).toEqual([]);
});

test('numbers that are wider than their places ask for wider cells, and a scale reaches the next aim', () => {
	const steps: Wish = {
		id: 's',
		kind: 'steps',
		form: 'day-bars',
		rules: { 'day-bars': { first: 0, last: 8000, step: 2000 } }
	};
	const entries = Array.from({ length: 20 }, (_, at) =>
		entry('s', `day=${at + 1}`, 'number', '7500')
	);
	const { proposals } = review([keptOf([steps], entries)], june);
	// 7,500 → 9,000: a fifth above, to two figures.
	expect(proposals.map(({ what }) => what)).toContain('Steps: a scale to 9,000 instead of 8,000');
});

test('a table that went on in another one is counted as one', () => {
	const table = (id: string, entries: number): Wish => ({
		id,
		kind: 'spending',
		form: 'table',
		columns: [{ name: 'Item', width: 6 }],
		rules: { table: { entries, tables: 1 } }
	});
	const rows = (wish: string, count: number) =>
		Array.from({ length: count }, (_, at) =>
			entry(wish, `row=${at + 1}&column=Item`, 'text', 'Rye')
		);
	const tables = [table('s', 6), table('s-more', 4)];
	const kept = keptOf(tables, [...rows('s', 6), ...rows('s-more', 3)]);
	expect(kept).toHaveLength(1);
	// Alone on their pages the tables grow, so more is ruled than was asked for.
	const ruled = planRun(planWith(tables)).blocks.reduce(
		(sum, { facts }) => sum + (facts.rows ?? 0),
		0
	);
	expect(kept[0]?.tally).toMatchObject({ used: 9, ruled, ranOut: undefined });
});

test('goals that were not reached stand on the same days again, within the month', () => {
	const goals = [
		{ name: 'Reel', from: 3, to: 20, hours: 10 },
		{ name: 'Jumper', from: 25, to: 31 }
	];
	const plan = planWith([{ id: 'g', kind: 'goal-timeline', goals }]);
	const [proposal] = carried(plan, planRun(plan), [entry('g', 'item=Reel', 'tick', 'x')]);
	expect(proposal?.why).toBe('Not ticked as reached: Jumper.');
	const after = proposal?.change([{ id: 'g', kind: 'goal-timeline' }]);
	// June has 30 days.
	expect(after?.[0]?.goals).toEqual([{ name: 'Jumper', from: 25, to: 30 }]);
});

test('what goes on begins with its last number, and a full book hands over its lists', () => {
	const plan = planWith([{ id: 'w', kind: 'weight' }]);
	const entries = [
		entry('w', 'day=9', 'number', '61.2'),
		entry('w', 'day=30', 'number', '60.8'),
		entry('w', 'day=12', 'number', '61')
	];
	expect(beginnings(plan, planRun(plan), entries)).toEqual([{ name: 'Weight', value: '60.8' }]);
	const demo = demoPlan();
	const along = movingAlong(demo, planRun(demo));
	const lists = allWishes(demo.wishes).filter(
		({ kind }) => kind === 'task-bank' || kind === 'tasks'
	);
	expect(along.length).toBeGreaterThanOrEqual(lists.length);
	for (const { pages } of along) expect(pages.length).toBeGreaterThan(0);
});
