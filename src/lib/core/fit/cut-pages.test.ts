import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../tests/support/effort';
import { a5, anyPlan, planWith } from '../../../../tests/support/arbitraries';
import { anyCuts } from '../../../../tests/support/cuts';
import { brokenRules } from '../../../../tests/support/judge';
import { robotsRule } from '../../../../tests/support/robots';
import { winds } from '../../../../tests/support/paint-opening';
import { removals, type Cut } from '../cuts';
import type { Weeks } from '../wish';
import { dotMm, sideOf } from '../paper';
import { planRun, type Plan, type Run } from '.';

/** Places inside blocks where there is no paper; points of each square are looked up one by one. */
function cutAway(plan: Plan, run: Run): string[] {
	const { notebook, cuts = [] } = plan;
	return run.blocks.flatMap(({ wish, pieces }) =>
		pieces.flatMap(({ page, rect }) => {
			const front = page % 2 === 1 ? page : page - 1;
			const outlines = removals(notebook, cuts, front).flatMap((removal) => removal.outlines);
			const found: string[] = [];
			for (let x = rect.x + 0.05; x < rect.x + rect.w; x += 0.45)
				for (let y = rect.y + 0.05; y < rect.y + rect.h; y += 0.45) {
					const mm = dotMm(notebook, sideOf(page), { x, y });
					const at = page === front ? mm.x : notebook.pageMm.width - mm.x;
					if (outlines.some((outline) => winds(outline, at, mm.y)))
						found.push(`${wish} on page ${page} at ${x}, ${y}`);
				}
			return found;
		})
	);
}

test('no block lies where its leaf is cut away, and every other rule holds as well', () => {
	fc.assert(
		fc.property(anyPlan, anyCuts, (plan, cuts) => {
			const cut = { ...plan, notebook: a5, cuts };
			const run = planRun(cut);
			expect(cutAway(cut, run)).toEqual([]);
			expect(brokenRules(cut, run)).toEqual([]);
		}),
		{ numRuns: often(80, 4) }
	);
});

test('a page with a window in it is still written on: what is cut away is no wish', () => {
	const cuts: Cut[] = [
		{
			id: 'w',
			kind: 'window',
			shape: 'octagon',
			leaves: { first: 13, last: 13 },
			rect: { x: 2, y: 2, w: 24, h: 20 }
		}
	];
	const plan = planWith([{ id: 'notes', kind: 'notes', size: { w: 28, h: 12 } }], {
		cuts,
		notebook: { ...a5, freePages: [{ first: 13, last: 14 }] }
	});
	expect(planRun(plan).unplaced).toEqual([]);
});

test('robots rule every page of a cut book, counting from corners that are there or by the tick strips', () => {
	fc.assert(
		fc.property(anyPlan, anyCuts, (plan, cuts) => {
			const cut = { ...plan, notebook: a5, cuts };
			const run = planRun(cut);
			robotsRule(cut, run);
		}),
		{ numRuns: often(60) }
	);
});

const weeks: Weeks = { belong: 'touching', short: 'own', pagesPerWeek: 2 };

describe('a month on cut leaves', () => {
	const strip: Cut = { id: 'door', kind: 'strip', leaves: { first: 13, last: 13 }, amount: 10 };
	const blocks = (plan: Plan) =>
		planRun(plan).blocks.map(({ wish, pieces }) => [
			wish,
			...pieces.map(({ page, rect }) => [page, rect.x, rect.w])
		]);

	test('a page behind a door is narrower, and begins where its paper does', () => {
		const plan = planWith(
			[
				{ id: 'one', kind: 'brain-dump', pin: { page: 13 } },
				{ id: 'two', kind: 'brain-dump', pin: { page: 14 } }
			],
			{ cuts: [strip] }
		);
		expect(blocks(plan)).toEqual([
			['one', [13, 0, 18]],
			['two', [14, 10, 18]]
		]);
	});

	test('a calendar over a spread has five days left and two right when the right page is cut', () => {
		const narrow: Cut = { ...strip, leaves: { first: 15, last: 15 }, amount: 16 };
		const plan = planWith(
			[
				{
					id: 'calendar',
					kind: 'month-calendar',
					form: 'month-grid',
					span: 'spread',
					rules: { 'month-grid': { cell: { w: 5, h: 5 } } },
					pin: { page: 14 }
				}
			],
			{ cuts: [narrow] }
		);
		const [calendar] = planRun(plan).blocks;
		expect(calendar?.facts.split).toEqual([5, 2]);
		expect(calendar?.pieces[1]?.rect.w).toBe(2 * 5);
	});

	test('weekly pages stay spreads beside tabs, which are left to their names', () => {
		const tabs: Cut = {
			id: 'tabs',
			kind: 'tab',
			leaves: { first: 13, last: 19 },
			lastUncut: true
		};
		const plan = planWith([{ id: 'weeks', kind: 'weekly-pages', weeks }], { cuts: [tabs] });
		const spreads = planRun(plan).blocks.filter(({ pieces }) => pieces.length === 2);
		expect(spreads.length).toBeGreaterThan(3);
		expect(spreads[0]?.pieces.map(({ rect }) => [rect.x, rect.w])).toEqual([
			[2, 26],
			[0, 26]
		]);
	});

	test('what a hand has put on a tab stays there', () => {
		const tabs: Cut = { id: 'tabs', kind: 'tab', leaves: { first: 13, last: 15 } };
		const pin = { page: 15, x: 22, y: 6, w: 6, h: 6 };
		const plan = planWith([{ id: 'note', kind: 'brain-dump', title: '', pin }], { cuts: [tabs] });
		expect(blocks(plan)).toEqual([['note', [15, 22, 6]]]);
	});

	test('beside a window two blocks stand, and none over it', () => {
		const window: Cut = {
			id: 'window',
			kind: 'window',
			leaves: { first: 13, last: 13 },
			rect: { x: 9, y: 3, w: 10, h: 34 }
		};
		const plan = planWith(
			[
				{ id: 'one', kind: 'brain-dump', size: { w: 8, h: 40 }, pin: { page: 13 } },
				{ id: 'two', kind: 'brain-dump', size: { w: 8, h: 40 }, pin: { page: 13 } }
			],
			{ cuts: [window] }
		);
		const run = planRun(plan);
		expect(run.unplaced).toEqual([]);
		// A square from the cut.
		expect(run.blocks.map(({ pieces }) => pieces[0].rect.x).sort((a, b) => a - b)).toEqual([0, 20]);
	});
});
