import { describe, expect, test } from 'vitest';
import { planWith } from '../../../../../tests/support/arbitraries';
import { subjectKey, type Holds, type Subject } from '../../draw';
import { planRun } from '../../fit';
import { monthShape } from '../../month';
import type { Wish } from '../../wish';
import {
	entryKey,
	readRow,
	readSheet,
	rowText,
	sheetOf,
	sheetText,
	signRows,
	tallyOf,
	together,
	trackersOf,
	withChanges,
	yearTally,
	type Change,
	type Entry,
	type Tally,
	type Tracker
} from '..';

const may = monthShape({ year: 2027, month: 5 }, 'monday');
const entry = (wish: string, about: Subject, holds: Holds, value: string): Entry => ({
	wish,
	about: subjectKey(about),
	holds,
	value
});
const known = (entries: readonly Entry[]) => new Map(entries.map((one) => [entryKey(one), one]));

const habits: Wish = {
	id: 'h',
	kind: 'habits',
	items: [{ name: 'Walk' }, { name: 'Scales', rhythm: 'times-a-week', goal: 3 }]
};
const spending: Wish = {
	id: 's',
	kind: 'spending',
	columns: [
		{ name: 'Day', width: 2, holds: 'date' },
		{ name: 'Item', width: 6 },
		{ name: 'Cost ¤', width: 4 },
		{ name: 'For', width: 4 }
	],
	rules: { table: { entries: 3, tables: 1 } }
};

/** What is filled in of a month of one wish. */
function tracker(wish: Wish): Tracker {
	const plan = planWith([wish]);
	const [found] = trackersOf(plan, planRun(plan));
	if (!found) throw new Error(`${wish.kind} has nothing to fill in`);
	return found;
}

function tally<Of extends Tally['of']>(
	wish: Wish,
	entries: readonly Entry[],
	of: Of,
	until = 31
): Extract<Tally, { of: Of }> {
	const { hand } = planWith([]);
	const found = tallyOf(tracker(wish), entries, { month: may, hand, until });
	const isIt = (one: Tally | undefined): one is Extract<Tally, { of: Of }> => one?.of === of;
	if (!isIt(found)) throw new Error(`it is ${found?.of}`);
	return found;
}

