import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../tests/support/effort';
import { anyPlan, planWith } from '../../../../tests/support/arbitraries';
import { ruleByCounting, wantedOf } from '../../../../tests/support/guide-robot';
import { linesFromStrips } from '../../../../tests/support/strip-robot';
import { readSentence } from '../../../../tests/support/read-sentences';
import { begin, idGiver, kinds } from '../catalogue';
import type { Cut } from '../cuts';
import { line, mergeLines, text, type Mark } from '../draw';
import { planRun, type Plan } from '../fit';
import { pageMarks } from '../page';
import { pageOf } from '../paper';
import type { Wish } from '../wish';
import { countingGuide, countsIn, pageGuide, passesOf, sentenceOf, tickStrips } from '.';

/** Pages of a plan's run: size, marks and guide. */
function guidesOf(plan: Plan) {
	const run = planRun(plan);
	return run.pages.map(({ number }) => {
		const { columns, rows } = pageOf(plan.notebook, number);
		const page = { w: columns, h: rows };
		const marks = pageMarks(plan, run, number);
		const steps = countingGuide(page, marks, undefined, plan.hand.writes);
		return { page, marks, steps };
	});
}

function checkByRobot(plan: Plan) {
	for (const { page, marks, steps } of guidesOf(plan)) {
		const { lines, all } = wantedOf(marks);
		expect(ruleByCounting(page, JSON.stringify(steps))).toEqual(all);
		const { top, side } = tickStrips(steps);
		expect(linesFromStrips(top, side)).toEqual(lines);
	}
}

