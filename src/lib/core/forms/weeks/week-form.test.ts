import { describe, expect, test } from 'vitest';
import { firstOf } from '../../../../../tests/support/first-of';
import { settingWith, type Told } from '../../../../../tests/support/told';
import type { Mark } from '../../draw';
import { monthShape } from '../../month';
import { formById, type Layout, type Room, type WeekPart } from '..';

// How weekly pages are composed is common practice, without a published source.

const page = (w = 28, h = 40): Room => ({ span: 'page', w, h });
const spread = (left = 28, right = 28, h = 40): Room => ({
	span: 'spread',
	left: { w: left, h },
	right: { w: right, h },
	gutter: 2
});
const may2027 = monthShape({ year: 2027, month: 5 }, 'monday');

function layoutsOf(id: string, told: Told, room: Room, part?: Partial<WeekPart>) {
	const setting = settingWith({ week: 3, ...told }, { month: may2027, locale: 'en' });
	const week = { week: 3, page: 1, folded: [], ...part };
	return formById(id)?.layouts(part ? { ...setting, part: week } : setting, room) ?? [];
}
const drawn = (...[id, told, room, part]: Parameters<typeof layoutsOf>): Layout =>
	firstOf(layoutsOf(id, told, room, part));
const textsOn = (layout: Layout, on: number) =>
	(layout.marks()[on] ?? []).flatMap((mark) => (mark.kind === 'text' ? [mark] : []));
const wordsOf = (layout: Layout) =>
	layout
		.marks()
		.map((marks: readonly Mark[]) =>
			marks.flatMap((mark) => (mark.kind === 'text' && mark.style === 'hand' ? [mark.text] : []))
		);
const roomOf = ({ rooms = [] }: Layout, name: string) => rooms.find((room) => room.name === name);

describe('heads', () => {
	test('in the first of eight places: the word, the number and the dates, a room for a small calendar', () => {
		const layout = drawn('week-boxes', { head: 'place', gap: 2 }, spread());
		// Gaps of 2 leave places of 13 × 19.
		expect(layout.facts.cell).toEqual({ w: 13, h: 19 });
		const [left] = wordsOf(layout);
		expect(left).toEqual(['19 · May 10 – 16', 'Monday 10', 'Tuesday 11', 'Wednesday 12']);
		const letters = textsOn(layout, 0).filter(({ style }) => style === 'lettering');
		expect(letters.map(({ text }) => text).join('')).toBe('Week');
		// Nothing frames the head, so the page has three boxes.
		const head = roomOf(layout, 'head');
		expect(head).toEqual({ name: 'head', on: 0, x: 0, y: 6, w: 13, h: 13 });
		expect(roomOf(layout, 'spare')).toBeUndefined();
	});

	test('across the top: the title over the left page, a room over the right one', () => {
		const layout = drawn('week-boxes', { head: 'top' }, spread());
		expect(layout.facts).toMatchObject({ title: 4, cell: { w: 13, h: 17 } });
		const letters = textsOn(layout, 0).filter(({ style }) => style === 'lettering');
		expect(letters.map(({ text }) => text).join('')).toBe('Week19');
		expect(roomOf(layout, 'head')).toEqual({ name: 'head', on: 1, x: 0, y: 0, w: 28, h: 3 });
		expect(drawn('week-boxes', { title: 'At sea' }, spread()).facts.title).toBe(4);
		expect(drawn('week-boxes', { title: 'At sea', head: 'none' }, spread()).facts.title).toBe(0);
	});
});

