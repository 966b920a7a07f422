import { describe, expect, test } from 'vitest';
import { a5, planWith } from '../../../../tests/support/arbitraries';
import { brokenRules } from '../../../../tests/support/judge';
import { planRun, remediesFor, type Plan } from '.';
import type { Wish } from '../wish';

const weekly = (weeks: Partial<NonNullable<Wish['weeks']>>): Wish => ({
	id: 'weeks',
	kind: 'weekly-pages',
	importance: 'must',
	weeks: { belong: 'middle-day', short: 'own', pagesPerWeek: 2, ...weeks }
});

/** June 2021 from Monday with eight pages left, from a left page on. */
const eightLeft = (wish: Wish): Plan =>
	planWith([wish], {
		month: { year: 2021, month: 6 },
		notebook: { ...a5, freePages: [{ first: 84, last: 91 }] }
	});

describe('eight pages left in June 2021', () => {
	test('four weeks by their middle day fill them exactly', () => {
		const plan = eightLeft(weekly({}));
		const run = planRun(plan);
		expect(brokenRules(plan, run)).toEqual([]);
		expect(run).toMatchObject({ unplaced: [], pagesUsed: 8, optimal: true });
		expect(run.blocks.map(({ as }) => as.part?.week)).toEqual([1, 2, 3, 4]);
	});

	test('five touching weeks need ten, and what helps is named', () => {
		const plan = eightLeft(weekly({ belong: 'touching' }));
		const run = planRun(plan);
		expect(brokenRules(plan, run)).toEqual([]);
		expect(run.unplaced).toHaveLength(1);
		// The short last week takes a page of its own; leaving out a whole one saves more.
		expect(run.unplaced[0]?.part).toMatch(/^week [1-4] of the month$/);
		const remedies = remediesFor(plan, run, 'weeks');
		expect(remedies.map(({ text }) => text)).toContain(
			'only weeks whose middle day lies in the month'
		);
		for (const { wishes, pagesUsed } of remedies) {
			const tried = planRun({ ...plan, wishes });
			expect(tried.unplaced).toEqual([]);
			expect(tried.pagesUsed).toBe(pagesUsed);
		}
	});
});

test('a single week has a form of its own, and four pages a week follow each other', () => {
	const forms = [{ week: 3, form: 'week-rows' }];
	const one = planRun(planWith([weekly({ pagesPerWeek: 1, forms })]));
	const formOf = (week: number) => one.blocks.find(({ as }) => as.part?.week === week)?.form;
	expect(formOf(3)).toBe('week-rows');
	expect(new Set([2, 4, 5].map(formOf)).size).toBe(1);

	const four = planRun(planWith([weekly({ pagesPerWeek: 4, short: 'skip', belong: 'touching' })]));
	expect(four.unplaced).toEqual([]);
	for (const week of [2, 3, 4, 5]) {
		const pages = four.blocks
			.filter(({ as }) => as.part?.week === week)
			.map(({ as, pieces }) => [as.part?.page, pieces[0].page]);
		const [first] = pages;
		expect(pages).toEqual([1, 2, 3, 4].map((part, at) => [part, Number(first?.[1]) + at]));
	}
});