describe('tallies', () => {
	test('marks by habit; what is kept of one that is gone is still told', () => {
		const entries = [
			...[1, 2, 3].map((day) => entry('h', { item: 'Walk', day }, 'mark', 'x')),
			entry('h', { item: 'Walk', day: 4 }, 'mark', '-'),
			entry('h', { item: 'Reels', day: 9 }, 'mark', 'x'),
			entry('other', { item: 'Walk', day: 5 }, 'mark', 'x')
		];
		const { rows } = tally(habits, entries, 'marks', 10);
		expect(rows.map(({ item, tally: { met, due } }) => [item.name, met, due])).toEqual([
			['Walk', 3, 10],
			['Scales', 0, 6],
			['Reels', 1, 10]
		]);
	});

	test('a habit that was begun on the 6th and given up after the 15th is due in between', () => {
		const wish: Wish = { ...habits, items: [{ name: 'Walk', begins: 6, ends: 15 }] };
		const days = [2, 6, 7, 15, 16];
		const { rows } = tally(
			wish,
			days.map((day) => entry('h', { item: 'Walk', day }, 'mark', 'x')),
			'marks'
		);
		expect(rows[0]?.tally).toMatchObject({ met: 3, due: 10, longest: 2, present: 1 });
		expect(rows[0]?.days.size).toBe(5);
	});

	test('states, nights around midnight, numbers', () => {
		const mood: Wish = { id: 'm', kind: 'mood', levels: ['fair', 'fog'] };
		const levels = tally(
			mood,
			[entry('m', { day: 1 }, 'level', '1'), entry('m', { day: 2 }, 'level', '2')],
			'levels'
		);
		expect([levels.mean, levels.levels]).toEqual([1.5, ['fair', 'fog']]);
		const nights = tally(
			{ id: 'n', kind: 'sleep' },
			[
				entry('n', { day: 1 }, 'times', '23:30-06:30'),
				entry('n', { day: 2 }, 'times', '00:30-07:30')
			],
			'times'
		);
		expect(nights.length).toBe(420);
		expect(nights.from?.mean).toBeCloseTo(0, 6);
		expect(nights.to?.mean).toBeCloseTo(420, 6);
		const steps = tally(
			{ id: 'p', kind: 'steps' },
			[entry('p', { day: 1 }, 'number', '7000'), entry('p', { day: 8 }, 'number', '8000')],
			'numbers'
		);
		expect(steps.rows[0]?.tally).toMatchObject({ mean: 7500, next: 9000 });
		expect(steps.rows[0]?.tally?.weekly).toBeCloseTo(1000, 6);
	});

	test('rows: how many are used, when they ran out, money by what it was for, widths', () => {
		const row = (row: number, day: number, item: string, cost: string, of: string) => [
			entry('s', { row, column: 'For' }, 'text', of),
			entry('s', { row, column: 'Item' }, 'text', item),
			entry('s', { row, column: 'Cost ¤' }, 'money', cost),
			entry('s', { row, column: 'Day' }, 'date', String(day))
		];
		const two = [...row(1, 3, 'Reeds', '24.50', 'music'), ...row(2, 9, 'Leeks', '2.05', 'food')];
		const ruled = tally(spending, [], 'rows').ruled;
		const some = tally(spending, two, 'rows');
		expect(some).toMatchObject({ used: 2, ranOut: undefined });
		expect(some.money).toMatchObject({
			total: 2655,
			byCategory: [
				['music', 2450],
				['food', 205]
			]
		});
		const full = Array.from({ length: ruled }, (_, at) =>
			row(
				at + 1,
				Math.min(22, at + 1),
				'A book of very old tunes from the islands',
				'1.00',
				'music'
			)
		).flat();
		const out = tally(spending, full, 'rows');
		expect(out).toMatchObject({ used: ruled, ranOut: Math.min(22, ruled) });
		// It asks for 6 and was ruled twice as wide, because there was room.
		const item = out.columns.find(({ name }) => name === 'Item');
		expect(item).toMatchObject({ width: 12, needed: 21 });
	});

	test('how full', () => {
		const dump: Wish = { id: 'd', kind: 'brain-dump' };
		expect(tally(dump, [entry('d', {}, 'full', 'empty')], 'room').full).toEqual(['empty']);
	});
});

describe('copying from paper', () => {
	const from = (text: string, entries: readonly Entry[] = []) => {
		const [row] = signRows(tracker(habits));
		if (!row) throw new Error('habits are copied as signs');
		return { row, ...readRow('h', row, text, known(entries), { locale: 'en', days: 31 }) };
	};

	test('a row of signs is read, and comes back as it was typed', () => {
		const { row, changes } = from('xx.x-x3o');
		expect(changes.map(({ value }) => value)).toEqual(['x', 'x', 'x', '-', 'x', '3', 'o']);
		expect(rowText('h', row, known(changes))).toBe('xx.x-x3o');
	});

	test('only what changes is changed; what is shorter takes away', () => {
		const { changes } = from('xxx');
		expect(from('xxx', changes).changes).toEqual([]);
		const less = from('x', changes).changes;
		expect(less.map(({ about, value }) => [about, value])).toEqual([
			['item=Walk&day=2', ''],
			['item=Walk&day=3', '']
		]);
	});

	test('what cannot be read changes nothing and says where', () => {
		expect(from('xx🙂').fault).toContain('day 3');
		expect(from('x'.repeat(32))).toMatchObject({
			changes: [],
			fault: '32 signs for 31 days: 1 too many'
		});
	});

	test('typing what is shown changes nothing, also where more is kept than is shown', () => {
		const reading = { locale: 'de', days: 31 };
		const [row] = signRows(tracker(habits));
		if (!row) throw new Error('habits are copied as signs');
		const often = [entry('h', { item: 'Walk', day: 2 }, 'mark', '12')];
		expect(rowText('h', row, known(often))).toBe('.9');
		const { changes } = readRow('h', row, 'x9', known(often), reading);
		expect(changes.map(({ about }) => about)).toEqual(['item=Walk&day=1']);
		const sheet = sheetOf(tracker(spending));
		const long = [
			entry('s', { row: 1, column: 'Item' }, 'text', 'Reeds\nand\ttape'),
			entry('s', { row: 2, column: 'Cost ¤' }, 'money', '1234.50')
		];
		const shown = sheetText('s', sheet, known(long), 'de');
		expect(shown).toBe('\tReeds and tape\n\t\t1.234,50');
		expect(readSheet('s', sheet, shown, known(long), reading)).toEqual({ changes: [], faults: [] });
		const steps = tracker({ id: 'p', kind: 'steps' });
		const exact = [entry('p', { day: 1 }, 'number', '1.23456')];
		const text = sheetText('p', sheetOf(steps), known(exact), 'de');
		expect(readSheet('p', sheetOf(steps), text, known(exact), reading).changes).toEqual([]);
	});

	test('lines of a spreadsheet are read into rows, and come back', () => {
		const sheet = sheetOf(tracker(spending));
		expect(sheet.columns).toEqual(['Day', 'Item', 'Cost ¤', 'For']);
		const text = '3\tReeds\t24.50\tmusic\n9\tLeeks\t2.05\tfood';
		const { changes, faults } = readSheet('s', sheet, text, new Map(), { locale: 'en', days: 31 });
		expect(faults).toEqual([]);
		expect(changes).toHaveLength(8);
		expect(sheetText('s', sheet, known(changes), 'en')).toBe(text);
	});

	test('ten thousand pasted lines are told to be too many, bad cells where they are', () => {
		const sheet = sheetOf(tracker(spending));
		const many = Array.from({ length: 10_000 }, () => '1\ta\t1.00\tb').join('\r\n');
		const options = { locale: 'en', days: 31 };
		expect(readSheet('s', sheet, many, new Map(), options).faults[0]?.says).toContain('more lines');
		const bad = readSheet('s', sheet, '1\ta\tmuch\tb\n40\ta\t1\tb\tc', new Map(), options);
		expect(bad.faults.map(({ line }) => line)).toEqual([1, 2, 2]);
	});
});

