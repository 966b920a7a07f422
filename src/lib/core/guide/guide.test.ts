import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyPlan, planWith } from '../../../../tests/support/arbitraries';
import { line, mergeLines, type LineMark } from '../draw';
import { pageMarks, planRun } from '../fit';
import { pageOf } from '../paper';
import { countingGuide, type Step } from '.';

/** Rules a page from the sentences alone, as a hand would: it counts from the named corner. */
function ruleBySentences(page: { w: number; h: number }, steps: readonly Step[]): LineMark[] {
	const lines: LineMark[] = [];
	for (const { sentence } of steps) {
		const rule = /Rule (\d+) squares? (to the right|down), to dot \((\d+), (\d+)\)/.exec(sentence);
		const slant = /Rule slantwise to dot \((\d+), (\d+)\)/.exec(sentence);
		if (!rule && !slant) continue;
		const corner = /(top|bottom) (left|right) dot/.exec(sentence);
		const across = /count (?:\d+ (?:up|down) and )?(\d+) (left|right)/.exec(sentence);
		const down = /(?:count|and) (\d+) (up|down)/.exec(sentence);
		const start = {
			x: (corner?.[2] === 'left' ? 0 : page.w) + signed(across),
			y: (corner?.[1] === 'top' ? 0 : page.h) + signed(down)
		};
		if (!rule) {
			lines.push(line(start.x, start.y, Number(slant?.[1]), Number(slant?.[2])));
			continue;
		}
		const length = Number(rule[1]);
		const end =
			rule[2] === 'down'
				? { x: start.x, y: start.y + length }
				: { x: start.x + length, y: start.y };
		expect([end.x, end.y]).toEqual([Number(rule[3]), Number(rule[4])]);
		const again = /the same (\d+) more times?, (?:every )?(\d+) squares? further (right|down)/.exec(
			sentence
		);
		for (let index = 0; index <= Number(again?.[1] ?? 0); index++) {
			const by = index * Number(again?.[2] ?? 0);
			const [dx, dy] = again?.[3] === 'right' ? [by, 0] : [0, by];
			lines.push(line(start.x + dx, start.y + dy, end.x + dx, end.y + dy));
		}
	}
	return lines;
}

function signed(match: RegExpExecArray | null): number {
	if (!match) return 0;
	return Number(match[1]) * (match[2] === 'left' || match[2] === 'up' ? -1 : 1);
}

describe('the counting guide', () => {
	test('is enough to rule every line of every page, and rules none twice', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const run = planRun(plan);
				for (const { number } of run.pages) {
					const { columns, rows } = pageOf(plan.notebook, number);
					const page = { w: columns, h: rows };
					const marks = pageMarks(plan, run, number);
					const wanted = marks.flatMap((mark) => (mark.kind === 'line' ? [mark] : []));
					const ruled = ruleBySentences(page, countingGuide(page, marks));
					expect(ruled).toHaveLength(wanted.length);
					expect(new Set(ruled.map((stroke) => JSON.stringify(stroke)))).toEqual(
						new Set(wanted.map((stroke) => JSON.stringify(stroke)))
					);
				}
			}),
			{ numRuns: 150 }
		);
	});

	test('counts from the nearest corner and gathers equal distances', () => {
		const [step] = countingGuide(
			{ w: 28, h: 40 },
			mergeLines([line(20, 30, 26, 30), line(20, 33, 26, 33), line(20, 36, 26, 36)])
		);
		expect(step?.sentence).toBe(
			'From the bottom right dot count 8 left and 10 up: dot (20, 30). Rule 6 squares to the right, to dot (26, 30). Rule the same 2 more times, every 3 squares further down; the last one starts at dot (20, 36).'
		);
	});

	test('writes last, and names every date of the month', () => {
		const plan = planWith([{ id: 'c', kind: 'month-calendar', form: 'month-grid', span: 'page' }]);
		const steps = countingGuide({ w: 28, h: 40 }, pageMarks(plan, planRun(plan), 12));
		const kinds = steps.map((step) => step.kind);
		expect(kinds.lastIndexOf('rule')).toBeLessThan(kinds.indexOf('tint'));
		expect(kinds.lastIndexOf('tint')).toBeLessThan(kinds.indexOf('write'));
		const written = steps.flatMap((step) => (step.kind === 'write' ? step.text.split(' ') : []));
		for (let day = 1; day <= 31; day++)
			expect(written.filter((word) => word === String(day))).toHaveLength(1);
	});
});
