import fc from 'fast-check';
import demoMonth from '../../demo/month.json';
import { checked, planSchema, planVersion, toPlan } from '../../src/lib/core/formats';
import { kinds } from '../../src/lib/core/catalogue';
import type { Plan } from '../../src/lib/core/fit';
import type { Content, Item } from '../../src/lib/core/forms';
import type { Wish } from '../../src/lib/core/wish';
import { formatMonth, type WeekStart, type YearMonth } from '../../src/lib/core/month';
import { defaultHand, type Hand } from '../../src/lib/core/hand';
import type { Notebook } from '../../src/lib/core/paper';
import { anyRulesByForm } from './any-rules';

export const weekStarts: readonly WeekStart[] = ['monday', 'sunday', 'saturday'];

export const anyMonth: fc.Arbitrary<YearMonth> = fc.record({
	year: fc.integer({ min: 1900, max: 2200 }),
	month: fc.integer({ min: 1, max: 12 })
});

export const anyWeekStart = fc.constantFrom(...weekStarts);

/** Pages of a book that differ: narrower, drawn, reserved or spoilt. */
const anyExceptions: fc.Arbitrary<Notebook['pages']> = fc.uniqueArray(
	fc.record(
		{
			number: fc.integer({ min: 1, max: 50 }),
			columns: fc.integer({ min: 3, max: 5 }),
			state: fc.constantFrom('drawn' as const, 'reserved' as const, 'spoilt' as const)
		},
		{ requiredKeys: ['number'] }
	),
	{ maxLength: 4, selector: ({ number }) => number }
);

/** Notebooks from tiny to large whose grid lies on the paper. */
export const anyNotebook: fc.Arbitrary<Notebook> = fc
	.record({
		columns: fc.integer({ min: 5, max: 45 }),
		rows: fc.integer({ min: 6, max: 60 }),
		pitchMm: fc.constantFrom(3.7, 4.95, 5, 6.35),
		first: fc.integer({ min: 1, max: 40 }),
		count: fc.integer({ min: 1, max: 14 }),
		gutter: fc.constantFrom(0, 2),
		pages: anyExceptions
	})
	.map(({ columns, rows, pitchMm, first, count, gutter, pages }) => ({
		name: 'Test notebook',
		pageMm: { width: columns * pitchMm + 7, height: rows * pitchMm + 9 },
		pitchMm,
		columns,
		rows,
		gutter,
		freePages: [{ first, last: first + count - 1 }],
		pages
	}));

const anyItem: fc.Arbitrary<Item> = fc.record(
	{
		name: fc.string({ minLength: 1, maxLength: 30 }).filter((name) => name.trim() !== ''),
		short: fc.string({ minLength: 1, maxLength: 6 }),
		symbol: fc.constantFrom('*', 'o'),
		group: fc.constantFrom('health', 'home'),
		rhythm: fc.constantFrom(
			'daily' as const,
			'weekly' as const,
			'monthly' as const,
			'times-a-week' as const
		),
		goal: fc.integer({ min: 1, max: 9 }),
		upTo: fc.integer({ min: 1, max: 9 }),
		begins: fc.integer({ min: 1, max: 31 }),
		ends: fc.integer({ min: 1, max: 31 })
	},
	{ requiredKeys: ['name'] }
);

/** What people write, in part. */
export const anyContent: fc.Arbitrary<Content> = fc.record(
	{
		title: fc.string({ maxLength: 14 }),
		items: fc.array(anyItem, { maxLength: 12 }),
		unit: fc.constantFrom('kg', 'steps a day'),
		note: fc.constantFrom('half an hour counts', 'x'),
		levels: fc.constantFrom(['fair', 'glassy', 'choppy', 'fog'], ['up', 'down']),
		columns: fc.array(
			fc.record({ name: fc.constantFrom('Item', 'Cost'), width: fc.integer({ min: 1, max: 9 }) }),
			{ maxLength: 5 }
		),
		parts: fc.constantFrom(
			['private', 'work'],
			['one'],
			['now', 'soon', 'some day'],
			['sky', 'sea', 'wind', 'bread']
		),
		goals: fc.constant([{ name: 'Reel', from: 3, to: 20, slack: 4 }]),
		events: fc.constant([
			{ day: 3, text: 'Dry dock' },
			{ day: 3, time: '19:30', text: 'Choir' }
		])
	},
	{ requiredKeys: [] }
);

const anyWishBody: fc.Arbitrary<Omit<Wish, 'id'>> = fc
	.constantFrom(...kinds)
	.chain(({ id, forms }) =>
		fc
			.tuple(
				anyContent,
				fc.record(
					{
						kind: fc.constant(id),
						rules: anyRulesByForm(forms),
						importance: fc.constantFrom('must' as const, 'want' as const, 'spare' as const),
						span: fc.constantFrom('page' as const, 'spread' as const),
						side: fc.constantFrom('left' as const, 'right' as const),
						size: fc.record({
							w: fc.integer({ min: 1, max: 30 }),
							h: fc.integer({ min: 1, max: 45 })
						}),
						filler: fc.constant(true)
					},
					{ requiredKeys: ['kind'] }
				)
			)
			.map(([content, body]) => ({ ...content, ...body }))
	);

