import { describe, expect, test } from 'vitest';
import { firstOf } from '../../../../tests/support/first-of';
import {
	answer,
	april,
	best,
	lacking,
	may,
	page,
	settingOf,
	spread,
	formOf,
	textsOf
} from '../../../../tests/support/ruled';
import type { Told } from '../../../../tests/support/told';
import type { Mark } from '../draw';

// What a person can say of a page, and what is drawn then. All values are common practice.

const marksOf = (id: string, wish: Told, room = page(28, 40)): readonly Mark[] =>
	firstOf(answer(id, wish, room))
		.marks()
		.flat();

const written = (marks: readonly Mark[], words: string) =>
	marks.flatMap((mark) => (mark.kind === 'text' && mark.text === words ? [mark] : []));

test('values whose one column is called as their title have that name written once', () => {
	const steps = [{ name: 'Steps', width: 5 }];
	const one = (wish: Told, room = page(28, 40)) =>
		written(marksOf('day-columns', wish, room), 'Steps').length;
	const titled = { title: 'Steps', titleStyle: 'written' };
	expect(one({ ...titled, columns: steps })).toBe(1);
	// In two halves the title stands over both.
	expect(one({ ...titled, columns: steps }, page(18, 21))).toBe(1);
	expect(one({ columns: steps })).toBe(1);
	// Among others each value needs its name.
	expect(one({ ...titled, columns: [...steps, { name: 'Hours', width: 3 }] })).toBe(2);
});

test('a line a day grows to three squares where a place has the rows', () => {
	const heightOn = (room: ReturnType<typeof page> | ReturnType<typeof spread>) =>
		firstOf(answer('day-lines', { title: 'Gratitude' }, room)).facts.lineHeight;
	expect(heightOn(spread(40, 40, 57))).toBe(3);
	expect(heightOn(spread(28, 28, 40))).toBe(2);
	expect(heightOn(page(28, 40))).toBe(1);
});

describe('headers and dates', () => {
	test('April in 34 rows needs exactly 34 without a header', () => {
		const wish = { title: 'A line a day', header: 0 };
		// title 4 + 30 days.
		expect(best('day-lines', wish, page(28, 34), april).size?.h).toBe(34);
		expect(best('month-list', wish, page(28, 34), april).size?.h).toBe(34);
		expect(answer('day-lines', { ...wish, header: 1 }, page(28, 34), april)).toEqual([]);
	});

	test('a header that is not asked for gives way before the days do', () => {
		expect(best('day-lines', {}, page(28, 31), may)).toMatchObject({ header: 0, rows: 31 });
		expect(best('day-lines', {}, page(28, 32), may)).toMatchObject({ header: 1, rows: 31 });
		expect(best('day-lines', {}, page(28, 40), may)).toMatchObject({ header: 2, rows: 31 });
	});

	test.each([
		['top-left', 0, 0],
		['top-right', 3, 0],
		['bottom-left', 0, 4],
		['bottom-right', 3, 4],
		['bottom-middle', 1, 4],
		['middle', 1, 2]
	])('dates %s stand in square (%i, %i) of a cell of 4 × 5', (dates, x, y) => {
		// 3 May 2027 is a Monday, first cell of the second week: 1 + 5 rows down.
		const marks = marksOf('month-grid', { dates, cell: { w: 4, h: 5 } });
		expect(written(marks, '3')[0]).toMatchObject({ x, y: 6 + y, style: 'figure' });
	});

	test('events wrap while rows are free, keep their times, and are shortened last', () => {
		const lines = (cell: { w: number; h: number }, ...events: { text: string; time?: string }[]) =>
			marksOf('month-grid', { cell, events: events.map((event) => ({ day: 3, ...event })) })
				.flatMap((mark) => (mark.kind === 'text' && mark.style === 'hand' ? [mark] : []))
				.filter(({ h, text }) => h === 1 && !/^(Mo|Tu|We|Th|Fr|Sa|Su)/.test(text))
				.map(({ text }) => text);
		const concert = { time: '19:30', text: 'Concert at sea' };
		// Cells of 4 squares hold 8 letters of the usual hand; below the date 5 rows are free.
		expect(lines({ w: 4, h: 6 }, concert)).toEqual(['19:30', 'Concert', 'at sea']);
		// Two rows for two events: the first words go, the time stays.
		expect(lines({ w: 4, h: 3 }, concert, { text: 'Oil' })).toEqual(['19:30 C.', 'Oil']);
		expect(lines({ w: 4, h: 4 }, concert, { text: 'Oil' })).toEqual(['19:30', 'Concert.', 'Oil']);
		expect(lines({ w: 4, h: 6 }, { text: 'Rye and salt' }, { text: 'Oil' })).toEqual([
			'Rye and',
			'salt',
			'Oil'
		]);
	});

	test('events stand in the rows that the date leaves', () => {
		const wish = { cell: { w: 4, h: 3 }, events: [{ day: 3, text: 'Oil' }] };
		const rowOf = (dates: string) =>
			written(marksOf('month-grid', { ...wish, dates }), 'Oil')[0]?.y;
		expect([rowOf('top-left'), rowOf('bottom-right'), rowOf('none')]).toEqual([5, 4, 4]);
		expect(written(marksOf('month-grid', { dates: 'none' }), '3')).toEqual([]);
	});

	test('weekdays are named as asked, and where they are not named their row is free', () => {
		const names = (weekdays: string) => textsOf('month-grid', { weekdays }, page(56, 60))[0]?.[0];
		expect([names('narrow'), names('short'), names('long')]).toEqual(['M', 'Mon', 'Monday']);
		expect(
			best('month-grid', { weekdays: 'none', cell: { w: 4, h: 4 } }, page(28, 24)).size
		).toEqual({ w: 28, h: 24 });
	});
});

