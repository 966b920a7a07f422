import { describe, expect, test } from 'vitest';
import { planWith, small } from '../../../../tests/support/arbitraries';
import { alternatives, planRun } from '../fit';
import { checked, wishSchema } from '../formats';
import { formById, forms } from '../forms';
import type { Wish } from '../wish';
import { allCompleted, begin, idGiver, kindById, kinds, purposes, startingSet, type Kind } from '.';

const wishOf = (kind: Kind): Wish => begin(kind, idGiver([]));

/** Kinds that people keep, as common practice names them. */
const expected =
	'cover quote picture index ink-test month-calendar year-strip events deadlines goals goal-timeline tasks task-bank month-plan composed overview dashboard health-page cash-page timetable routines intentions reflections week-check-in habits week-tracker mood sleep work-hours steps wellness weight exercise-log study-tracker spending shopping-list wish-list purchases-by-urgency income meals parcels orders content-plan follower-counts media-log reading-list favourites currently topic-to-study one-line-a-day gratitude highlights happiness milestones affirmations goals-and-rewards brain-dump notes chores-last-done stock-list project-page packing-list vocabulary cleaning-plan screen-time no-spend-days colour-legend swatches year-temperature bills-by-month savings letter-to-myself sections weekly-pages month-review';

test('the catalogue holds every kind once, each under a purpose', () => {
	expect(kinds.map(({ id }) => id).sort()).toEqual(expected.split(' ').sort());
	const known = new Set(purposes.map(({ id }) => id));
	for (const kind of kinds) expect(known.has(kind.purpose)).toBe(true);
	expect(new Set(kinds.map(({ name }) => name)).size).toBe(kinds.length);
});

test('every form is one that some kind may take', () => {
	// A short week of a set is given its form by the planner.
	const used = new Set(['week-short', ...kinds.flatMap((kind) => kind.forms)]);
	expect(forms.filter(({ id }) => !used.has(id))).toEqual([]);
	for (const id of used) expect(formById(id), id).toBeDefined();
});

describe.each(kinds.map((kind) => [kind.id, kind] as const))('%s', (_, kind) => {
	test('starts with a wish that is valid and finds a place in both usual notebooks', () => {
		const wish = wishOf(kind);
		expect(checked(wishSchema, wish).ok).toBe(true);
		for (const parts of [{}, { notebook: small }, { month: { year: 2027, month: 2 } }]) {
			const run = planRun(planWith([wish], parts));
			expect(run.unplaced).toEqual([]);
		}
	});

	test('offers other ways that come out as they were shown', () => {
		const plan = planWith([wishOf(kind)]);
		const found = alternatives(plan, wishOf(kind));
		expect(found.length).toBeGreaterThan(0);
		for (const { change, form, layout } of found) {
			const changed = { ...wishOf(kind), ...change };
			const { blocks } = planRun({ ...plan, wishes: [changed] });
			// Of weekly pages the first week is short and has a page of its own.
			const block = blocks.find(({ as }) => as.part?.week === 2) ?? blocks[0];
			expect(block?.form).toBe(form);
			expect(block?.room.span).toBe(layout.room.span);
		}
	});
});

test('a layout that is asked for by name is not held to the pages of another', () => {
	for (const kind of kinds)
		for (const form of kind.forms) {
			const [wish] = allCompleted([{ id: 'w', kind: kind.id, form }]);
			if (wish?.span) expect(formById(form)?.spans, `${kind.id} as ${form}`).toContain(wish.span);
		}
});

test('a first month starts with what most months hold, in the order of the month', () => {
	expect(startingSet().map(({ kind }) => kindById(kind)?.name)).toEqual([
		'Cover',
		'Month calendar',
		'Habit trackers',
		'Mood',
		'Weekly pages',
		'Brain dump'
	]);
});