/** Wishes about places: most have none, and some ask for what cannot be. */
const anyPlaceWish: fc.Arbitrary<Partial<Wish>> = fc.oneof(
	{ weight: 6, arbitrary: fc.constant({}) },
	fc.constant({ alone: true }),
	fc.record({ facing: fc.integer({ min: 0, max: 11 }).map((index) => `w${index}`) }),
	fc.record({
		pin: fc.record(
			{
				page: fc.integer({ min: 1, max: 50 }),
				x: fc.integer({ min: 0, max: 30 }),
				y: fc.integer({ min: 0, max: 40 }),
				alone: fc.boolean()
			},
			{ requiredKeys: ['page'] }
		)
	}),
	fc.record({
		kind: fc.constant('weekly-pages'),
		weeks: fc.record({
			belong: fc.constantFrom('touching' as const, 'first-day' as const, 'middle-day' as const),
			short: fc.constantFrom('own' as const, 'fold' as const, 'skip' as const),
			pagesPerWeek: fc.constantFrom(1 as const, 2 as const, 4 as const),
			forms: fc.constant([{ week: 2, form: 'week-columns' }])
		})
	})
);

/** What most people put on a page of their own. */
const usualMember: fc.Arbitrary<Omit<Wish, 'id'>> = fc.record(
	{
		kind: fc.constantFrom('tasks', 'notes', 'habits', 'mood', 'steps', 'sleep', 'goals', 'quote'),
		title: fc.constantFrom('Watches', 'To bake'),
		importance: fc.constantFrom('must' as const, 'want' as const, 'spare' as const)
	},
	{ requiredKeys: ['kind'] }
);

/** Members of a wish. */
const anyMembers: fc.Arbitrary<Omit<Wish, 'id'>[]> = fc.array(
	fc
		.tuple(
			fc.oneof({ weight: 2, arbitrary: usualMember }, anyWishBody),
			fc.record(
				{
					room: fc.constantFrom('left', 'right', 'both', 'below', 'page', 'picture'),
					spot: fc.record({
						x: fc.integer({ min: 0, max: 20 }),
						y: fc.integer({ min: 0, max: 30 })
					})
				},
				{ requiredKeys: [] }
			)
		)
		.map(([{ span: _span, side: _side, filler: _filler, ...body }, place]) => ({
			...body,
			...place
		})),
	{ minLength: 1, maxLength: 4 }
);

/** A wish that has rooms, and members for them. */
const anyHost = fc.record({
	host: fc.record(
		{
			kind: fc.constantFrom('composed', 'composed', 'month-calendar', 'cover'),
			span: fc.constantFrom('page' as const, 'spread' as const)
		},
		{ requiredKeys: ['kind'] }
	),
	members: anyMembers
});

export const anyWishes: fc.Arbitrary<Wish[]> = fc
	.array(fc.tuple(anyWishBody, anyPlaceWish, fc.option(anyHost, { freq: 4, nil: undefined })), {
		maxLength: 12
	})
	.map((bodies) =>
		bodies.map(([body, place, hosting], index) => {
			const wish: Wish = { ...body, ...place, id: `w${index}` };
			// Most have no members, and weekly pages none of these.
			if (!hosting || index % 2 === 0 || wish.weeks) return wish;
			const members = hosting.members.map((own, at) => ({ ...own, id: `w${index}m${at}` }));
			return { ...place, ...hosting.host, id: `w${index}`, members };
		})
	);

export const anyHand: fc.Arbitrary<Hand> = fc.record(
	{
		lettersPerSquare: fc.constantFrom(1, 1.5, 2, 3),
		figuresPerSquare: fc.constantFrom(1, 2),
		letteringPerSquare: fc.constantFrom(0.5, 1),
		lineHeight: fc.constantFrom(1, 2),
		writes: fc.constantFrom('left' as const, 'right' as const)
	},
	{
		requiredKeys: ['lettersPerSquare', 'figuresPerSquare', 'letteringPerSquare', 'lineHeight']
	}
);

export const anyLocale = fc.constantFrom('en', 'de', 'pl', 'ja', 'ar');

export const anyPlan: fc.Arbitrary<Plan> = fc.record({
	notebook: anyNotebook,
	month: anyMonth,
	weekStart: anyWeekStart,
	hand: anyHand,
	locale: anyLocale,
	aim: fc.constantFrom('fewest-pages' as const, 'balanced' as const, 'roomiest' as const),
	wishes: anyWishes
});

/** The A5 notebook of 28 × 40 squares of 5 mm, pages 12 to 61 free. */
export const a5: Notebook = {
	name: 'A5 notebook',
	pageMm: { width: 148, height: 210 },
	pitchMm: 5,
	columns: 28,
	rows: 40,
	gutter: 2,
	freePages: [{ first: 12, last: 61 }]
};

/** The smaller notebook of 24 × 34 squares. */
export const small: Notebook = {
	...a5,
	name: 'Small notebook',
	pageMm: { width: 128, height: 182 },
	columns: 24,
	rows: 34
};

/** A plan for May 2027 in the A5 notebook, with parts of it replaced. */
export function planWith(wishes: readonly Wish[], parts: Partial<Plan> = {}): Plan {
	return {
		notebook: a5,
		month: { year: 2027, month: 5 },
		weekStart: 'monday',
		hand: defaultHand,
		locale: 'en',
		aim: 'balanced',
		wishes,
		...parts
	};
}

/** The same as a document for the API. */
export function documentWith(wishes: readonly unknown[], parts: Record<string, unknown> = {}) {
	return {
		format: 'horarium/plan',
		version: planVersion,
		notebook: { ...a5, freePages: { first: 12, last: 61 } },
		month: formatMonth({ year: 2027, month: 5 }),
		weekStart: 'monday',
		aim: 'balanced',
		wishes,
		...parts
	};
}

/** The month that ships with the program, as a plan. */
export function demoPlan(): Plan {
	const document = checked(planSchema, demoMonth);
	if (!document.ok) throw new Error('the demo month has faults');
	return toPlan(document.value);
}
