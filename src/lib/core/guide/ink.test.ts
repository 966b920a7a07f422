import fc from 'fast-check';
import { expect, test } from 'vitest';
import { often } from '../../../../tests/support/effort';
import { anyPlan } from '../../../../tests/support/arbitraries';
import { mergeMarks, type Mark } from '../draw';
import { planRun } from '../fit';
import { handMarks } from '../page';
import { inkOf, pageGuide } from '.';

/** Strokes either way round, areas square by square, texts and arcs as they are. */
function plain(marks: readonly Mark[]): string[] {
	const all = mergeMarks(marks).flatMap((mark): string[] => {
		if (mark.kind === 'line') {
			const ends = [`${mark.x1} ${mark.y1}`, `${mark.x2} ${mark.y2}`].sort();
			return [`line ${ends.join(' ')}`];
		}
		if (mark.kind !== 'tint') return [JSON.stringify(mark)];
		return Array.from(
			{ length: mark.w * mark.h },
			(_, at) => `${mark.tone} ${mark.x + (at % mark.w)} ${mark.y + Math.floor(at / mark.w)}`
		);
	});
	return [...new Set(all)].sort();
}

test('what is drawn by all steps is the page, and nothing by none', () => {
	fc.assert(
		fc.property(anyPlan, (plan) => {
			const run = planRun(plan);
			for (const { number } of run.pages) {
				const marks = handMarks(plan, run, number);
				const drawable = marks.filter((mark) => mark.kind !== 'text' || mark.text !== '');
				const { steps } = pageGuide(plan, run, number);
				expect(plain(inkOf(steps, marks))).toEqual(plain(drawable));
				expect(inkOf([], marks)).toEqual([]);
			}
		}),
		{ numRuns: often(40) }
	);
});
