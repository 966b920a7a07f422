import { describe, expect, test } from 'vitest';
import { a5, planWith } from '../../../../../tests/support/arbitraries';
import { planRun, type Run } from '..';
import { ordersOf } from './orders';

const habits = (id: string) => ({
	id,
	kind: 'habits',
	items: ['Walk', 'Read', 'Water', 'Bread', 'Scales'].map((name) => ({ name }))
});
const pageOf = (run: Run, id: string) =>
	run.blocks.find(({ wish }) => wish === id)?.pieces[0].page ?? 0;
const idsOf = (plan: { readonly wishes: readonly { readonly id: string }[] }) =>
	plan.wishes.map(({ id }) => id).join(' ');

describe('facing goes before the list', () => {
	const month = [
		{ id: 'cover', kind: 'cover' },
		{ id: 'calendar', kind: 'month-calendar' },
		habits('habits'),
		{ id: 'mood', kind: 'mood' },
		{ id: 'sleep', kind: 'sleep' },
		{ id: 'spending', kind: 'spending' }
	];

	test('what faces the cover and stands last in the list stands beside it, and nothing is squeezed for it', () => {
		const free = planRun(planWith([...month, { id: 'quote', kind: 'quote' }]));
		const faced = planRun(planWith([...month, { id: 'quote', kind: 'quote', facing: 'cover' }]));
		expect(faced.unplaced).toEqual([]);
		expect([pageOf(faced, 'quote'), pageOf(faced, 'cover')]).toEqual([12, 13]);
		expect(faced.pagesUsed).toBe(free.pagesUsed);
		const alone = faced.blocks.filter(({ pieces }) => pieces[0].page === 13);
		expect(alone.map(({ wish }) => wish)).toEqual(['cover']);
	});

	test('it is tried before and after what it faces, and the list as it is', () => {
		const plan = planWith([
			{ id: 'cover', kind: 'cover' },
			habits('a'),
			habits('b'),
			{ ...habits('c'), facing: 'a' }
		]);
		expect(ordersOf(plan).map(idsOf)).toEqual(['cover a c b', 'cover c a b', 'cover a b c']);
	});

	test('what opens the month stays, whichever of the two says that they face each other', () => {
		const plan = planWith([{ id: 'cover', kind: 'cover', facing: 'b' }, habits('a'), habits('b')]);
		expect(ordersOf(plan).map(idsOf)).toEqual(['cover b a', 'b cover a', 'cover a b']);
		const run = planRun(plan);
		expect([pageOf(run, 'b'), pageOf(run, 'cover')]).toEqual([12, 13]);
	});

	test('pairs may cross in the list', () => {
		const plan = planWith([
			habits('a'),
			habits('b'),
			{ ...habits('c'), facing: 'a' },
			{ ...habits('d'), facing: 'b' }
		]);
		const run = planRun(plan);
		expect(run.unplaced).toEqual([]);
		for (const [one, other] of [
			['a', 'c'],
			['b', 'd']
		]) {
			const pages = [pageOf(run, one ?? ''), pageOf(run, other ?? '')].sort((x, y) => x - y);
			expect(pages[1]).toBe((pages[0] ?? 0) + 1);
			expect((pages[0] ?? 1) % 2).toBe(0);
		}
	});

	test('where the list has nothing that faces, it is the only order', () => {
		const plan = planWith(month);
		expect(ordersOf(plan)).toEqual([plan]);
	});
});

describe('a page to itself', () => {
	test('is shared with nothing, in every aim, and a spread keeps both its pages', () => {
		for (const aim of ['fewest-pages', 'balanced', 'roomiest'] as const) {
			const run = planRun(
				planWith(
					[
						{ id: 'calendar', kind: 'month-calendar', span: 'spread', alone: true },
						{ id: 'goals', kind: 'goals', alone: true },
						{ id: 'tasks', kind: 'tasks' },
						{ id: 'mood', kind: 'mood' }
					],
					{ aim }
				)
			);
			expect(run.unplaced).toEqual([]);
			const on = (page: number) =>
				run.blocks.flatMap(({ wish, pieces }) =>
					pieces.some((piece) => piece.page === page) ? [wish] : []
				);
			for (const id of ['calendar', 'goals'])
				for (const { page } of run.blocks.find(({ wish }) => wish === id)?.pieces ?? [])
					expect(on(page), `${aim}, page ${page}`).toEqual([id]);
		}
	});

	test('a calendar over a spread that is kept on a page by itself keeps its place', () => {
		const pin = { page: 14, alone: true };
		const run = planRun(
			planWith([
				{ id: 'cover', kind: 'cover' },
				{ id: 'calendar', kind: 'month-calendar', span: 'spread', pin },
				habits('habits')
			])
		);
		expect(run.unplaced).toEqual([]);
		expect(pageOf(run, 'calendar')).toBe(14);
		expect([14, 15]).not.toContain(pageOf(run, 'habits'));
	});
});

test('free writing is a page in the order of the list, a stranger to its own kind too', () => {
	const wishes = [
		{ id: 'dump', kind: 'brain-dump' },
		{ id: 'notes', kind: 'notes' },
		{ id: 'goals', kind: 'goals' }
	];
	const run = planRun(planWith(wishes));
	expect(new Set(run.blocks.map(({ pieces }) => pieces[0].page)).size).toBe(3);
	expect(pageOf(run, 'dump')).toBeLessThan(pageOf(run, 'notes'));
	expect(pageOf(run, 'notes')).toBeLessThan(pageOf(run, 'goals'));
	expect(planRun(planWith(wishes, { aim: 'fewest-pages' })).pagesUsed).toBe(1);
});

test('the calendar stays where something must be left out, weeks that nobody called musts do not', () => {
	const notebook = { ...a5, freePages: [{ first: 12, last: 13 }] };
	const weeks = { belong: 'touching', short: 'fold', pagesPerWeek: 1 } as const;
	const run = planRun(
		planWith(
			[
				{ id: 'weeks', kind: 'weekly-pages', weeks },
				{ id: 'calendar', kind: 'month-calendar', span: 'spread' }
			],
			{ notebook }
		)
	);
	expect(pageOf(run, 'calendar')).toBe(12);
});

test('what is to face something over both pages stands where the list has it, and nothing is lost', () => {
	const run = planRun(
		planWith([
			{ id: 'cover', kind: 'cover' },
			{ id: 'calendar', kind: 'month-calendar', span: 'spread' },
			{ ...habits('habits'), facing: 'calendar' }
		])
	);
	expect(run.unplaced).toEqual([]);
	expect(pageOf(run, 'habits')).toBeGreaterThan(pageOf(run, 'calendar') + 1);
});
