import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../../tests/support/effort';
import { a5, anyPlan, planWith } from '../../../../../tests/support/arbitraries';
import { brokenRules } from '../../../../../tests/support/judge';
import { begin, idGiver, kindById } from '../../catalogue';
import type { Wish } from '../../wish';
import { contains } from '../../paper';
import { canMove, drawPage, holdAt, placeByHand, planRun, roomsOf, type Plan, type Run } from '..';
import { pageFields, pageMarks } from '../../page';

const kindOf = (id: string) => {
	const kind = kindById(id);
	if (!kind) throw new RangeError(id);
	return kind;
};
const fresh = (id: string, more: Partial<Wish> = {}): Wish => ({
	...begin(kindOf(id), idGiver([])),
	...more
});
const blockOf = (run: Run, id: string) => {
	const found = run.blocks.find(({ wish }) => wish === id);
	if (!found) throw new Error(`${id} has no place`);
	return found;
};
const may2020 = { year: 2020, month: 5 } as const;

describe('rooms', () => {
	test('cells of 5 × 5 over 28 + 28 leave 8 and 13 beside the grid, of 6 × 6 4 and 10', () => {
		for (const [cell, left, right] of [
			[5, 8, 13],
			[6, 4, 10]
		] as const) {
			const rules = { 'month-grid': { cell: { w: cell, h: cell } } };
			const plan = planWith([{ id: 'calendar', kind: 'month-calendar', span: 'spread', rules }]);
			const rooms = roomsOf(plan, blockOf(planRun(plan), 'calendar'));
			const sizes = Object.fromEntries(rooms.map(({ name, rect: { w, h } }) => [name, { w, h }]));
			// Header included: 1 + 6 weeks.
			const h = 1 + 6 * cell;
			expect(sizes).toEqual({
				left: { w: left, h },
				right: { w: right, h },
				'below-left': { w: 28, h: 40 - h },
				'below-right': { w: 28, h: 40 - h }
			});
		}
	});

	test('counts pinned beside a 6 × 6 calendar in May 2020 from Sunday stay there', () => {
		const plan = planWith(
			[
				{
					id: 'calendar',
					kind: 'month-calendar',
					span: 'spread',
					importance: 'must',
					rules: { 'month-grid': { cell: { w: 6, h: 6 } } }
				},
				fresh('follower-counts', { id: 'counts', pin: { page: 15, x: 19, y: 1 } })
			],
			{
				month: may2020,
				weekStart: 'sunday',
				notebook: { ...a5, freePages: [{ first: 14, last: 20 }] }
			}
		);
		const run = planRun(plan);
		expect(run.unplaced).toEqual([]);
		expect(blockOf(run, 'counts').pieces[0]).toMatchObject({ page: 15, rect: { x: 19, y: 1 } });
		expect(blockOf(run, 'calendar').pieces.map(({ page }) => page)).toEqual([14, 15]);
	});
});