describe('places', () => {
	test('any of the eight is the spare one, and others may live in it', () => {
		const layout = drawn('week-boxes', { spare: 1 }, spread());
		expect(wordsOf(layout)[0]?.slice(0, 2)).toEqual(['Week 19', 'Monday 10']);
		expect(roomOf(layout, 'spare')).toEqual({ name: 'spare', on: 0, x: 0, y: 1, w: 13, h: 18 });
	});

	test('the spare row over a spread has a room on one side of the fold, as for a quote', () => {
		const layout = drawn('week-rows', {}, spread(28, 23));
		expect(roomOf(layout, 'spare')).toEqual({ name: 'spare', on: 0, x: 0, y: 36, w: 28, h: 4 });
	});

	test('rows below the days and columns at the outer sides are rooms, a square from the days', () => {
		const layout = drawn('week-boxes', { foot: 10, frame: 6 }, spread());
		expect(layout.facts.cell).toEqual({ w: 10, h: 14 });
		const sizes = (layout.rooms ?? []).map(({ name, on, x, y, w, h }) => [name, on, x, y, w, h]);
		expect(sizes).toContainEqual(['foot-left', 0, 0, 31, 28, 9]);
		expect(sizes).toContainEqual(['foot-right', 1, 0, 31, 28, 9]);
		expect(sizes).toContainEqual(['left', 0, 0, 0, 5, 30]);
		expect(sizes).toContainEqual(['right', 1, 23, 0, 5, 30]);
		const six = drawn('week-boxes', { foot: 10 }, page());
		expect(roomOf(six, 'foot')).toMatchObject({ y: 31, w: 28, h: 9 });
	});

	test('boxes are as wide as each page allows', () => {
		const layout = drawn('week-boxes', {}, spread(28, 20));
		const widths = layout
			.marks()
			.map((marks) =>
				Math.max(...marks.flatMap((mark) => (mark.kind === 'line' ? [mark.x2 - mark.x1] : [])))
			);
		expect(widths).toEqual([13, 9]);
	});

	test('staggered: 9 × 13, gaps of 2, one box of each row over the fold, 7 drawn, margins outside', () => {
		const layout = drawn('week-staggered', {}, spread());
		const [left, right] = wordsOf(layout);
		expect(left).toEqual(['Monday 10', 'Tuesday 11', 'Wed 12', 'Friday 14', 'Sat 15']);
		expect(right).toEqual(['Thursday 13', 'Sunday 16', 'Week 19']);
		const tops = textsOn(layout, 0).map(({ x }) => x);
		expect(tops).toEqual([2, 13, 24, 13, 24]);
		expect(textsOn(layout, 1).map(({ x }) => x)).toEqual([5, 5, 16]);
		expect(layout.why[1]).toBe('one of each row over the fold: 9 wide, 4 + 3 = 7 drawn');
		// Under the upper row down to the foot, and beside it down to the lower one: 3 + 13 + 4 + 13 of 40.
		expect(roomOf(layout, 'left')).toMatchObject({ w: 12, y: 17, h: 23 });
		expect(roomOf(layout, 'right')).toMatchObject({ on: 1, x: 15, w: 13, y: 3, h: 16 });
	});

	test('staggered under a head, seven without the eighth: 12 × 21 lower left, 13 × 35 at the right', () => {
		const told = { head: 'top', eighth: 'free' };
		const layout = drawn('week-staggered', told, spread());
		const [left, right] = wordsOf(layout);
		expect([...(left ?? []), ...(right ?? [])]).not.toContain('Week 19');
		expect(roomOf(layout, 'left')).toMatchObject({ on: 0, x: 0, y: 19, w: 12, h: 21 });
		expect(roomOf(layout, 'right')).toMatchObject({ on: 1, x: 15, y: 5, w: 13, h: 35 });
		expect(layout.why[1]).toContain('rows of four and three boxes of 9 × 13');
	});

	test('staggered the other way: the upper row further right, Tuesday and Sunday over the fold', () => {
		const layout = drawn('week-staggered', { upperRow: 'right' }, spread());
		expect(textsOn(layout, 0).map(({ x }) => x)).toEqual([13, 24, 2, 13, 24]);
		expect(wordsOf(layout)[0]).toEqual([
			'Monday 10',
			'Tue 11',
			'Friday 14',
			'Saturday 15',
			'Sun 16'
		]);
		expect(roomOf(layout, 'left')).toMatchObject({ x: 0, y: 3, w: 12, h: 16 });
		expect(roomOf(layout, 'right')).toMatchObject({ x: 15, y: 17, w: 13, h: 23 });
	});

	test.each([
		[28, 28, 8],
		[23, 28, 7],
		[28, 23, 7],
		[23, 23, 6]
	])('columns over the fold of %i + %i are %i wide', (left, right, wide) => {
		const layout = drawn('week-columns', { shape: 'over-fold' }, spread(left, right));
		expect(layout.facts.cell?.w).toBe(wide);
	});

	test('rows of 5 on 40, on one page and across both', () => {
		expect(drawn('week-rows', {}, page()).facts.cell).toEqual({ w: 28, h: 5 });
		const both = drawn('week-rows', {}, spread());
		expect(both.facts.cell).toEqual({ w: 56, h: 5 });
		expect(wordsOf(both)[1]).toEqual([]);
		// Open at the fold: a row has no line there on either page.
		const upright = both
			.marks()
			.map((marks) =>
				marks.flatMap((mark) => (mark.kind === 'line' && mark.x1 === mark.x2 ? [mark.x1] : []))
			);
		expect(upright.map((xs) => [...new Set(xs)])).toEqual([[0], [28]]);
	});
});

