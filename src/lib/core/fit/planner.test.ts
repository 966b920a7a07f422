import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../tests/support/effort';
import { a5, anyPlan, planWith, small } from '../../../../tests/support/arbitraries';
import { brokenRules } from '../../../../tests/support/judge';
import { begin, idGiver, kinds } from '../catalogue';
import { PackingCache, planRun, remediesFor, tooLarge } from '.';
import { pageMarks, pieceMarks } from '../page';

const pagesOf = (run: ReturnType<typeof planRun>, wish: string) =>
	run.blocks.find((block) => block.wish === wish)?.pieces.map((piece) => piece.page);

describe('the run', () => {
	test('keeps every rule, whatever the plan', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const run = planRun(plan);
				expect(brokenRules(plan, run)).toEqual([]);
				expect(planRun(plan)).toEqual(run);
			}),
			{ numRuns: often(300) }
		);
	});

	test('draws every block inside its rectangle, and ruled lines once', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const run = planRun(plan);
				for (const block of run.blocks)
					for (const { page, rect } of block.pieces)
						for (const mark of pieceMarks(plan, block, page)) {
							if (mark.kind !== 'line') continue;
							expect(Math.min(mark.x1, mark.x2)).toBeGreaterThanOrEqual(rect.x);
							expect(Math.max(mark.x1, mark.x2)).toBeLessThanOrEqual(rect.x + rect.w);
							expect(Math.min(mark.y1, mark.y2)).toBeGreaterThanOrEqual(rect.y);
							expect(Math.max(mark.y1, mark.y2)).toBeLessThanOrEqual(rect.y + rect.h);
						}
			}),
			{ numRuns: often(100) }
		);
	});

	test('uses what pins leave of a page, whole', () => {
		const pins = [12, 13].map((page) => ({
			id: `band ${page}`,
			kind: 'notes',
			pin: { page, x: 0, y: 0, w: 28, h: 6 }
		}));
		const run = planRun(
			planWith([...pins, { id: 'sleep', kind: 'sleep' }], {
				notebook: { ...a5, freePages: [{ first: 12, last: 13 }] }
			})
		);
		expect(run.unplaced).toEqual([]);
	});

	test('a pin without a size takes what is free from there on', () => {
		const left = { id: 'a', kind: 'notes', pin: { page: 12, x: 0, y: 0, w: 13, h: 40 } };
		const right = { id: 'b', kind: 'brain-dump', pin: { page: 12, x: 14, y: 3 } };
		for (const wishes of [
			[left, right],
			[{ ...left, pin: { page: 12, x: 14, y: 30, w: 14, h: 10 } }, right]
		]) {
			const run = planRun(planWith(wishes));
			expect(run.unplaced).toEqual([]);
			expect(run.blocks.find(({ wish }) => wish === 'b')?.pieces[0].rect).toMatchObject({
				x: 14,
				y: 3
			});
		}
	});

	test('a size over the fold means rows, and a refusal says how many there are', () => {
		const calendar = (h: number) =>
			planRun(
				planWith([
					{
						id: 'c',
						kind: 'month-calendar',
						form: 'month-grid',
						span: 'spread',
						size: { w: 56, h }
					}
				])
			);
		expect(calendar(30).blocks[0]?.pieces.map(({ rect }) => rect.h)).toEqual([30, 30]);
		expect(calendar(41).unplaced[0]?.reason).toBe(
			'56 × 41 squares are wanted and two facing pages have 56 × 40'
		);
	});

	test('what a person wrote is not dropped by another form', () => {
		const spending = (columns: { name: string; width: number }[]) =>
			planRun(planWith([{ id: 's', kind: 'spending', columns }]));
		expect(spending([{ name: 'Shop', width: 60 }]).unplaced).toHaveLength(1);
		expect(spending([{ name: 'Shop', width: 60 }]).unplaced[0]?.reason).toContain('60');
		expect(spending([{ name: 'Shop', width: 6 }]).blocks[0]?.form).toBe('table');
	});

	test('puts a calendar over a left and a right page of its own, and a quote facing the cover', () => {
		const run = planRun(
			planWith([
				{ id: 'cover', kind: 'cover' },
				{ id: 'calendar', kind: 'month-calendar', span: 'spread' },
				{ id: 'dump', kind: 'brain-dump' },
				{ id: 'quote', kind: 'quote' }
			])
		);
		expect(pagesOf(run, 'cover')).toEqual([13]);
		expect(pagesOf(run, 'calendar')).toEqual([14, 15]);
		expect(pagesOf(run, 'quote')).toEqual([12]);
		expect(pagesOf(run, 'dump')).toEqual([16]);
		expect(run.pagesUsed).toBe(5);
		expect(pageMarks(planWith([]), run, 99)).toEqual([]);
	});

	test('a free range that begins on the right puts the cover there and the calendar after it', () => {
		const notebook = { ...a5, freePages: [{ first: 13, last: 20 }] };
		const run = planRun(
			planWith(
				[
					{ id: 'cover', kind: 'cover' },
					{ id: 'calendar', kind: 'month-calendar', span: 'spread' }
				],
				{ notebook }
			)
		);
		expect(pagesOf(run, 'cover')).toEqual([13]);
		expect(pagesOf(run, 'calendar')).toEqual([14, 15]);
	});

	test('no block lies over a break in the free pages', () => {
		const notebook = {
			...a5,
			freePages: [
				{ first: 14, last: 14 },
				{ first: 17, last: 19 }
			]
		};
		const run = planRun(
			planWith([{ id: 'calendar', kind: 'month-calendar', span: 'spread' }], { notebook })
		);
		expect(pagesOf(run, 'calendar')).toEqual([18, 19]);
	});

	test('pins stand where they are put, and the rest flows around them', () => {
		const run = planRun(
			planWith([
				{ id: 'habits', kind: 'habits', items: [{ name: 'Walk' }], pin: { page: 12, x: 4, y: 30 } },
				{ id: 'cover', kind: 'cover' }
			])
		);
		expect(run.blocks[0]?.pieces).toEqual([{ page: 12, rect: { x: 4, y: 30, w: 7, h: 8 } }]);
		expect(brokenRules(planWith([]), { ...run, unplaced: [] })).toEqual([]);
	});
});