describe('members', () => {
	const beside: Wish = {
		id: 'calendar',
		kind: 'month-calendar',
		span: 'spread',
		members: [
			{ id: 'watches', kind: 'tasks', title: 'Watches', form: 'lists', room: 'right' },
			{ id: 'bakes', kind: 'tasks', title: 'To bake', form: 'lists', room: 'right' }
		]
	};

	test('stand in the room they are meant for, equal in size, and the cells make way', () => {
		const plan = planWith([beside]);
		const run = planRun(plan);
		const [watches, bakes] = [blockOf(run, 'watches'), blockOf(run, 'bakes')];
		expect(watches.host).toEqual({ wish: 'calendar', room: 'right' });
		expect(watches.room).toEqual(bakes.room);
		expect(bakes.pieces[0].rect.y).toBeGreaterThan(watches.pieces[0].rect.y);
		// Lists want 12 squares: cells of 5 leave 13, one of them free.
		expect(blockOf(run, 'calendar').facts.cell?.w).toBe(5);
		expect(watches.pieces[0].rect).toMatchObject({ x: 16, w: 12 });
		expect(brokenRules(plan, run)).toEqual([]);
	});

	test('that find no room are told, and cost no other its place', () => {
		const big: Wish = { id: 'big', kind: 'spending', form: 'table', size: { w: 28, h: 39 } };
		const run = planRun(planWith([{ ...beside, members: [...(beside.members ?? []), big] }]));
		expect(run.unplaced).toEqual([
			{ wish: 'big', reason: '“Month calendar” has no room for it, even by itself' }
		]);
		expect(run.blocks.map(({ wish }) => wish)).toEqual(['calendar', 'watches', 'bakes']);
	});

	test('two deep: a page may hold a calendar that holds a list', () => {
		const page: Wish = {
			id: 'page',
			kind: 'composed',
			title: 'May',
			members: [{ ...beside, span: undefined }]
		};
		const plan = planWith([page]);
		const run = planRun(plan);
		expect(brokenRules(plan, run)).toEqual([]);
		expect(blockOf(run, 'calendar').host?.wish).toBe('page');
		expect(blockOf(run, 'watches').host?.wish).toBe('calendar');
		expect(run.pagesUsed).toBe(1);
	});

	test.each(['composed', 'month-plan', 'overview', 'dashboard', 'health-page', 'cash-page'])(
		'a %s holds all that it starts with, on pages of 28 × 40 and 24 × 34',
		(id) => {
			for (const [columns, rows] of [
				[28, 40],
				[24, 34]
			] as const) {
				const pageMm = { width: columns * 5 + 8, height: rows * 5 + 10 };
				const plan = planWith([fresh(id)], { notebook: { ...a5, pageMm, columns, rows } });
				const run = planRun(plan);
				expect(run.unplaced).toEqual([]);
				expect(brokenRules(plan, run)).toEqual([]);
			}
		}
	);

	test('are drawn with their host, and kept when the page is drawn', () => {
		const plan = planWith([beside, fresh('mood')]);
		const run = planRun(plan);
		const drawn = drawPage(plan, run, undefined, blockOf(run, 'calendar').pieces[0].page);
		expect(drawn.blocks.map(({ wish }) => wish.id)).toEqual(['calendar', 'watches', 'bakes']);
		const later: Plan = { ...plan, wishes: [fresh('mood')], drawn };
		const page = blockOf(run, 'watches').pieces[0].page;
		expect(pageMarks(later, planRun(later), page)).toEqual(pageMarks(plan, run, page));
	});

	test('a block dropped into a free room lives there at that place; moved out it has a page', () => {
		const plan = planWith([fresh('dashboard', { id: 'page', members: [] }), fresh('goals')]);
		const run = planRun(plan);
		const goals = blockOf(run, 'goals');
		const { page } = blockOf(run, 'page').pieces[0];
		const pieces = [{ page, rect: { x: 3, y: 9, w: 14, h: 8 } }] as const;
		expect(placeByHand(plan, run, goals, pieces).faults).toEqual([{ kind: 'into', wish: 'page' }]);
		const inside = { ...plan, wishes: holdAt(plan, run, goals, pieces) };
		const after = planRun(inside);
		expect(blockOf(after, 'goals')).toMatchObject({ pieces, host: { wish: 'page' } });
		const away = [{ page: page + 2, rect: { x: 0, y: 0, w: 14, h: 8 } }] as const;
		const out = planRun({
			...inside,
			wishes: holdAt(inside, after, blockOf(after, 'goals'), away)
		});
		expect(blockOf(out, 'goals').host).toBeUndefined();
		expect(blockOf(out, 'goals').pieces).toEqual(away);
	});

	test('held a square aside, the others stay where they were; held elsewhere, they go round it', () => {
		const page = fresh('dashboard', { id: 'page' });
		const plan = planWith([page]);
		const run = planRun(plan);
		const steps = blockOf(run, 'steps');
		const [{ page: number, rect }] = steps.pieces;
		const movedTo = (x: number, y: number) => {
			const pieces = [{ page: number, rect: { ...rect, x, y } }] as const;
			const next = { ...plan, wishes: holdAt(plan, run, steps, pieces) };
			const after = planRun(next);
			expect(after.unplaced).toEqual([]);
			expect(brokenRules(next, after)).toEqual([]);
			expect(blockOf(after, 'steps').pieces).toEqual(pieces);
			return after;
		};
		const aside = movedTo(rect.x - 1, rect.y);
		const places = (of: Run) =>
			of.blocks.filter(({ wish }) => wish !== 'steps').map(({ pieces }) => pieces);
		expect(places(aside)).toEqual(places(run));
		movedTo(10, 30);
	});

	test('below a calendar that was ruled on a narrow part of its page they lie in a room of it', () => {
		const notebook = { ...a5, columns: 27, rows: 13, freePages: [{ first: 1, last: 1 }] };
		const members = [{ id: 'notes', kind: 'notes' }];
		const plan = planWith(
			[
				{ id: 'cover', kind: 'cover', size: { w: 1, h: 1 } },
				{ id: 'calendar', kind: 'month-calendar', facing: 'cover', members }
			],
			{
				notebook,
				aim: 'fewest-pages',
				month: { year: 1900, month: 1 },
				hand: { lettersPerSquare: 1, figuresPerSquare: 1, letteringPerSquare: 0.5, lineHeight: 1 }
			}
		);
		const run = planRun(plan);
		const inside = run.blocks.find(({ wish }) => wish === 'notes');
		expect(inside?.host).toEqual({ wish: 'calendar', room: 'below' });
		const rooms = roomsOf(plan, blockOf(run, 'calendar')).map(({ rect }) => rect);
		const own = inside?.pieces[0].rect;
		expect(rooms.some((room) => own && contains(room, own))).toBe(true);
	});

	test('lie inside a room of their host, whatever the month', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const run = planRun(plan);
				for (const { wish, host, pieces } of run.blocks) {
					if (!host) continue;
					// Over both pages it lies in the rooms of both.
					const rooms = roomsOf(plan, blockOf(run, host.wish)).filter(
						({ name }) => name === host.room || host.room === 'both'
					);
					for (const { page, rect } of pieces)
						expect(
							rooms.some((room) => room.page === page && contains(room.rect, rect)),
							`${wish} in ${host.wish}`
						).toBe(true);
				}
			}),
			{ numRuns: often(100) }
		);
	});
});