describe('habits', () => {
	const items = [
		{ name: 'Water', group: 'body' },
		{ name: 'Oven', group: 'house', rhythm: 'weekly' as const }
	];

	test('groups stand under their names, and a weekly habit has a box a week', () => {
		// May 2027 from Monday has six weeks, and with them six boxes.
		const marks = marksOf('matrix-days-across', { items }, spread(28, 28));
		expect(written(marks, 'body')).toHaveLength(1);
		expect(written(marks, 'house')).toHaveLength(1);
		const layout = firstOf(answer('matrix-days-across', { items }, page(40, 40)));
		const row = 1 + 4 - 1;
		const uprights = layout
			.marks()
			.flat()
			.filter((mark) => mark.kind === 'line' && mark.x1 === mark.x2 && mark.y1 === row);
		expect(layout.room).toMatchObject({ h: 1 + 4 });
		expect(uprights).toHaveLength(7);
	});

	test('a set of mini calendars begins a row for each group', () => {
		const found = best('mini-calendar-set', { items }, page(28, 40));
		expect(found).toMatchObject({ across: 1, down: 2 });
		const texts = textsOf('mini-calendar-set', { items }, page(28, 40))[0] ?? [];
		expect(texts).toContain('body');
		expect(texts.filter((words) => words === '30')).toHaveLength(1);
		expect(texts).toContain('3–9');
	});

	test('names stand where they are asked for', () => {
		const own = { items: [{ name: 'Water' }], cell: 1 };
		const at = (names: string) => {
			const [mark] = written(marksOf('mini-calendar-set', { ...own, names }), 'Water');
			return mark && [mark.x, mark.y, mark.turned ?? false];
		};
		// Seven squares wide, weekdays and six weeks high.
		expect(at('above')).toEqual([0, 0, false]);
		expect(at('below')).toEqual([0, 7, false]);
		expect(at('left')).toEqual([0, 0, true]);
		expect(at('right')).toEqual([7, 0, true]);
	});

	test('“3 to 4 a week” has four boxes a week, no more than the week has days', () => {
		const walk = { name: 'Walk', rhythm: 'times-a-week' as const, goal: 3, upTo: 4 };
		const layout = firstOf(
			answer('rhythm-boxes', { items: [walk], showGoals: true }, page(40, 40))
		);
		expect(layout.why.join(' ')).toContain('2 + 4 + 4 + 4 + 4 + 1 boxes');
		expect(written(layout.marks().flat(), 'Walk 3–4×')).toHaveLength(1);
	});

	test('a line a habit goes round a picture, the inner one in its own days and name', () => {
		const wish = { items: [{ name: 'Water' }, { name: 'Oven' }], lines: 'each' };
		const marks = marksOf('ring', wish);
		expect(written(marks, '31')).toHaveLength(2);
		expect(written(marks, 'Water')[0]).toMatchObject({ x: 0, y: 0 });
		// One ring tells of one thing a day, so several have a line each unless one is asked for.
		expect(written(marksOf('ring', { ...wish, lines: undefined }), '31')).toHaveLength(2);
		expect(written(marksOf('ring', { ...wish, lines: 'one' }), '31')).toHaveLength(1);
		expect(written(marksOf('ring', { items: [{ name: 'Water' }] }), '31')).toHaveLength(1);
	});
});