describe('days', () => {
	test('have parts of the heights asked for, under their names', () => {
		const columns = [
			{ name: 'Watch', width: 4 },
			{ name: 'Tasks', width: 9 },
			{ name: 'Evening', width: 3 }
		];
		const layout = drawn('week-boxes', { columns }, spread());
		const rows = textsOn(layout, 0)
			.filter(({ text, x }) => x === 0 && !text.includes(' '))
			.map(({ text, y }) => [text, y]);
		expect(rows.slice(0, 3)).toEqual([
			['Watch', 1],
			['Tasks', 5],
			['Evening', 14]
		]);
		// 1 + 16 fit into 19 rows, 1 + 19 do not.
		const high = [...columns.slice(0, 2), { name: 'Evening', width: 6 }];
		expect(layoutsOf('week-boxes', { columns: high }, spread())).toEqual([]);
	});

	test('have parts without heights that share the rest evenly', () => {
		const startsOf = (columns: { name: string; width?: number }[], form = 'week-columns') => {
			const layout = drawn(form, { columns }, spread());
			const [first] = columns;
			const own = textsOn(layout, 0);
			const x = own.find(({ text }) => text === first?.name)?.x;
			return own
				.filter((one) => one.x === x && columns.some(({ name }) => name === one.text))
				.map(({ y }) => y);
		};
		const [upper = 0, lower = 0] = startsOf([{ name: 'Day' }, { name: 'Night' }]);
		// 38 or 39 rows below the heads: half each.
		expect(lower - upper).toBeGreaterThanOrEqual(18);
		expect(40 - lower).toBeLessThanOrEqual(lower - upper + 1);
		const [one = 0, two = 0, three = 0] = startsOf([
			{ name: 'Watch', width: 5 },
			{ name: 'Day' },
			{ name: 'Night' }
		]);
		expect(two - one).toBe(5);
		expect(40 - three - (three - two)).toBeLessThanOrEqual(1);
	});

	test('that share a place are parted as their frame is ruled', () => {
		const partsOf = (frames: string) => {
			const layout = drawn('week-boxes', { frames }, page(26, 41));
			// Saturday and Sunday are the last two of six places.
			const sunday = textsOn(layout, 0).find(({ text }) => text.startsWith('Sunday'));
			return (layout.marks()[0] ?? []).filter(
				(mark) => mark.kind === 'line' && mark.y1 === sunday?.y && mark.y2 === sunday.y
			).length;
		};
		expect([partsOf('lines'), partsOf('dashes'), partsOf('none')]).toEqual([1, 6, 0]);
	});

	test('are framed by lines, corners, dashes or nothing', () => {
		const lengthOf = (frames: string) =>
			drawn('week-boxes', { frames }, spread())
				.marks()
				.flat()
				.reduce(
					(sum, mark) => (mark.kind === 'line' ? sum + mark.x2 - mark.x1 + mark.y2 - mark.y1 : sum),
					0
				);
		// Eight boxes of 13 × 19.
		expect(lengthOf('lines')).toBe(8 * 2 * (13 + 19));
		expect(lengthOf('corners')).toBe(8 * 8);
		expect(lengthOf('dashes')).toBe(8 * 2 * (7 + 10));
		expect(lengthOf('none')).toBe(0);
	});

	test('begin with their date in a square where that is asked for', () => {
		const layout = drawn('week-boxes', { dayHead: 'square' }, spread());
		const figures = textsOn(layout, 0).filter(({ style }) => style === 'figure');
		expect(figures.map(({ text, w, h }) => [text, w, h])).toEqual(
			['10', '11', '12', '13'].map((date) => [date, 2, 2])
		);
		expect(wordsOf(layout)[0]).toEqual(['Monday', 'Tuesday', 'Wednesday', 'Thursday']);
	});
});

describe('short weeks', () => {
	const may2020 = monthShape({ year: 2020, month: 5 }, 'sunday');
	const short = (week: number, month = may2020) => {
		const setting = settingWith({}, { month, locale: 'en' });
		const part = { week, page: 1, folded: [], short: true };
		return firstOf(formById('week-short')?.layouts({ ...setting, part }, page()));
	};

	test('one day takes 28 × 40, two 28 × 19 each, three 28 × 12', () => {
		expect(short(1).facts.cell).toEqual({ w: 28, h: 19 });
		expect(wordsOf(short(1))).toEqual([['Friday 1', 'Saturday 2']]);
		expect(short(6).facts.cell).toEqual({ w: 28, h: 40 });
		expect(wordsOf(short(6))).toEqual([['Sunday 31']]);
		const june2021 = monthShape({ year: 2021, month: 6 }, 'monday');
		expect(short(5, june2021).facts.cell).toEqual({ w: 28, h: 12 });
	});

	test('take the whole page, so nothing joins them', () => {
		expect(short(1).room).toEqual(page());
	});
});

test.each([
	['week-boxes', {}, spread(), 1, 'Week 19 + 1, 2'],
	['week-boxes', { head: 'place' }, spread(), 0, '19 · May 10 – 16 + 1, 2'],
	['week-boxes', {}, page(), 0, 'Monday 10 + 1, 2'],
	['week-columns', { shape: 'over-fold' }, spread(), 0, '10 + 1, 2']
] as const)('%s %o writes down the days that are folded into it', (id, told, room, on, words) => {
	expect(wordsOf(drawn(id, told, room, { folded: [1, 2] }))[on]).toContainEqual(
		expect.stringContaining(words)
	);
});