test('a calendar that is ruled for fewer rows than its page has leaves rooms, too', () => {
	const quote: Wish = { id: 'quote', kind: 'quote', text: 'Calm water', spot: { x: 0, y: 0 } };
	const plan = planWith(
		[
			{ id: 'calendar', kind: 'month-calendar', members: [quote] },
			{ id: 'dot', kind: 'notes', size: { w: 1, h: 1 } }
		],
		{
			aim: 'fewest-pages',
			month: { year: 1900, month: 1 },
			notebook: {
				...a5,
				pageMm: { width: 80, height: 100 },
				columns: 14,
				rows: 18,
				freePages: [{ first: 1, last: 1 }]
			}
		}
	);
	const run = planRun(plan);
	const [{ page, rect }] = blockOf(run, 'quote').pieces;
	const rooms = roomsOf(plan, blockOf(run, 'calendar'));
	expect(rooms.some((room) => room.page === page && contains(room.rect, rect))).toBe(true);
});

test('members of a page grow into what is left around them', () => {
	const plan = planWith([fresh('cash-page', { id: 'cash' })], {
		notebook: { ...a5, pageMm: { width: 210, height: 297 }, columns: 40, rows: 57 }
	});
	const run = planRun(plan);
	expect(brokenRules(plan, run)).toEqual([]);
	const rect = (id: string) => blockOf(run, id).pieces[0].rect;
	const foot = (id: string) => rect(id).y + rect(id).h;
	// Income beside spending, what can wait beside what is to buy: to the foot of the page, and to its edge.
	// A table ends where more rows would only stay empty.
	expect(foot('spending') - foot('income')).toBeLessThanOrEqual(1);
	expect(foot('shopping-list')).toBe(57);
	expect(foot('wish-list')).toBeGreaterThanOrEqual(55);
	for (const id of ['income', 'wish-list']) expect(rect(id).x + rect(id).w).toBe(40);
});

test('what stands beside each other in a page begins in one row, and its last list ends at the foot', () => {
	for (const notebook of [
		{ ...a5 },
		{ ...a5, pageMm: { width: 128, height: 182 }, columns: 24, rows: 34 }
	]) {
		const plan = planWith(
			[fresh('overview', { id: 'over' }), fresh('month-plan', { id: 'plan' })],
			{
				notebook
			}
		);
		const run = planRun(plan);
		const rects = run.blocks
			.filter(({ host }) => host)
			.map(({ as, pieces }) => ({ as, ...pieces[0].rect }));
		const of = (is: (wish: Wish) => boolean) => {
			const found = rects.find(({ as }) => is(as));
			if (!found) throw new Error('not there');
			return found;
		};
		const small = of(({ title }) => title === 'Small things');
		expect(small.y + small.h).toBe(notebook.rows);
		const [goals, due] = ['goals', 'deadlines'].map((id) => of(({ kind }) => kind === id).y);
		if (notebook.columns === 28) expect(due).toBe(goals);
	}
});