describe('keys', () => {
	test('any form of days has a key of 2 to 6 below it', () => {
		const levels = ['calm', 'busy', 'foul'];
		for (const id of ['day-lines', 'month-list', 'mini-calendar', 'strips', 'month-grid']) {
			const plain = best(id, {}, page(28, 50)).size?.h ?? 0;
			const keyed = best(id, { key: 'below', levels }, page(28, 50)).size?.h ?? 0;
			expect(keyed, id).toBe(plain + 1 + 2);
			expect(textsOf(id, { key: 'below', levels }, page(28, 50)).flat(), id).toContain('foul');
		}
	});

	test('study days of 2 × 2 with a key of three', () => {
		const wish = { cell: 2, key: 'below', levels: ['read', 'wrote', 'sat'] };
		expect(best('mini-calendar', wish, page(28, 40)).size).toEqual({ w: 16, h: 14 + 1 + 5 });
	});
});

describe('lists of the month', () => {
	test('one to four topics stand on either side of the dates', () => {
		const names = ['sky', 'sea', 'wind', 'bread'];
		for (let count = 1; count <= 4; count++) {
			const parts = names.slice(0, count);
			const marks = marksOf('month-list', { parts });
			expect(parts.map((name) => written(marks, name).length)).toEqual(parts.map(() => 1));
		}
		expect(lacking('month-list', { parts: names }, page(17, 40))).toEqual({ w: 1, h: 0 });
	});

	test('over a spread the dates stand beside the fold and the title is halved', () => {
		const wish = { title: 'Sky and sea', titleStyle: 'written', parts: ['sky', 'sea'] };
		const [left = [], right = []] = firstOf(answer('month-list', wish, spread(28, 28))).marks();
		expect(written(left, '31')[0]).toMatchObject({ x: 26 });
		expect(written(right, '31')).toEqual([]);
		expect([written(left, 'Sky and').length, written(right, 'sea').length]).toEqual([1, 2]);
	});
});

test('on low pages a month list has half of the days on each', () => {
	const found = best('month-list', { parts: ['sky', 'sea'] }, spread(40, 40, 28));
	// Header 2 + 16 days.
	expect(found).toMatchObject({ split: [16, 15], room: { left: { h: 18 } } });
});

test('large pages have larger cells', () => {
	// A5, B5 and A4 with 28, 34 and 40 squares across.
	const widths = [28, 34, 40].map((w) => best('month-grid', {}, spread(w, w, 57)).cell?.w);
	expect(widths).toEqual([6, 7, 8]);
});

test('mini calendars stand in rows of one length where they can', () => {
	const across = (count: number, w: number) => {
		const items = Array.from({ length: count }, (_, item) => ({ name: `Habit ${item}` }));
		return best('mini-calendar-set', { items }, page(w, 28)).across;
	};
	// Five fit side by side on A4, three on A5.
	expect([5, 6, 7, 8, 9, 10].map((count) => across(count, 40))).toEqual([5, 3, 4, 4, 5, 5]);
	expect([3, 4, 5, 6].map((count) => across(count, 28))).toEqual([3, 2, 3, 3]);
});

describe('values', () => {
	test('a line of steps from 0 to 12,000 by 1,000 has twelve steps', () => {
		const steps = { first: 0, last: 12_000, step: 1000 };
		// Down: dates 2 + 12 × 2; header 1 + 31 days.
		expect(best('day-curve', steps, page(28, 40)).size).toEqual({ w: 26, h: 32 });
		// Across in two halves: values 3 + 16 days, 2 × (12 + 1) + 1.
		expect(best('day-curve', { ...steps, days: 'across' }, page(28, 40))).toMatchObject({
			abreast: 2,
			size: { w: 19, h: 27 }
		});
		expect(best('day-curve', steps, spread(28, 28))).toMatchObject({ split: [16, 15] });
	});

	test('sleep, steps and weight stand beside the days on one page of 30 rows', () => {
		const columns = ['Sleep', 'Steps', 'Weight'].map((name) => ({ name, width: 5 }));
		// Header 2 + 30 days; dates 2 + 3 × 5.
		expect(best('day-columns', { columns }, page(28, 40), april).size).toEqual({ w: 17, h: 32 });
	});
});

