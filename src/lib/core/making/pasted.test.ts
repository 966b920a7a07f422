import { expect, test } from 'vitest';
import { demoPlan } from '../../../../tests/support/arbitraries';
import { planRun, type Run } from '../fit';
import { handMarks, pageMarks } from '../page';
import { pageGuide } from '../guide';
import type { Wish } from '../wish';
import {
	dryingOf,
	layOut,
	makingPlan,
	mindAt,
	monthWork,
	simplerWays,
	simplified,
	tasksOf,
	usualEvenings,
	usualMaking,
	usualTools
} from '.';

const early = '2000-01-01';
const demo = demoPlan();
const asPasted = (id: string) => ({
	...demo,
	wishes: demo.wishes.map((wish): Wish => (wish.id === id ? { ...wish, pasted: true } : wish))
});
const pagesOf = (run: Run, wish: string) =>
	run.blocks.filter((block) => block.wish === wish).flatMap(({ pieces }) => pieces);

test('what is pasted in is neither ruled nor written, but it stands in the picture', () => {
	const plan = asPasted('calendar');
	const run = planRun(plan);
	const pieces = pagesOf(run, 'calendar');
	expect(pieces.length).toBeGreaterThan(0);
	for (const { page, rect } of pieces) {
		expect(pageMarks(plan, run, page)).toEqual(pageMarks(demo, planRun(demo), page));
		const inside = handMarks(plan, run, page).filter(
			(mark) =>
				mark.kind === 'text' &&
				mark.x >= rect.x &&
				mark.x < rect.x + rect.w &&
				mark.y >= rect.y &&
				mark.y < rect.y + rect.h
		);
		expect(inside).toEqual([]);
		const { pastes } = pageGuide(plan, run, page);
		const { pitchMm } = plan.notebook;
		expect(pastes).toHaveLength(1);
		expect(pastes[0]).toContain(`${rect.w} × ${rect.h} squares`);
		expect(pastes[0]).toContain(`(${rect.w * pitchMm} × ${rect.h * pitchMm} mm)`);
		expect(pastes[0]).toContain(`upper left corner on (${rect.x}, ${rect.y})`);
	}
});

test('paste comes when the ink is dry, and the book stays open on it', () => {
	const plan = asPasted('habits');
	const run = planRun(plan);
	const work = monthWork(plan, run, usualMaking).filter(({ tasks }) =>
		tasks.some(({ pass }) => pass === 'paste')
	);
	expect(work.length).toBeGreaterThan(0);
	for (const { tasks, problem, ordered } of work) {
		const at = new Map(ordered.order.map(({ job, start, end }) => [job, { start, end }]));
		for (const [paste, task] of tasks.entries()) {
			if (task.pass !== 'paste') continue;
			expect(problem.jobs[paste]?.tail).toBe(5 * 60);
			for (const [other, { page, pass }] of tasks.entries()) {
				if (page !== task.page || !['tint', 'rule', 'letter', 'write'].includes(pass)) continue;
				const wait = (at.get(paste)?.start ?? 0) - (at.get(other)?.end ?? 0);
				expect(wait).toBeGreaterThanOrEqual(dryingOf(usualMaking.shelf, pass).touch);
			}
			expect(layOut([task], usualMaking.shelf)).toEqual(['printed sheet', 'scissors', 'glue']);
			expect(mindAt(task, usualMaking.shelf)).toEqual([
				'Leave the book open until it is dry: closed on paste, pages stick.'
			]);
		}
	}
});

test('where the time does not do, pasting is tried, and it saves time', () => {
	const run = planRun(demo);
	const ways = simplerWays(demo, run).filter(({ kind }) => kind === 'paste');
	expect(ways.length).toBeGreaterThan(0);
	const before = makingPlan(demo, run, usualMaking, usualEvenings, early).seconds;
	for (const way of ways) {
		const plan = { ...demo, ...simplified(demo, way) };
		const after = makingPlan(plan, planRun(plan), usualMaking, usualEvenings, early).seconds;
		expect(after).toBeLessThan(before);
	}
});

test('a ruler that is too short and a compass are told where they matter', () => {
	const run = planRun(demo);
	const ruled = run.pages
		.flatMap(({ number }) => tasksOf(demo, run, number, usualMaking))
		.filter(({ pass }) => pass === 'rule');
	const [first] = ruled.filter(({ longestMm = 0 }) => longestMm > 120);
	if (!first) throw new Error('no page with a line of more than 12 cm');
	const told = (rulerCm: number) =>
		mindAt(first, usualMaking.shelf, {}, { ...usualTools, rulerCm }).join(' ');
	expect(told(12)).toContain('in two goes');
	expect(told(30)).not.toContain('in two goes');
	const round = { ...first, round: true };
	const noCompass = { ...usualTools, compass: false };
	expect(layOut([round], usualMaking.shelf)).toContain('compass');
	expect(layOut([round], usualMaking.shelf, noCompass)).not.toContain('compass');
	expect(layOut([first], usualMaking.shelf)).not.toContain('compass');
});