describe('what lies over both pages of its host', () => {
	const habits = ['Dough', 'Bellows', 'Engine'].map((name) => ({ name }));
	const page = (members: readonly Wish[]) =>
		planWith([{ id: 'page', kind: 'composed', title: 'Harbour', members }]);
	const over = fresh('habits', { id: 'habits', items: habits, room: 'both' });

	test('stands above the others, in the same rows of both pages, and makes its host a spread', () => {
		const left = fresh('tasks', { id: 'tasks', room: 'left' });
		const right = fresh('notes', { id: 'notes', room: 'right' });
		const plan = page([left, over, right]);
		const run = planRun(plan);
		expect(run.unplaced).toEqual([]);
		expect(brokenRules(plan, run)).toEqual([]);
		const host = blockOf(run, 'page');
		expect(host.room.span).toBe('spread');
		const [first, second] = blockOf(run, 'habits').pieces;
		expect([first?.page, second?.page]).toEqual(host.pieces.map(({ page }) => page));
		expect(second?.rect.y).toBe(first?.rect.y);
		// Against the fold on both pages.
		expect((first?.rect.x ?? 0) + (first?.rect.w ?? 0)).toBe(host.pieces[0].rect.w);
		expect(second?.rect.x).toBe(0);
		for (const id of ['tasks', 'notes'])
			expect(blockOf(run, id).pieces[0].rect.y).toBeGreaterThan(
				(first?.rect.y ?? 0) + (first?.rect.h ?? 0)
			);
		expect(canMove(plan, blockOf(run, 'habits'))).toBe(false);
		const days = host.pieces.map(({ page }) =>
			pageFields(plan, run, page).flatMap(({ field }) => field.about.day ?? [])
		);
		expect(days.map((some) => [Math.min(...some), Math.max(...some)])).toEqual([
			[1, 24],
			[25, 31]
		]);
	});

	test('below it members show each day in one row all across both pages', () => {
		const members = [
			fresh('steps', { id: 'steps', room: 'both' }),
			fresh('sleep', { id: 'sleep', room: 'left' }),
			fresh('weight', { id: 'weight', room: 'right' })
		];
		const plan = page(members);
		const run = planRun(plan);
		expect(brokenRules(plan, run)).toEqual([]);
		const rowsOf = (id: string) => {
			const { page } = blockOf(run, id).pieces[0];
			const own = pageFields(plan, run, page).filter(({ wish }) => wish === id);
			return new Map(own.flatMap(({ field: { about, y } }) => (about.day ? [[about.day, y]] : [])));
		};
		const [sleep, weight] = [rowsOf('sleep'), rowsOf('weight')];
		expect(sleep.size).toBe(31);
		expect([...weight]).toEqual([...sleep]);
	});

	test('two of them lie one below the other', () => {
		const second = fresh('habits', { id: 'more', items: habits, room: 'both' });
		const plan = page([over, second, fresh('tasks', { id: 'tasks' })]);
		const run = planRun(plan);
		expect(run.unplaced).toEqual([]);
		expect(brokenRules(plan, run)).toEqual([]);
		const [upper, lower] = ['habits', 'more'].map((id) => blockOf(run, id).pieces[0].rect);
		expect(lower?.y).toBeGreaterThan((upper?.y ?? 0) + (upper?.h ?? 0));
	});

	test('many of them share the rows, and what finds none is told', () => {
		const many = Array.from({ length: 12 }, (_, at) => ({ ...over, id: `habits-${at}` }));
		const plan = page(many);
		const run = planRun(plan);
		expect(brokenRules(plan, run)).toEqual([]);
		const lying = run.blocks.filter(({ host }) => host?.room === 'both');
		// Title 4, then 5 rows each with a row between: names, days and three habits.
		expect(lying.map(({ wish }) => wish)).toEqual(many.slice(0, 6).map(({ id }) => id));
		expect(run.unplaced).toHaveLength(6);
	});

	test('beside a calendar, where nothing can, it stands wherever it fits', () => {
		const list = fresh('tasks', { id: 'tasks', room: 'both' });
		const calendar = fresh('month-calendar', { id: 'page', span: 'spread', members: [list] });
		const plan = planWith([calendar]);
		const run = planRun(plan);
		expect(run.unplaced).toEqual([]);
		expect(brokenRules(plan, run)).toEqual([]);
		expect(blockOf(run, 'tasks').pieces).toHaveLength(1);
	});

	test('a member held where it lies is left out, and one that cannot lie over two pages says so', () => {
		const held = fresh('tasks', { id: 'tasks', room: 'left', spot: { x: 0, y: 0, w: 12, h: 8 } });
		const quote = fresh('quote', { id: 'quote', text: 'Calm water', room: 'both' });
		const run = planRun(page([over, held, quote]));
		expect(run.unplaced.find(({ wish }) => wish === 'quote')?.reason).toBe(
			'none of its forms lies over two pages'
		);
		expect(run.unplaced).toHaveLength(2);
	});
});
