import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../tests/support/effort';
import { anyPlan, planWith } from '../../../../tests/support/arbitraries';
import { planRun } from '../fit';
import { pageGuide } from '.';

const names = ['Concertina', 'Dough', 'Deck', 'Stretch', 'Water', 'Sleep'];

describe('a page is done in portions', () => {
	test('each step is in one of them, in the order of the guide', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const run = planRun(plan);
				for (const { number } of run.pages) {
					const { steps, portions } = pageGuide(plan, run, number);
					expect(portions.flatMap((portion) => portion.steps)).toEqual([...steps.keys()]);
				}
			}),
			{ numRuns: often(60) }
		);
	});

	test('a small calendar’s lines are one, its dates another, and each says whose it is', () => {
		const plan = planWith([
			{
				id: 'h',
				kind: 'habits',
				title: 'Habits',
				form: 'mini-calendar-set',
				span: 'page',
				items: names.map((name) => ({ name }))
			}
		]);
		const run = planRun(plan);
		const { portions, steps } = pageGuide(plan, run, run.pages[0]?.number ?? 0);
		expect(steps.length).toBeGreaterThan(50);
		expect(portions.map(({ name }) => name)).toEqual([
			...names.map((name) => `Habits, ${name}: lines`),
			'Habits: lettering',
			...names.map((name) => `Habits, ${name}: words and dates`)
		]);
	});

	test('hundreds of strokes are a few portions, none longer than one reads', () => {
		const plan = planWith([{ id: 'm', kind: 'mood', form: 'day-cells', span: 'page' }]);
		const run = planRun(plan);
		const { portions, steps } = pageGuide(plan, run, run.pages[0]?.number ?? 0);
		expect(portions.length).toBeLessThanOrEqual(25);
		expect(portions.length).toBeGreaterThan(steps.length / 13);
	});
});
