import { expect } from 'vitest';
import { type Plan, type Run } from '../../src/lib/core/fit';
import { pageMarks } from '../../src/lib/core/page';
import { pageGuide, tickStrips } from '../../src/lib/core/guide';
import { ruleByCounting, wantedOf } from './guide-robot';
import { linesFromStrips } from './strip-robot';

/** Holds that every page of a run comes out by counting from the corners that are there, and by its tick strips alone. */
export function robotsRule(plan: Plan, run: Run): void {
	for (const { number, columns, rows } of run.pages) {
		const { steps, corners } = pageGuide(plan, run, number);
		const { lines, all } = wantedOf(pageMarks(plan, run, number));
		expect(ruleByCounting({ w: columns, h: rows }, JSON.stringify(steps), corners)).toEqual(all);
		const { top, side } = tickStrips(steps);
		expect(linesFromStrips(top, side)).toEqual(lines);
	}
}
