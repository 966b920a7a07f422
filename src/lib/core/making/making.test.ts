import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyPlan, demoPlan, planWith } from '../../../../tests/support/arbitraries';
import { often } from '../../../../tests/support/effort';
import { wrongIn } from '../../../../tests/support/judge-order';
import { planRun, type Plan } from '../fit';
import { pageMarks } from '../page';
import {
	endOf,
	fewestTicks,
	layOut,
	listOrder,
	makingPlan,
	monthWork,
	ownPace,
	rules,
	secondsFor,
	usualEvenings,
	usualMaking,
	type PassId,
	type SpreadWork,
	type Ticked
} from '.';

const early = '2000-01-01';

/** When each pass of a page begins and ends, by its tasks' ids. */
function timesOn({ tasks, ordered }: SpreadWork, page: number) {
	return ordered.order.flatMap(({ job, start, end }) => {
		const task = tasks[job];
		return task?.page === page ? [{ task, start, end }] : [];
	});
}

describe('what a page is drawn in', () => {
	test('keeps to every rule, for any month', () => {
		// Written down from the trade and not from the rules: minutes of a brush pen and a fine liner.
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const run = planRun(plan);
				for (const spread of monthWork(plan, run, usualMaking)) {
					expect(wrongIn(spread.problem, spread.ordered.order)).toEqual([]);
					expect(spread.ordered.end).toBeLessThanOrEqual(
						endOf(spread.problem, listOrder(spread.problem))
					);
					for (const page of spread.pages) {
						const times = timesOn(spread, page);
						const of = (...passes: PassId[]) =>
							times.filter(({ task }) => passes.includes(task.pass));
						const apart = (first: typeof times, then: typeof times, seconds: number) => {
							for (const { end } of first)
								for (const { start } of then) expect(start - end).toBeGreaterThanOrEqual(seconds);
						};
						apart(of('cut'), of('pencil', 'tint', 'rule', 'letter', 'write', 'erase', 'look'), 0);
						apart(of('pencil'), of('tint', 'rule', 'letter', 'write'), 0);
						apart(of('tint'), of('rule', 'letter', 'write'), 3 * 60);
						apart(of('rule'), of('letter', 'write'), 30);
						apart(of('tint'), of('erase'), 10 * 60);
						apart(of('rule', 'letter', 'write'), of('erase'), 3 * 60);
						expect(times.at(-1)?.task.pass ?? 'look').toBe('look');
					}
				}
			}),
			{ numRuns: often(120) }
		);
	});

	test('is everything that stands on it, each colour once', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const run = planRun(plan);
				const tasks = monthWork(plan, run, usualMaking).flatMap((spread) => spread.tasks);
				expect(new Set(tasks.map(({ id }) => id)).size).toBe(tasks.length);
				for (const { number } of run.pages) {
					const marks = pageMarks(plan, run, number);
					const own = tasks.filter(({ page }) => page === number).map(({ pass }) => pass);
					const tones = new Set(
						marks.flatMap((mark) =>
							mark.kind === 'tint' && mark.tone !== 'art' ? [mark.tone] : []
						)
					);
					expect(own.filter((pass) => pass === 'tint')).toHaveLength(tones.size);
					const lines = marks.some(({ kind }) => kind === 'line' || kind === 'arc');
					expect(own.includes('rule')).toBe(lines);
					expect(own.includes('look')).toBe(marks.length > 0);
				}
			}),
			{ numRuns: often(120) }
		);
	});

	test('a rule that is switched off holds no longer, and drawn pages are not made again', () => {
		const plan = planWith([{ id: 'c', kind: 'month-calendar', form: 'month-grid', span: 'page' }]);
		const run = planRun(plan);
		const [whole] = monthWork(plan, run, usualMaking);
		const off = rules.map(({ id }) => id);
		const [free] = monthWork(plan, run, { ...usualMaking, off });
		expect(free?.problem.delays).toEqual([]);
		expect(free?.ordered.end ?? 0).toBeLessThan(whole?.ordered.end ?? 0);
		const [page] = whole?.pages ?? [];
		const drawn: Plan = { ...plan, drawn: { pages: [page ?? 0], blocks: [] } };
		expect(monthWork(drawn, run, usualMaking)).toEqual([]);
	});
});

