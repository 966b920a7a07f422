import { describe, expect, test } from 'vitest';
import { planWith, small } from '../../../../tests/support/arbitraries';
import { often } from '../../../../tests/support/effort';
import { brokenRules } from '../../../../tests/support/judge';
import { randomFrom } from '../../../../tests/support/problems';
import { begin, kindById, kinds, type Purpose } from '../catalogue';
import type { Wish } from '../wish';
import { ownBlocks, planRun, type Block, type Plan, type Run } from '.';

// How practitioners compose a month: common practice, without a published source.

const books = [
	{ columns: 28, rows: 40 },
	{ columns: 24, rows: 34 },
	{ columns: 34, rows: 49 }
];
const inOrder: readonly Purpose[] = ['plan', 'track', 'log', 'write', 'week', 'review'];

/** A month as people list it: cover, calendar, then kinds of each purpose, with a brain dump anywhere. */
function ordinaryPlan(seed: number, spreads: boolean): Plan {
	const random = randomFrom(seed);
	const pick = <T>(list: readonly T[]): T => {
		const found = list[Math.floor(random() * list.length)];
		if (found === undefined) throw new RangeError('an empty list');
		return found;
	};
	const wish = (kind: string): Wish => {
		const found = kindById(kind);
		if (!found) throw new RangeError(kind);
		return begin(found, (id) => `${id}-${Math.floor(random() * 1e9)}`);
	};
	const others = inOrder.flatMap((purpose) =>
		kinds
			.filter((kind) => kind.purpose === purpose && kind.id !== 'month-calendar' && !kind.filler)
			.filter(() => random() < (purpose === 'week' ? 0.5 : 0.25))
			.map(({ id }) => wish(id))
	);
	const calendar: Wish = { ...wish('month-calendar'), span: spreads ? 'spread' : 'page' };
	const wishes = [wish('cover'), calendar, ...others];
	wishes.splice(Math.floor(random() * wishes.length), 0, wish('brain-dump'));
	if (random() < 0.5) wishes.unshift(wish('quote'));
	const book = pick(books);
	return planWith(spreads ? wishes : wishes.filter(({ weeks }) => !weeks), {
		month: { year: 2026 + Math.floor(random() * 4), month: 1 + Math.floor(random() * 12) },
		notebook: {
			name: 'Book',
			pageMm: { width: book.columns * 5 + 8, height: book.rows * 5 + 10 },
			pitchMm: 5,
			gutter: 2,
			...book,
			freePages: [{ first: 20 + Math.floor(random() * 2), last: 120 }]
		}
	});
}

const purposeOf = (plan: Plan, id: string) =>
	kindById(plan.wishes.find((wish) => wish.id === id)?.kind ?? '')?.purpose;
const firstPage = (run: Run, holds: (id: string) => boolean) =>
	run.blocks.filter(({ wish }) => holds(wish)).map(({ pieces }) => pieces[0].page);
const isKind = (plan: Plan, kind: string) => (id: string) =>
	plan.wishes.find((wish) => wish.id === id)?.kind === kind;

