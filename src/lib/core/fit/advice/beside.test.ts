import { expect, test } from 'vitest';
import { planWith } from '../../../../../tests/support/arbitraries';
import { planRun, putAmong, type Block, type Run } from '..';

const table = (id: string, entries: number) => ({
	id,
	kind: 'spending',
	form: 'table',
	rules: { table: { entries } }
});
const plan = planWith([
	table('a', 6),
	table('b', 7),
	table('c', 8),
	{ id: 'cover', kind: 'cover' }
]);
const run = planRun(plan);

function blockOf(id: string): Block {
	const block = run.blocks.find(({ wish }) => wish === id);
	if (!block) throw new Error(`${id} was not placed`);
	return block;
}

/** The wishes of a page from top to bottom. */
const downOn = ({ blocks }: Run, page: number) =>
	blocks
		.flatMap(({ wish, pieces }) => pieces.map((piece) => ({ wish, ...piece })))
		.filter((piece) => piece.page === page)
		.sort((one, other) => one.rect.y - other.rect.y || one.rect.x - other.rect.x)
		.map(({ wish }) => wish);

test('a block is put between two others of its page', () => {
	const { page } = blockOf('a').pieces[0];
	expect(downOn(run, page)).toEqual(['a', 'b', 'c']);
	const wishes = putAmong(plan.wishes, blockOf('c'), page, ['a', 'c', 'b']);
	expect(wishes.map(({ id }) => id)).toEqual(['a', 'c', 'b', 'cover']);
	expect(downOn(planRun({ ...plan, wishes }), page)).toEqual(['a', 'c', 'b']);
});

test('and first of all, and from another page, which it leaves', () => {
	const { page } = blockOf('cover').pieces[0];
	const { page: from } = blockOf('b').pieces[0];
	expect(page).not.toBe(from);
	const wishes = putAmong(plan.wishes, blockOf('b'), page, ['b', 'cover']);
	expect(wishes.map(({ id }) => id)).toEqual(['a', 'c', 'b', 'cover']);
	expect(wishes.find(({ id }) => id === 'b')?.pin).toEqual({ page });
	const home = putAmong(plan.wishes, blockOf('c'), from, ['c', 'a', 'b']);
	expect(downOn(planRun({ ...plan, wishes: home }), from)).toEqual(['c', 'a', 'b']);
});

test('what was held at a square of its page follows the order again', () => {
	const { page } = blockOf('a').pieces[0];
	const held = plan.wishes.map((wish) =>
		wish.id === 'c' ? { ...wish, pin: { page, x: 0, y: 20 } } : wish
	);
	const wishes = putAmong(held, blockOf('c'), page, ['c', 'a', 'b']);
	expect(downOn(planRun({ ...plan, wishes }), page)).toEqual(['c', 'a', 'b']);
});