describe('the limit of work', () => {
	const thirty = () => {
		const idFor = idGiver([]);
		return planWith(kinds.slice(0, 30).map((kind) => begin(kind, idFor)));
	};

	test('is the same whether or not others were planned before, and the best run by then is the answer', () => {
		const plan = thirty();
		const limits = [0, 20_000, 100_000, 3_000_000].map((all) => ({ all, search: 60_000 }));
		const cold = limits.map((limit) => planRun(plan, new PackingCache(), limit));
		planRun(plan);
		const warm = limits.map((limit) => planRun(plan, new PackingCache(), limit));
		expect(warm).toEqual(cold);
		for (const run of cold) expect(brokenRules(plan, run)).toEqual([]);
		expect(cold.at(-1)).toEqual(planRun(plan));
		expect(cold[0]?.blocks.length).toBeGreaterThan(0);
	});

	test('what is too large to be weighed is told beforehand', () => {
		const many = Array.from({ length: 200 }, (_, at) => ({ id: `w${at}`, kind: 'notes' }));
		expect(tooLarge(planWith(many))).toBeUndefined();
		const weekly = many.map((wish) => ({
			...wish,
			kind: 'weekly-pages',
			weeks: { belong: 'touching' as const, short: 'own' as const, pagesPerWeek: 4 as const }
		}));
		expect(tooLarge(planWith(weekly))).toMatch(/^\d+ blocks on \d+ pages are more than/);
	});
});

describe('what finds no place says what is missing', () => {
	const reasonOf = (...args: Parameters<typeof planWith>) => {
		const run = planRun(planWith(...args));
		return run.unplaced[0]?.reason;
	};

	test('cells that are too large for the page', () => {
		const wish = { id: 'c', kind: 'month-calendar', form: 'month-grid', span: 'page' } as const;
		const cells = (w: number, h: number) => ({ 'month-grid': { cell: { w, h } } });
		expect(reasonOf([{ ...wish, rules: cells(5, 6) }])).toContain('7 across missing');
		expect(reasonOf([{ ...wish, rules: cells(3, 6) }], { notebook: small })).toContain(
			'37 squares and there are 24 × 34: 3 down missing'
		);
	});

	test('no facing pages', () => {
		const notebook = { ...a5, freePages: [{ first: 13, last: 13 }] };
		expect(reasonOf([{ id: 'c', kind: 'month-calendar', span: 'spread' }], { notebook })).toBe(
			'two facing free pages are needed and there are none'
		);
	});

	test('full pages', () => {
		const notebook = { ...a5, freePages: [{ first: 13, last: 13 }] };
		expect(
			reasonOf(
				[
					{ id: 'a', kind: 'cover', form: 'cover', importance: 'must' },
					{ id: 'b', kind: 'habits', items: [{ name: 'Walk' }] }
				],
				{ notebook }
			)
		).toMatch(/^at least \d+ × \d+ squares are needed and every free page is full/);
	});

	test('a notebook without free pages', () => {
		const notebook = { ...a5, pages: [{ number: 12, state: 'drawn' as const }] };
		expect(
			reasonOf([{ id: 'a', kind: 'cover' }], {
				notebook: { ...notebook, freePages: [{ first: 12, last: 12 }] }
			})
		).toBe('the notebook has no free page');
	});
});