describe('ordinary months', () => {
	const months = Array.from({ length: often(200, 20) }, (_, seed) => {
		const plan = ordinaryPlan(seed + 1, seed % 2 === 0);
		return { plan, run: planRun(plan) };
	});

	const placeOf = (plan: Plan, which: (id: string) => boolean) =>
		plan.wishes.findIndex(({ id }) => which(id));

	test('have nothing before the cover but what opens the month, or is listed before it', () => {
		for (const { plan, run } of months) {
			const [cover = 0] = firstPage(run, isKind(plan, 'cover'));
			const listed = placeOf(plan, isKind(plan, 'cover'));
			const before = run.blocks.filter(
				({ wish, pieces }) => pieces[0].page < cover && placeOf(plan, (id) => id === wish) > listed
			);
			expect(before.map(({ wish }) => purposeOf(plan, wish)).filter((is) => is !== 'open')).toEqual(
				[]
			);
		}
	});

	test('have their brain dump where the list has it among calendar and weeks', () => {
		for (const { plan, run } of months) {
			const [dump] = firstPage(run, isKind(plan, 'brain-dump'));
			const weeks = firstPage(run, isKind(plan, 'weekly-pages'));
			const [calendar = 0] = firstPage(run, isKind(plan, 'month-calendar'));
			const at = plan.wishes.findIndex(({ kind }) => kind === 'brain-dump');
			const afterWeeks = plan.wishes.slice(0, at).some((wish) => wish.weeks);
			if (dump === undefined) continue;
			const isBefore = at < placeOf(plan, isKind(plan, 'month-calendar'));
			if (!isBefore) expect(dump).toBeGreaterThanOrEqual(calendar);
			if (!afterWeeks) for (const week of weeks) expect(dump).toBeLessThanOrEqual(week);
		}
	});

	test('have their weeks in order of time', () => {
		for (const { plan, run } of months) {
			const weeks = run.blocks.filter(({ wish }) => isKind(plan, 'weekly-pages')(wish));
			const pages = weeks.map(({ pieces }) => pieces[0].page);
			expect(pages).toEqual([...pages].sort((a, b) => a - b));
		}
	});

	test('have a page for each page of a week, which nothing joins', () => {
		for (const { plan, run } of months)
			for (const { pieces, wish } of run.blocks) {
				const [{ page }] = pieces;
				if (pieces.length > 1 || !isKind(plan, 'weekly-pages')(wish)) continue;
				const here = run.blocks.filter((other) =>
					other.pieces.some((piece) => piece.page === page)
				);
				expect(here).toHaveLength(1);
			}
	});

	test('have calendar cells that events can be written into', () => {
		for (const { run } of months)
			for (const { form, facts } of run.blocks)
				if (form === 'month-grid') expect(facts.cell?.h).toBeGreaterThanOrEqual(4);
	});

	test('have one purpose a page where a page more is all that it takes', () => {
		for (const [seed, { plan }] of months.entries()) {
			// With smaller sizes a page that is shared may save two.
			const run = planRun({ ...plan, sizes: 'usual' });
			// Over spreads parting a page may take two.
			if (seed % 2 === 0 || run.blocks.some(({ pieces }) => pieces.length > 1)) continue;
			for (const { number } of run.pages) {
				const here = ownBlocks(run).filter(
					({ as, pieces }) => pieces[0].page === number && !kindById(as.kind)?.joins
				);
				const purposes = here.map(({ wish }) => purposeOf(plan, wish));
				const changes = purposes.filter((one, at) => at > 0 && one !== purposes[at - 1]).length;
				// Where the list goes to and fro, parting takes more than one.
				if (changes > 1) continue;
				expect(changes, `month ${seed}, page ${number}`).toBe(0);
			}
		}
	});

	test('have a free square between neighbours', () => {
		for (const { run } of months)
			for (const { number } of run.pages) {
				const rects = ownBlocks(run).flatMap(({ pieces }) =>
					pieces.flatMap(({ page, rect }) => (page === number ? [rect] : []))
				);
				for (const [at, a] of rects.entries())
					for (const b of rects.slice(at + 1)) {
						const apart = a.x + a.w < b.x || b.x + b.w < a.x || a.y + a.h < b.y || b.y + b.h < a.y;
						expect(apart, JSON.stringify([number, a, b])).toBe(true);
					}
			}
	});

	test('have no table, box or list of theirs in the upper part of a page that is free below', () => {
		const growing = ['table', 'boxes', 'blank', 'mini-calendar'];
		for (const [seed, { run }] of months.entries())
			for (const { number, columns, rows } of run.pages) {
				const here = run.blocks.filter(({ pieces }) => pieces.some(({ page }) => page === number));
				// A calendar grows by all of its seven columns or not at all.
				const whole = ({ form, pieces: [{ rect }] }: Block) => {
					const beside = here.flatMap(({ pieces: [{ rect: other }] }) =>
						other.x !== rect.x && other.y < rect.y + rect.h && rect.y < other.y + other.h
							? [other.w + 1]
							: []
					);
					const taken = beside.reduce((sum, w) => sum + w, 0);
					return form === 'mini-calendar' && rect.w + 7 > columns - taken;
				};
				// A table of as many rows as are good for anything, two squares high, leaves the rest free.
				const ample = ({ form, facts, as }: Block) =>
					form === 'table' &&
					facts.lineHeight === 2 &&
					(facts.capacity ?? 0) > Number(as.rules?.table?.entries);
				const foot = Math.max(
					0,
					...here.flatMap(({ pieces }) =>
						pieces.flatMap(({ page, rect }) => (page === number ? [rect.y + rect.h] : []))
					)
				);
				if (here.length === 0 || rows - foot <= rows / 3) continue;
				expect(
					here
						.filter((block) => growing.includes(block.form) && !whole(block) && !ample(block))
						.map(({ wish }) => wish),
					`month ${seed}, page ${number}`
				).toEqual([]);
			}
	});

	test('have tables of one height where equal ones stand below each other', () => {
		const columns = [{ name: 'What', width: 20 }];
		const wishes = ['a', 'b', 'c'].map((id): Wish => ({
			id,
			kind: 'wish-list',
			columns,
			form: 'table',
			pin: { page: 22 },
			rules: { table: { entries: 5 } }
		}));
		const heights = planRun(planWith(wishes)).blocks.map(({ pieces }) => pieces[0].rect.h);
		expect(new Set(heights).size).toBe(1);
		expect(heights[0]).toBeGreaterThan(6);
	});
});

