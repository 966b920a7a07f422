import fc from 'fast-check';
import { parse } from 'csv-parse/sync';
import { describe, expect, test } from 'vitest';
import { subjectKey, subjectOf, type Holds } from '../../draw';
import {
	fromCsv,
	readTimes,
	readValue,
	renamedAbout,
	renamedIn,
	timesText,
	toCsv,
	valueText,
	type Entry
} from '..';

const plain = (holds: Holds, typed: string, locale = 'en-GB', days = 31) => {
	const read = readValue(holds, typed, { locale, levels: 5, days });
	return read.ok ? read.value : undefined;
};

describe('what is typed', () => {
	test.each([
		['mark', 'x', 'x'],
		['mark', '.', ''],
		['mark', '-', '-'],
		['mark', '0', 'o'],
		['mark', '3', '3'],
		['mark', 'yes', undefined],
		['mark', '🙂', undefined],
		['level', '5', '5'],
		['level', '6', undefined],
		['level', '0', undefined],
		['times', '23:30-7:10', '23:30-07:10'],
		['times', '2330–710', '23:30-07:10'],
		['times', '22-2, 3.30-6', '22:00-02:00, 03:30-06:00'],
		['times', '23:', undefined],
		['times', '23:30-', undefined],
		['times', '25-7', undefined],
		['full', '4', 'over'],
		['full', 'half', 'half'],
		['tick', 'x', 'x'],
		['date', '31', '31'],
		['number', '1e9', undefined],
		['number', '1000000000', undefined],
		['number', '-3.5', '-3.5'],
		['text', ' a reel ', 'a reel']
	] as const)('%s “%s” is %s', (holds, typed, wanted) => {
		expect(plain(holds, typed)).toBe(wanted);
	});

	test('a 31st in a month of 30 is told with what is allowed', () => {
		expect(readValue('date', '31', { locale: 'en', days: 30 })).toEqual({
			ok: false,
			says: '“31” is not a day of the month, 1 to 30'
		});
	});

	test.each([
		['en-GB', '12.5', '12.5'],
		['en-GB', '12,5', '12.5'],
		['en-GB', '12,500', '12500'],
		['de', '12,5', '12.5'],
		['de', '12.5', '12.5'],
		['de', '12.500', '12500'],
		['de', '1.234,5', '1234.5'],
		['fr', '12 500,25', '12500.25'],
		['en-GB', '1,2,3', undefined],
		['en-GB', '12.5.1', undefined]
	])('in %s “%s” is %s', (locale, typed, wanted) => {
		expect(plain('number', typed, locale)).toBe(wanted);
	});

	test('numbers and money come back as they were written, in any language', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: -9_999_999, max: 9_999_999 }),
				fc.constantFrom('en', 'de', 'fr', 'pl', 'de-CH', 'en-IN'),
				(hundredths, locale) => {
					const value = hundredths / 100;
					const written = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 }).format(value);
					expect(Number(plain('number', written, locale))).toBe(value);
					const money = plain('money', value.toFixed(2), 'en');
					expect(money).toBe(value.toFixed(2));
					expect(plain('money', valueText('money', value.toFixed(2), locale), locale)).toBe(
						value.toFixed(2)
					);
				}
			)
		);
	});

	test('spans of time come back', () => {
		fc.assert(
			fc.property(fc.nat(1439), fc.integer({ min: 1, max: 1439 }), (from, length) => {
				const spans = [{ from, to: from + length }];
				expect(readTimes(timesText(spans))).toEqual(spans);
			})
		);
	});
});

const anyEntry: fc.Arbitrary<Entry> = fc
	.record({
		item: fc.option(fc.string({ unit: 'grapheme', minLength: 1 }), { nil: undefined }),
		day: fc.integer({ min: 1, max: 31 }),
		// What was kept has no space around it.
		value: fc.string({ unit: 'grapheme' }).map((text) => `=“${text}”,\r\n"q"`)
	})
	.map(({ item, day, value }) => ({
		wish: 'a',
		about: subjectKey({ ...(item === undefined ? {} : { item }), day }),
		holds: 'text' as const,
		value
	}));

describe('CSV', () => {
	test('out and in gives the same, and another reader reads it alike', () => {
		fc.assert(
			fc.property(fc.array(anyEntry, { maxLength: 20 }), (entries) => {
				const csv = toCsv(entries);
				const read = fromCsv(csv, 'a');
				expect(read.faults).toEqual([]);
				expect(new Set(read.entries)).toEqual(new Set(entries));
				// Days come in their order, whatever the order in which they were kept.
				const days = read.entries.map(({ about }) => subjectOf(about)?.day ?? 0);
				expect(days).toEqual(days.toSorted((a, b) => a - b));
				// Referee: csv-parse.
				const rows: string[][] = parse(csv, { from_line: 2, record_delimiter: '\r\n' });
				expect(rows.map((row) => row.at(-1))).toEqual(read.entries.map(({ value }) => value));
			})
		);
	});

	test('lines that cannot be read are told, the others taken', () => {
		const text =
			'item,day,week,row,column,nth,holds,value\r\nWalk,3,,,,,mark,x\r\nWalk,0,,,,,mark,x\r\nWalk,4,,,,,moon,x\r\nWalk,5,,,,,mark,yes\r\n';
		const { entries, faults } = fromCsv(text, 'a');
		expect(entries).toHaveLength(1);
		expect(faults.map(({ line }) => line)).toEqual([3, 4, 5]);
		expect(fromCsv('a,b\n1,2', 'a').faults[0]?.says).toContain('the first line must be item,day');
	});
});

test('a name that changes takes its records along; what is new or gone does not', () => {
	const wish = (...names: string[]) => [
		{ id: 'a', kind: 'habits', items: names.map((name) => ({ name })) }
	];
	const [walk] = renamedIn(wish('Walk', 'Read'), wish('Stroll', 'Read'));
	expect(walk).toEqual({ wish: 'a', part: 'item', from: 'Walk', to: 'Stroll' });
	expect(walk && renamedAbout('item=Walk&day=3', walk)).toBe('item=Stroll&day=3');
	expect(walk && renamedAbout('item=Read&day=3', walk)).toBeUndefined();
	expect(renamedIn(wish('Walk', 'Read'), wish('Read', 'Walk'))).toEqual([]);
	expect(renamedIn(wish('Walk'), wish('Walk', 'Read'))).toEqual([]);
});