describe('goals in time', () => {
	const goals = [
		{ name: 'Reel', from: 1, to: 20, slack: 4 },
		{ name: 'Oven', from: 10, to: 31 }
	];

	test('stand on one page in two halves of the month, or run down', () => {
		// Names 2 + 16 days; 2 × (1 + 2 goals + load 1) + 1.
		expect(best('timeline', { goals }, page(28, 40))).toMatchObject({
			abreast: 2,
			load: 2,
			size: { w: 18, h: 9 }
		});
		// Dates 2 + 2 goals + load 1; names 2 + 31 days.
		expect(best('timeline', { goals }, page(17, 40)).size).toEqual({ w: 5, h: 33 });
		expect(best('timeline', { goals, days: 'down' }, page(28, 40)).size).toEqual({ w: 5, h: 33 });
	});

	test('keep their bars and loads when they run down', () => {
		const marks = marksOf('timeline', { goals, days: 'down' });
		const bars = marks.flatMap((mark) =>
			mark.kind === 'tint' ? [[mark.tone, mark.x, mark.y, mark.w, mark.h]] : []
		);
		expect(bars).toEqual([
			['bar', 2, 2, 1, 20],
			['slack', 2, 22, 1, 4],
			['bar', 3, 11, 1, 22]
		]);
	});
});

describe('rows by columns', () => {
	test('meals of a week stand over a spread', () => {
		const wish = { across: 'weekdays', down: 'items' };
		const found = best('grid-table', wish, spread(28, 28));
		expect(found).toMatchObject({ rows: 3, across: 7 });
		expect(textsOf('grid-table', wish, spread(28, 28)).flat()).toContain('Evening');
	});

	test('names are never cut: they are written whole, or upwards', () => {
		const items = [{ name: 'Clean the kitchen windows' }];
		const chores = { items, across: 'months' };
		expect(best('grid-table', chores, page(28, 40))).toMatchObject({ label: 13 });
		const parts = ['Morning watch', 'Evening'];
		const [mark] = written(marksOf('grid-table', { parts, cell: { w: 2, h: 2 } }), 'Morning watch');
		expect(mark).toMatchObject({ turned: true, w: 1, h: 7 });
	});

	test('followers are counted a week at a time', () => {
		const found = textsOf('grid-table', { down: 'weeks', parts: ['Count'] }, page(28, 40)).flat();
		expect(found).toEqual(expect.arrayContaining(['1–2', '3–9', '31', 'Count']));
	});
});

test('a table says when its rows will hardly last the month', () => {
	const setting = {
		...settingOf({ entries: 15, tables: 1 }),
		expected: { lines: 31, why: 'are one a day' }
	};
	const layout = firstOf(formOf('table').layouts(setting, page(28, 40)));
	expect(layout.why).toContain('15 lines will hardly last the month: 31 are one a day');
});

test('a week can be one that has no dates', () => {
	const texts = textsOf('week-columns', { undated: true }, spread(28, 28)).flat();
	expect(texts.join(' ')).not.toMatch(/\d/);
	expect(texts).toContain('Monday');
});

test('year boxes are named by the month', () => {
	expect(best('boxes', { named: 'months' }, page(28, 40))).toMatchObject({ capacity: 12 });
	expect(textsOf('boxes', { named: 'months' }, page(28, 40)).flat()).toContain('December');
});

test('a scale says its unit', () => {
	const weight = { first: 55, last: 65, step: 1, unit: 'kg' };
	for (const id of ['day-bars', 'day-curve'])
		expect(textsOf(id, weight, page(28, 40)).flat(), id).toContain('kg');
	expect(textsOf('day-curve', weight, spread(28, 28)).flat()).toContain('kg');
});

test('any day of the week may be the one of rest', () => {
	const tints = (restDays: string) =>
		marksOf('month-grid', { restDays }).filter((mark) => mark.kind === 'tint').length;
	// May 2027 begins on a Saturday and ends on a Monday.
	expect([tints('monday'), tints('tuesday'), tints('saturday')]).toEqual([5, 4, 5]);
});

test('goals have room for a date where it is asked for', () => {
	const wish = { lines: 3, marks: 'number' };
	const ends = (dated: boolean) =>
		marksOf('lists', { ...wish, dated }).filter(
			(mark) => mark.kind === 'line' && mark.x1 === 25 && mark.x2 === 28
		).length;
	expect([ends(false), ends(true)]).toEqual([0, 3]);
});

test('names stand on a key below', () => {
	const wish = { items: [{ name: 'Lights out by nine' }, { name: 'Walk' }], names: 'key' };
	const texts = textsOf('mini-calendar-set', wish, page(28, 40)).flat();
	expect(texts.join(' ')).toContain('1 Lights out by nine, 2 Walk');
});