test('a cover that shares its page with the calendar over the fold stands above it, whole squares apart', () => {
	const plan = planWith(
		[
			{ id: 'cover', kind: 'cover' },
			{ id: 'calendar', kind: 'month-calendar', span: 'spread' }
		],
		{
			month: { year: 2027, month: 2 },
			aim: 'fewest-pages',
			notebook: {
				name: 'Pocket',
				pageMm: { width: 90, height: 140 },
				pitchMm: 5,
				columns: 17,
				rows: 26,
				gutter: 2,
				freePages: [{ first: 10, last: 70 }]
			}
		}
	);
	const run = planRun(plan);
	const piecesOf = (id: string) => run.blocks.find(({ wish }) => wish === id)?.pieces ?? [];
	const [cover] = piecesOf('cover');
	const calendar = piecesOf('calendar');
	expect(run.pagesUsed).toBe(2);
	expect(calendar).toHaveLength(2);
	expect(cover?.rect.y).toBe(0);
	for (const { rect } of calendar) {
		expect(rect.y).toBe((cover?.rect.h ?? 0) + 1);
		expect(rect.y + rect.h).toBeLessThanOrEqual(26);
	}
	// Where the other page has too few rows for that, nothing is lowered over its edge.
	const shorter = { number: 11, columns: 17, rows: (calendar[1]?.rect.h ?? 0) + 2 };
	const { blocks } = planRun({ ...plan, notebook: { ...plan.notebook, pages: [shorter] } });
	for (const { pieces } of blocks)
		for (const { page, rect } of pieces)
			expect(rect.y + rect.h).toBeLessThanOrEqual(page === 11 ? shorter.rows : 26);
});

test.each(['fewest-pages', 'balanced'] as const)(
	'what a calendar leaves beside it is for others where the book is short: %s',
	(aim) => {
		const notes = ['Calls', 'Letters', 'Ideas'].map((title): Wish => ({
			id: title,
			kind: 'notes',
			title,
			filler: false
		}));
		const wishes: Wish[] = [
			{ id: 'calendar', kind: 'month-calendar', span: 'spread' },
			{ id: 'counts', kind: 'follower-counts' },
			...notes
		];
		const book = planWith(wishes, { aim });
		const plan = { ...book, notebook: { ...book.notebook, freePages: [{ first: 14, last: 15 }] } };
		const run = planRun(plan);
		expect(run.unplaced).toEqual([]);
		expect(brokenRules(plan, run)).toEqual([]);
		const calendar = run.blocks.find(({ wish }) => wish === 'calendar')?.pieces ?? [];
		const beside = run.blocks.filter(({ wish, pieces: [{ page, rect }] }) =>
			calendar.some(
				(own) => wish !== 'calendar' && own.page === page && rect.y < own.rect.y + own.rect.h
			)
		);
		expect(beside.length).toBeGreaterThan(0);
		for (const { pieces } of beside)
			for (const { rect } of pieces) expect(rect.x).toBeGreaterThan(calendar[1]?.rect.w ?? 28);
	}
);

test('a table below a title that is wider than it grows like any other', () => {
	const kind = kindById('spending');
	if (!kind) throw new RangeError('no spending');
	const run = planRun(planWith([begin(kind, () => 'spending')], { notebook: small }));
	const [block] = run.blocks;
	// Eight letters of 2 without gaps and a square at each edge are 18; an item of 6 may be twice as wide: 12 + 3 + 3.
	expect(block?.pieces[0].rect).toMatchObject({ w: 18, h: 34 });
	expect(block?.facts.width).toBe(18);
});
