import fc from 'fast-check';
import { expect, test } from 'vitest';
import { often } from '../../../../../tests/support/effort';
import { a5, anyPlan, planWith } from '../../../../../tests/support/arbitraries';
import { brokenRules } from '../../../../../tests/support/judge';
import { formById } from '../../forms';
import type { Wish } from '../../wish';
import { canMove, holdAt, mayStay, piecesAt, placeByHand, planRun, type Piece } from '..';

const plan = planWith([
	{ id: 'cover', kind: 'cover' },
	{ id: 'calendar', kind: 'month-calendar', form: 'month-grid', span: 'spread' },
	{ id: 'habits', kind: 'habits', title: 'Habits', items: [{ name: 'Walk' }, { name: 'Knead' }] },
	{ id: 'goals', kind: 'goals', pin: { page: 17, x: 2, y: 4, w: 20, h: 12 } }
]);
const run = planRun(plan);
const block = (id: string) => {
	const found = run.blocks.find(({ wish }) => wish === id);
	if (!found) throw new Error(`${id} was not placed`);
	return found;
};
const kinds = (faults: readonly { kind: string }[]) => faults.map(({ kind }) => kind);

const placeOf = ({ page, rect }: Piece) => [page, rect.y];

test('wherever a block may stay, the next run has it, at that size and nothing broken', () => {
	fc.assert(
		fc.property(anyPlan, fc.nat(), fc.nat(), fc.nat(), fc.nat(), fc.nat(), (any, n, x, y, w, h) => {
			const before = planRun(any);
			const movable = before.blocks.filter((other) => canMove(any, other));
			const moved = movable[n % Math.max(1, movable.length)];
			if (!moved) return;
			const { columns, rows } = any.notebook;
			const [left, top] = [x % columns, y % rows];
			const rect = { x: left, y: top, w: 1 + (w % (columns - left)), h: 1 + (h % (rows - top)) };
			const pieces = piecesAt(moved, moved.pieces[0].page, rect);
			const placed = placeByHand(any, before, moved, pieces);
			// What goes into a room moves with its host.
			if (!mayStay(placed) || placed.faults.some(({ kind }) => kind === 'into')) return;
			const next = { ...any, wishes: holdAt(any, before, moved, pieces) };
			const after = planRun(next);
			expect(brokenRules(next, after)).toEqual([]);
			// A place in a room is counted from the room, which moves when a calendar's cells grow.
			const host = before.blocks.find(({ wish }) => wish === moved.host?.wish);
			if (host && !formById(host.form)?.wholePage) return;
			const there = after.blocks.find(({ wish }) => wish === moved.wish)?.pieces;
			// A size would leave members beside it no room, so then only its place is held.
			if (moved.as.members) expect(there?.map(placeOf)).toEqual(pieces.map(placeOf));
			else expect(there).toEqual(pieces);
		}),
		{ numRuns: often(150) }
	);
});

test('what a hand puts into another page stays on it, where that page could lie elsewhere too', () => {
	// The picture of a cover that was taken onto one page less, in the month after the one that was looked at.
	const notebook = { ...a5, freePages: [{ first: 12, last: 15 }] };
	const free = planWith(
		[
			{ id: 'host', kind: 'composed', members: [{ id: 'tasks', kind: 'tasks' }] },
			{ id: 'whole', kind: 'month-calendar', span: 'spread', importance: 'must' }
		],
		{ notebook }
	);
	const before = planRun(free);
	const tasks = before.blocks.find(({ wish }) => wish === 'tasks');
	if (!tasks) throw new Error('no tasks');
	const [{ page }] = tasks.pieces;
	const wishes = holdAt(free, before, tasks, piecesAt(tasks, page, { x: 4, y: 9, w: 14, h: 12 }));
	expect(wishes.find(({ id }) => id === 'host')).toMatchObject({ pin: { page }, span: 'page' });
	const after = planRun({ ...free, wishes });
	expect(after.blocks.find(({ wish }) => wish === 'tasks')?.pieces[0].page).toBe(page);
});

test('a size that was set gives way to the one a hand gives', () => {
	const sized = planWith([{ id: 'cover', kind: 'cover', span: 'spread', size: { w: 20, h: 30 } }]);
	const before = planRun(sized);
	const [cover] = before.blocks;
	if (!cover) throw new Error('no cover');
	const pieces = piecesAt(cover, cover.pieces[0].page, { x: 0, y: 2, w: 28, h: 25 });
	const next = { ...sized, wishes: holdAt(sized, before, cover, pieces) };
	const after = planRun(next);
	expect(brokenRules(next, after)).toEqual([]);
	expect(after.blocks[0]?.pieces).toEqual(pieces);
});

test('in a room, too, a size that was set gives way to the one a hand gives', () => {
	const page: Wish = {
		id: 'page',
		kind: 'month-plan',
		members: [{ id: 'cover', kind: 'cover', size: { w: 10, h: 20 } }]
	};
	const sized = planWith([page]);
	const before = planRun(sized);
	const cover = before.blocks.find(({ wish }) => wish === 'cover');
	if (!cover) throw new Error('no cover');
	const pieces = piecesAt(cover, cover.pieces[0].page, { x: 2, y: 3, w: 14, h: 30 });
	const after = planRun({ ...sized, wishes: holdAt(sized, before, cover, pieces) });
	expect(after.blocks.find(({ wish }) => wish === 'cover')?.pieces).toEqual(pieces);
});

test('a spread moves down and takes both pages at one height', () => {
	const calendar = block('calendar');
	const pieces = piecesAt(calendar, calendar.pieces[0].page, { x: 5, y: 4, w: 9, h: 36 });
	expect(pieces.map(({ rect }) => rect)).toEqual([
		{ x: 0, y: 4, w: 28, h: 36 },
		{ x: 0, y: 4, w: 21, h: 36 }
	]);
	const placed = placeByHand(plan, run, calendar, pieces);
	expect(mayStay(placed)).toBe(true);
	const next = planRun({ ...plan, wishes: holdAt(plan, run, calendar, pieces) });
	expect(next.blocks.find(({ wish }) => wish === 'calendar')?.pieces).toEqual(pieces);
});

test('what speaks against a place is said', () => {
	const habits = block('habits');
	const at = (page: number, x: number, y: number, w: number, h: number) =>
		placeByHand(plan, run, habits, piecesAt(habits, page, { x, y, w, h }));
	expect(kinds(at(20, 20, 0, 12, 20).faults)).toContain('off-page');
	expect(kinds(at(5, 0, 0, 28, 20).faults)).toEqual(['not-free']);
	expect(kinds(at(20, 0, 0, 2, 2).faults)).toEqual(['too-small']);
	expect(at(17, 0, 0, 28, 20).faults).toEqual([{ kind: 'over', wish: 'goals', held: true }]);
	const cover = at(block('cover').pieces[0].page, 0, 0, 28, 20);
	expect(cover.faults).toEqual([{ kind: 'over', wish: 'cover', held: false }]);
	expect(mayStay(cover)).toBe(true);
});

test('cells are as large as the room that the hand gives', () => {
	const calendar = block('calendar');
	const heights = [24, 40].map((h) => {
		const pieces = piecesAt(calendar, 20, { x: 0, y: 0, w: 28, h });
		return placeByHand(plan, run, calendar, pieces).choice?.facts.cell?.h ?? 0;
	});
	expect(heights[0]).toBeLessThan(heights[1] ?? 0);
});