test('a month of thirty kinds is fitted whole', () => {
	const freeId = idGiver([]);
	const wishes = Array.from(
		{ length: 30 },
		(_, index) => kinds[(index * 5) % kinds.length]
	).flatMap((kind) => (kind ? [begin(kind, freeId)] : []));
	const run = planRun(planWith(wishes));
	expect(run).toMatchObject({ unplaced: [], bound: 0 });
	expect(brokenRules(planWith(wishes), run)).toEqual([]);
});

test('fewer pages are used when they weigh most', () => {
	const wishes = [
		{ id: 'h', kind: 'habits', items: [{ name: 'Walk' }] },
		{ id: 'c', kind: 'month-calendar' }
	];
	const used = (aim: 'fewest-pages' | 'roomiest') => planRun(planWith(wishes, { aim })).pagesUsed;
	expect(used('fewest-pages')).toBe(1);
	expect(used('roomiest')).toBe(2);
});

test('a must takes the place of what matters less', () => {
	const notebook = { ...a5, freePages: [{ first: 12, last: 13 }] };
	const plan = planWith(
		[
			{ id: 'first', kind: 'cover', form: 'cover' },
			{ id: 'second', kind: 'cover', form: 'cover', importance: 'spare' },
			{ id: 'calendar', kind: 'month-calendar', span: 'spread', importance: 'must' }
		],
		{ notebook }
	);
	const run = planRun(plan);
	expect(brokenRules(plan, run)).toEqual([]);
	expect(pagesOf(run, 'calendar')).toEqual([12, 13]);
	expect(run.unplaced.map(({ wish }) => wish)).toEqual(['first', 'second']);
});

test('what finds no place comes with changes that give it one', () => {
	const notebook = { ...a5, freePages: [{ first: 13, last: 13 }] };
	const plan = planWith([{ id: 'c', kind: 'month-calendar', span: 'spread' }], { notebook });
	const run = planRun(plan);
	const remedies = remediesFor(plan, run, 'c');
	expect(remedies.length).toBeGreaterThan(0);
	for (const { wishes, changes } of remedies) {
		expect(planRun({ ...plan, wishes }).unplaced).toEqual([]);
		expect(changes.map(({ path }) => path)).toContain('wishes[0].span');
	}
});

test('a member that finds no place with its host comes with changes that give it one', () => {
	const notebook = { ...a5, freePages: [13, 15].map((page) => ({ first: page, last: page })) };
	const members = [
		{ id: 'first', kind: 'notes', size: { w: 28, h: 30 }, importance: 'spare' },
		{ id: 'lost', kind: 'notes', size: { w: 28, h: 30 }, importance: 'spare' }
	] as const;
	const plan = planWith([{ id: 'page', kind: 'composed', form: 'composed', members }], {
		notebook
	});
	const run = planRun(plan);
	expect(run.unplaced.map(({ wish }) => wish)).toContain('lost');
	const remedies = remediesFor(plan, run, 'lost');
	expect(remedies.map(({ text }) => text)).toContain('a place of its own');
	for (const { wishes, changes } of remedies) {
		const placed = planRun({ ...plan, wishes });
		expect(placed.unplaced.map(({ wish }) => wish)).not.toContain('lost');
		for (const { path } of changes) expect(path).toMatch(/^wishes(\[0\]\.members\[\d\]|$)/);
	}
});

test('a run that cannot be better says so', () => {
	const run = planRun({ ...planWith([{ id: 'a', kind: 'cover' }]), sizes: 'every' });
	// The cover stands on the right, and the page it faces stays free.
	expect(run).toMatchObject({ optimal: true, bound: 0, pagesUsed: 2 });
	expect(planRun(planWith([]))).toMatchObject({ optimal: true, bound: 0, pagesUsed: 0 });
});