test('changes that wait are told once each, the last of them', () => {
	const one = (value: string): Change => entry('h', { day: 1 }, 'mark', value);
	expect(withChanges([one('x'), entry('h', { day: 2 }, 'mark', 'x')], [one('-')])).toEqual([
		one('-'),
		entry('h', { day: 2 }, 'mark', 'x')
	]);
});

test('what went together is told only beyond chance', () => {
	const days = new Map(Array.from({ length: 30 }, (_, at) => [at + 1, at % 3 === 0 ? 'x' : '-']));
	const bright = new Map(Array.from({ length: 30 }, (_, at) => [at + 1, at % 3 === 0 ? 9 : 2]));
	const same = new Map(Array.from({ length: 30 }, (_, at) => [at + 1, (7 * at) % 5]));
	const found = together(
		[{ name: 'Walk', days }],
		[
			{ name: 'mood', days: bright },
			{ name: 'noise', days: same }
		]
	);
	expect(found.looked).toBe(2);
	expect(found.told.map(({ measure, pairing }) => [measure.name, pairing.difference])).toEqual([
		['mood', 7]
	]);
});

test('a year by month: states, rates, money, pages', () => {
	const months = ['2027-03', '2027-04'].map((month, at) => ({
		month,
		weekStart: 'monday' as const,
		wishes: [habits, spending, { id: 'm', kind: 'mood', levels: ['fair', 'fog'] }],
		pages: 10 + at,
		entries: [
			entry('h', { item: 'Walk', day: 1 }, 'mark', 'x'),
			entry('h', { item: 'Walk', day: 10 - 5 * at }, 'mark', 'x'),
			entry('m', { day: 2 }, 'level', '2'),
			entry('s', { row: 1, column: 'For' }, 'text', 'food'),
			entry('s', { row: 1, column: 'Cost ¤' }, 'money', '1.10')
		]
	}));
	const year = yearTally(months);
	expect(year.months).toEqual(['2027-03', '2027-04']);
	expect([...(year.rates.get('Walk') ?? [])]).toEqual([
		['2027-03', 0.2],
		['2027-04', 0.4]
	]);
	expect([...(year.money.get('food') ?? [])]).toEqual([
		['2027-03', 110],
		['2027-04', 110]
	]);
	expect(year.levels.days.get('2027-04')?.get(2)).toBe(2);
	expect([...year.pages.values()]).toEqual([10, 11]);
});