describe('sittings of a month', () => {
	test('hold every task once, in time where it goes, and no sitting is longer than it is', () => {
		fc.assert(
			fc.property(anyPlan, fc.integer({ min: 10, max: 120 }), (plan, minutes) => {
				const run = planRun(plan);
				const made = makingPlan(plan, run, usualMaking, { ...usualEvenings, minutes }, early);
				const all = monthWork(plan, run, usualMaking).flatMap(({ tasks }) => tasks);
				const pieces = [...made.sittings.flatMap((sitting) => sitting.pieces), ...made.unseated];
				expect(pieces.flatMap(({ tasks }) => tasks.map(({ id }) => id)).sort()).toEqual(
					all.map(({ id }) => id).sort()
				);
				for (const { seconds, pieces: own } of made.sittings) {
					expect(seconds).toBeLessThanOrEqual(minutes * 60);
					expect(own.length).toBeGreaterThan(0);
				}
				// Parts of a spread that is too long come one after the other.
				const parts = made.sittings.flatMap((sitting) =>
					sitting.pieces.flatMap(({ left, part }) => (part ? [{ left, part: part[0] }] : []))
				);
				for (const { left } of parts) {
					const own = parts.filter((other) => other.left === left).map(({ part }) => part);
					expect(own).toEqual(own.toSorted((a, b) => a - b));
				}
			}),
			{ numRuns: often(60) }
		);
	});

	test('what a window shows is drawn before the page that it is cut into', () => {
		const window = {
			id: 'w',
			kind: 'window' as const,
			leaves: { first: 13, last: 13 },
			rect: { x: 8, y: 12, w: 10, h: 8 }
		};
		const goals = [12, 13, 15].map((page) => ({
			id: `g${page}`,
			kind: 'goals',
			title: 'Goals',
			pin: { page }
		}));
		for (const [cuts, order] of [
			[[], [12, 14]],
			[[window], [14, 12]]
		] as const) {
			const plan = { ...planWith(goals), cuts };
			const made = makingPlan(plan, planRun(plan), usualMaking, usualEvenings, early);
			const pieces = made.sittings.flatMap((sitting) => sitting.pieces);
			const drawn = pieces.filter((piece) => !piece.cuts);
			expect(drawn.map(({ left }) => left)).toEqual(order);
			const tasks = pieces.flatMap((piece) => piece.tasks);
			expect(tasks.filter(({ pass }) => pass === 'cut').map(({ page }) => page)).toEqual(
				cuts.length > 0 ? [13] : []
			);
		}
	});

	/** Tasks of a month in the order in which they are done, whatever the evening. */
	const doneInTurn = (plan: Plan, minutes: number) => {
		const made = makingPlan(plan, planRun(plan), usualMaking, { ...usualEvenings, minutes }, early);
		expect(made.unseated).toEqual([]);
		return made.sittings.flatMap(({ steps }) => steps.map(({ task }) => task));
	};
	const pinned = (...pages: number[]) =>
		pages.map((page) => ({ id: `g${page}`, kind: 'goals', title: 'Goals', pin: { page } }));

	test('a leaf is cut before anything is drawn on either side, in whatever evening', () => {
		const plan = {
			...planWith([
				// The week on the back is needed long before what stands on the front.
				...pinned(14),
				{ id: 'r', kind: 'month-review', pin: { page: 13 } }
			]),
			cuts: [{ id: 's', kind: 'strip' as const, leaves: { first: 13, last: 13 }, amount: 6 }]
		};
		for (const minutes of [20, 50, 240]) {
			const tasks = doneInTurn(plan, minutes);
			const cut = tasks.findIndex(({ pass }) => pass === 'cut');
			expect(cut).toBe(0);
			expect(tasks.length).toBeGreaterThan(4);
		}
	});

	test('a waterfall is cut from its last leaf backwards, in one go', () => {
		const cuts = [
			{ id: 'f', kind: 'waterfall' as const, leaves: { first: 13, last: 19 }, amount: 3 }
		];
		const tasks = doneInTurn({ ...planWith(pinned(14, 16, 18, 20)), cuts }, 60);
		const fronts = tasks.flatMap(({ pass, page }) => (pass === 'cut' ? [page] : []));
		expect(fronts).toEqual(fronts.toSorted((a, b) => b - a));
		expect(fronts.length).toBeGreaterThan(1);
		expect(tasks.slice(0, fronts.length).every(({ pass }) => pass === 'cut')).toBe(true);
	});

	test('what shows through a window comes first, then the cut, then its back and its own page last', () => {
		const window = {
			id: 'w',
			kind: 'window' as const,
			leaves: { first: 13, last: 13 },
			rect: { x: 8, y: 12, w: 10, h: 8 }
		};
		const tasks = doneInTurn({ ...planWith(pinned(13, 14, 15)), cuts: [window] }, 240);
		const pages = tasks.map(({ pass, page }) => (pass === 'cut' ? 'cut' : page));
		const turns = pages.filter((page, at) => page !== pages[at - 1]);
		expect(turns.indexOf(15)).toBeLessThan(turns.indexOf('cut'));
		expect(turns.indexOf('cut')).toBeLessThan(turns.indexOf(13));
		expect(turns.indexOf('cut')).toBeLessThan(turns.indexOf(14));
		expect(turns.lastIndexOf(15)).toBeLessThan(turns.indexOf('cut'));
	});

	test('nothing is begun under the arm while the facing page is wet, and the hand rests', () => {
		fc.assert(
			fc.property(anyPlan, fc.boolean(), (plan, leftHanded) => {
				const run = planRun(plan);
				const workshop = { ...usualMaking, leftHanded };
				const arm = leftHanded ? 0 : 1;
				for (const { tasks, ordered } of monthWork(plan, run, workshop)) {
					const at = ordered.order.flatMap(({ job, start, end }) => {
						const task = tasks[job];
						return task ? [{ task, start, end }] : [];
					});
					for (const { task, start } of at) {
						if (task.page % 2 !== arm) continue;
						for (const other of at) {
							if (other.task.page % 2 === arm || other.end > start) continue;
							// A brush pen is dry to the touch after a minute, a fine liner after half of one.
							const wet = { tint: 60, rule: 30, letter: 30, write: 30, picture: 60 };
							const seconds = Object.entries(wet).find(([pass]) => pass === other.task.pass)?.[1];
							expect(start).toBeGreaterThanOrEqual(other.end + (seconds ?? 0));
						}
					}
				}
				const made = makingPlan(plan, run, workshop, usualEvenings, early);
				for (const { steps, seconds, minutes } of made.sittings) {
					expect(seconds).toBeLessThanOrEqual(minutes * 60);
					let worked = 0;
					for (const { task, start, end, wait, rest } of steps) {
						if (wait >= 5 * 60) worked = 0;
						expect(end - start).toBe(task.seconds + rest);
						if (['tint', 'rule', 'picture'].includes(task.pass)) worked += task.seconds;
						worked -= (rest / (5 * 60)) * 25 * 60;
						expect(worked).toBeGreaterThanOrEqual(0);
						expect(worked).toBeLessThanOrEqual(25 * 60);
					}
				}
			}),
			{ numRuns: often(120) }
		);
	});

	test('the demo month takes as many as its own time asks, before it begins', () => {
		const plan = demoPlan();
		const made = makingPlan(plan, planRun(plan), usualMaking, usualEvenings, early);
		expect(made.unseated).toEqual([]);
		expect(made.proven).toBe(true);
		// No spread is torn that fits into a sitting, so one more than the sum alone asks may be the fewest.
		const least = Math.ceil(made.seconds / (50 * 60));
		expect([least, least + 1]).toContain(made.sittings.length);
		expect(made.sittings.some(({ late }) => late)).toBe(false);
		expect(made.sittings[0]?.day).toBe('2027-04-24');
		const tasks = made.sittings.flatMap(({ pieces }) => pieces.flatMap((piece) => piece.tasks));
		expect(layOut(tasks, usualMaking.shelf)).toEqual(
			expect.arrayContaining(['pencil', 'ruler', 'fine liner', 'brush pen', 'eraser'])
		);
	});
});

