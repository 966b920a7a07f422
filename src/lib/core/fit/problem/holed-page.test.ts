import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { a5, planWith } from '../../../../../tests/support/arbitraries';
import { brokenRules } from '../../../../../tests/support/judge';
import { often } from '../../../../../tests/support/effort';
import { overlaps, type Rect } from '../../paper';
import { pageMarks } from '../../page';
import type { Cut } from '../../cuts';
import { planRun, type Plan, type Run } from '..';

const windowAt = (rect: Rect, front = 13): Cut => ({
	id: 'window',
	kind: 'window',
	leaves: { first: front, last: front },
	rect
});
const notebook = { ...a5, freePages: [{ first: 12, last: 30 }] };
const opened = (rect: Rect, more: Partial<Plan> = {}) =>
	planWith(
		[
			{ id: 'cover', kind: 'cover', title: 'MAY' },
			{ id: 'quote', kind: 'quote', text: 'Calm water keeps its own time.', facing: 'cover' },
			{ id: 'habits', kind: 'habits', items: [{ name: 'Walk' }] }
		],
		{ notebook, cuts: [windowAt(rect)], ...more }
	);
const coverOf = (run: Run) => run.blocks.find(({ wish }) => wish === 'cover');
/** Rectangles of the letters and dates that are written on a page. */
const writtenOn = (plan: Plan, run: Run, page: number) =>
	pageMarks(plan, run, page).flatMap((mark) => (mark.kind === 'text' ? [mark] : []));

describe('a cover with a window in it', () => {
	test.each(['balanced', 'fewest-pages', 'roomiest'] as const)(
		'keeps its page and the page it faces, whatever the aim (%s)',
		(aim) => {
			const plan = opened({ x: 9, y: 3, w: 10, h: 34 }, { aim });
			const run = planRun(plan);
			expect(run.unplaced).toEqual([]);
			expect(coverOf(run)?.pieces).toEqual([{ page: 13, rect: { x: 0, y: 0, w: 28, h: 40 } }]);
			expect(run.blocks.find(({ wish }) => wish === 'quote')?.pieces[0].page).toBe(12);
			expect(brokenRules(plan, run)).toEqual([]);
		}
	);

	// A hole of 10 × 34 at 9, 3 with a square around leaves 7 columns on both sides, a square from its frame.
	test('a tall hole: the word goes down one side, the calendar into the other', () => {
		const plan = opened({ x: 9, y: 3, w: 10, h: 34 });
		const written = writtenOn(plan, planRun(plan), 13);
		const letters = written.filter(({ style }) => style === 'lettering');
		expect(letters.map(({ text }) => text).join('')).toBe('MAY');
		for (const { x, w } of letters) expect(x + w).toBeLessThanOrEqual(7);
		const dates = written.filter(({ text }) => /^\d+$/.test(text));
		expect(dates).toHaveLength(31);
		for (const { x, w } of dates) {
			expect(x).toBeGreaterThanOrEqual(21);
			expect(x + w).toBeLessThanOrEqual(28);
		}
	});

	test('a hole in the middle of the picture changes nothing but the calendar, which becomes smaller', () => {
		const plan = opened({ x: 6, y: 13, w: 16, h: 16 });
		const whole = planWith(plan.wishes, { notebook });
		const word = (own: Plan) =>
			writtenOn(own, planRun(own), 13).filter(({ style }) => style === 'lettering');
		expect(word(plan)).toEqual(word(whole));
		expect(coverOf(planRun(plan))?.facts.cell).toEqual({ w: 1, h: 1 });
	});

	test('nothing is written where paper is cut away, or a square beside it', () => {
		const anyHole = fc
			.record({
				x: fc.integer({ min: 1, max: 20 }),
				y: fc.integer({ min: 1, max: 32 }),
				w: fc.integer({ min: 3, max: 24 }),
				h: fc.integer({ min: 3, max: 34 })
			})
			.filter(({ x, y, w, h }) => x + w < 28 && y + h < 40);
		fc.assert(
			fc.property(anyHole, (hole) => {
				const plan = opened(hole);
				const run = planRun(plan);
				const cover = coverOf(run);
				if (cover?.pieces[0].rect.w !== 28 || cover.pieces[0].page !== 13) return;
				const air = { x: hole.x - 1, y: hole.y - 1, w: hole.w + 2, h: hole.h + 2 };
				for (const mark of writtenOn(plan, run, 13)) expect(overlaps(mark, air)).toBe(false);
			}),
			{ numRuns: often(60) }
		);
	});

	test('one that a hand has put elsewhere stays there', () => {
		const plan = opened({ x: 9, y: 3, w: 10, h: 34 });
		const [cover, ...others] = plan.wishes;
		if (!cover) throw new Error('no cover');
		const pinned = { ...cover, pin: { page: 15, x: 0, y: 0, w: 28, h: 40 } };
		const run = planRun({ ...plan, wishes: [pinned, ...others] });
		expect(coverOf(run)?.pieces[0].page).toBe(15);
	});
});