describe('the counting guide', () => {
	test('robots rule every page of 500 random runs, counting to ten or by the tick strips', () => {
		fc.assert(fc.property(anyPlan, checkByRobot), { numRuns: often(500) });
	});

	test.each(kinds.map((kind) => [kind.id, kind] as const))('and every %s', (_, kind) => {
		checkByRobot(planWith([begin(kind, idGiver([]))]));
	});

	test('a left hand writes columns from right to left, and tints so', () => {
		const page = { w: 28, h: 40 };
		const words = [2, 12, 22].flatMap((x) =>
			[4, 6].map((y) => text(`${x} ${y}`, { x, y, w: 4, h: 1 }, 'hand'))
		);
		const tints = [2, 12, 22].map((x): Mark => ({
			kind: 'tint',
			tone: 'rest',
			x,
			y: 2,
			w: 4,
			h: 1
		}));
		const order = (writes: 'left' | 'right') =>
			countingGuide(page, [...words, ...tints], undefined, writes).flatMap((step) =>
				step.kind === 'write' || step.kind === 'tint' ? [step.begin.at.x] : []
			);
		expect(order('right')).toEqual([2, 12, 22, 2, 2, 12, 12, 22, 22]);
		expect(order('left')).toEqual([22, 12, 2, 22, 22, 12, 12, 2, 2]);
	});

	test('its sentences say what its numbers say', () => {
		fc.assert(
			fc.property(anyPlan, fc.constantFrom('squares' as const, 'dots' as const), (plan, unit) => {
				for (const { page, steps } of guidesOf(plan))
					for (const step of steps) {
						const said = readSentence(sentenceOf(step, page, unit), page);
						const plain: unknown = JSON.parse(JSON.stringify(step));
						expect(plain).toMatchObject(said);
					}
			}),
			{ numRuns: often(100) }
		);
	});

	test('counts from the nearest dot that is known, and gathers equal distances', () => {
		const page = { w: 28, h: 40 };
		const [step] = countingGuide(
			page,
			mergeLines([line(20, 30, 26, 30), line(20, 33, 26, 33), line(20, 36, 26, 36)])
		);
		expect(step && sentenceOf(step, page)).toBe(
			'Begin at dot (26, 30), 2 left and 10 up from the bottom right corner. End at dot (20, 30), 6 left from there. Rule the line, and 2 more like it, each 3 squares further down.'
		);
	});

	test('a compass is set on a dot, opened to a dot, and the opening told in mm', () => {
		const cover: Wish = { id: 'c', kind: 'cover', rules: { cover: { outline: 'arch' } } };
		const plan = planWith([cover]);
		const run = planRun(plan);
		const [page] = run.blocks.flatMap(({ pieces }) => pieces.map((piece) => piece.page));
		const { steps, size } = pageGuide(plan, run, page ?? 0);
		const arcs = steps.filter(({ kind }) => kind === 'compass');
		expect(arcs).toHaveLength(1);
		const [said] = arcs.map((step) => sentenceOf(step, size));
		expect(said).toMatch(
			/^Set the compass on dot \(14, 22\), .*\. Open it to dot \(28, 22\).* \(70 mm\)\. Draw the half circle above it\.$/
		);
		expect(readSentence(said ?? '', size)).toMatchObject({
			kind: 'compass',
			part: 'upper',
			mm: 70
		});
		expect(passesOf(steps).find(({ pass }) => pass.id === 'rule')?.steps).toContain(
			steps.findIndex(({ kind }) => kind === 'compass')
		);
	});

	test('a page with a window is finished last: reserved, drawn beneath, cut, finished', () => {
		const rect = { x: 6, y: 12, w: 10, h: 10 };
		const window: Cut = { id: 'w', kind: 'window', leaves: { first: 13, last: 13 }, rect };
		const plan = { ...planWith([{ id: 'n', kind: 'notes' }]), cuts: [window] };
		const run = planRun(plan);
		const [front, back] = [13, 14].map((page) => pageGuide(plan, run, page));
		expect(front?.cutsBetween).toBe(true);
		expect(front?.cuts[0]).toBe('Pencil the window and leave its place free.');
		// On the right page 13 one looks at page 15, on its back at page 12.
		expect(front?.cuts[1]).toBe('Draw on page 15 what is to show through it.');
		expect(back?.cuts[1]).toBe('Draw on page 12 what is to show through it.');
		expect(front?.cuts[2]).toMatch(/mm from the/);
		expect(front?.cuts.at(-1)).toBe('Then finish page 13.');
		expect(pageGuide(plan, run, 15).cutsBetween).toBe(false);
	});

	test('ticks every tenth dot where nothing nearer is known', () => {
		const page = { w: 60, h: 80 };
		const steps = countingGuide(page, [line(25, 38, 31, 38)]);
		expect(steps.map((step) => sentenceOf(step, page))).toEqual([
			'Tick every tenth dot to the right from the top left corner, 2 in all: the last is dot (20, 0).',
			'Tick every tenth dot down from dot (20, 0), 3 in all: the last is dot (20, 30).',
			'Begin at dot (25, 38), 5 right and 8 down from dot (20, 30). End at dot (31, 38), 6 right from there. Rule the line.'
		]);
	});

	test('tints first, in as few areas as there are, and all that is tinted', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				for (const { marks, steps } of guidesOf(plan)) {
					const squares = new Set<string>();
					const add = (tone: string, x: number, y: number, w: number, h: number) => {
						for (let row = y; row < y + h; row++)
							for (let column = x; column < x + w; column++)
								squares.add(`${tone} ${column} ${row}`);
					};
					let areas = 0;
					for (const mark of marks)
						if (mark.kind === 'tint') {
							add(mark.tone, mark.x, mark.y, mark.w, mark.h);
							areas++;
						}
					const wanted = [...squares].sort();
					squares.clear();
					let told = 0;
					for (const step of steps) {
						if (step.kind !== 'tint') continue;
						const { begin, end, tone, repeat } = step;
						const [w, h] = [end.at.x - begin.at.x, end.at.y - begin.at.y];
						for (let time = 0; time <= (repeat?.times ?? 0); time++)
							add(tone, begin.at.x, begin.at.y + time * (repeat?.every ?? 0), w, h);
						told++;
					}
					expect([...squares].sort()).toEqual(wanted);
					expect(told).toBeLessThanOrEqual(areas);
				}
			}),
			{ numRuns: often(100) }
		);
		// May 2027 from Monday has Saturdays and Sundays next to each other, down to the 30th.
		const plan = planWith([{ id: 'c', kind: 'month-calendar', form: 'month-grid', span: 'page' }]);
		const steps = guidesOf(plan).flatMap(({ steps }) => steps);
		expect(steps.filter(({ kind }) => kind === 'tint')).toHaveLength(1);
		const passes = passesOf(steps);
		expect(passes.map(({ pass }) => pass.id)).toEqual(['tint', 'rule', 'write']);
		expect(passes.flatMap((pass) => pass.steps)).toEqual([...steps.keys()]);
	});

	test('writes last, and names every date of the month', () => {
		const plan = planWith([{ id: 'c', kind: 'month-calendar', form: 'month-grid', span: 'page' }]);
		const steps = guidesOf(plan).flatMap(({ steps }) => steps);
		const order = steps.map((step) => step.kind);
		expect(order.lastIndexOf('tint')).toBeLessThan(order.indexOf('rule'));
		expect(order.lastIndexOf('rule')).toBeLessThan(order.indexOf('write'));
		const written = steps.flatMap((step) =>
			step.kind === 'write' ? step.texts.map(({ text }) => text) : []
		);
		for (let day = 1; day <= 31; day++)
			expect(written.filter((word) => word === String(day))).toHaveLength(1);
	});

	test('asks for less than half the counts of counting each dot from the top left', () => {
		const plan = planWith([
			{ id: 'a', kind: 'cover' },
			{ id: 'b', kind: 'month-calendar', span: 'spread' },
			{ id: 'c', kind: 'habits', items: ['Oil', 'Knead', 'Row'].map((name) => ({ name })) }
		]);
		let ours = 0;
		let theirs = 0;
		for (const { marks, steps } of guidesOf(plan)) {
			for (const step of steps)
				if (step.kind === 'rule' || step.kind === 'tick') ours += countsIn(step);
			for (const mark of marks)
				if (mark.kind === 'line') theirs += mark.x1 + mark.y1 + mark.x2 + mark.y2;
		}
		expect(ours).toBeLessThan(theirs / 2);
	});
});