test('a pace is learned from ticks, and pauses do not count', () => {
	fc.assert(
		fc.property(
			fc.array(
				fc.record({
					usual: fc.integer({ min: 20, max: 600 }),
					pause: fc.integer({ min: 0, max: 9 })
				}),
				{ minLength: 40, maxLength: 80 }
			),
			fc.constantFrom(0.5, 1, 1.7),
			(ticks, ratio) => {
				// At every tenth tick, whatever the generator says, the person had tea.
				const taken = ticks.map(({ usual, pause }, at): Ticked => {
					const wobble = 0.9 + (pause / 9) * 0.2;
					return {
						pass: 'rule',
						usual,
						taken: usual * ratio * wobble + (at % 10 === 0 ? 1200 : 0)
					};
				});
				const { rule } = ownPace(taken);
				expect(rule).toBeGreaterThan(ratio * 0.89);
				expect(rule).toBeLessThan(ratio * 1.12);
			}
		)
	);
	const few = Array.from({ length: fewestTicks - 1 }, () => ({
		pass: 'rule' as const,
		usual: 10,
		taken: 20
	}));
	expect(ownPace(few)).toEqual({});
	const work = { strokes: 10, mm: 1000, letters: 0, cm2: 0 };
	expect(secondsFor('rule', work)).toBe(20 + 40 + 40);
	expect(secondsFor('rule', work, { rule: 1.5 })).toBe(150);
});
