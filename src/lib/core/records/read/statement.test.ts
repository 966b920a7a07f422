import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { banks, bankStatement } from '../../../standins';
import { planWith } from '../../../../../tests/support/arbitraries';
import { planRun } from '../../fit';
import {
	bookingsFor,
	bookingsIn,
	categoryOf,
	dateIn,
	entryKey,
	guessHabits,
	intoRows,
	tablesLike,
	learned,
	readStatement,
	signatureOf,
	statementText,
	sumIn,
	trackersOf,
	type BankBooking,
	type Entry,
	type Statement
} from '..';

/** Three banks of different habits, each with the same three bookings. */
const harbour = [
	'Account;12345678',
	'',
	'"Buchungstag";"Verwendungszweck";"Betrag";"Saldo"',
	'"03.04.2027";"BACKHAUS MEHL, Ost";"-1.012,50";"88,00"',
	'"14.04.2027";"Reederei Lohn April";"2.400,00";"2.488,00"',
	'"14.04.2027";"FERRY CAFE 12";"-4,20";"2.483,80"'
].join('\r\n');
const lighthouse = [
	'Date,Description,Paid out,Paid in,Balance',
	'2027-04-03,"BACKHAUS MEHL, Ost",1012.50,,88.00',
	'2027-04-14,Reederei Lohn April,,2400.00,2488.00',
	'2027-04-14,FERRY CAFE 12,4.20,,2483.80'
].join('\n');
const island = [
	'Posted\tDetails\tAmount',
	'4/3/27\tBACKHAUS MEHL, Ost\t1,012.50',
	'4/14/27\tReederei Lohn April\t(2,400.00)',
	'4/14/27\tFERRY CAFE 12\t4.20'
].join('\n');

test('three banks of different habits say the same of a month', () => {
	const read = banks.map((bank) => {
		const found = statement(bankStatement(bank, 2027, 4));
		const habits = guessHabits(found, bank === 'island' ? 'en-US' : 'de-DE');
		if (!habits) throw new Error(`${bank} is not understood`);
		const { bookings, faults } = bookingsIn(found, habits);
		expect(faults).toEqual([]);
		return bookings.map(({ date, text, out }) => ({ date, text, out }));
	});
	expect(read[0]).toHaveLength(24);
	expect(read[0]).toContainEqual({
		date: '2027-04-14',
		text: 'Ferry company, wages',
		out: -214_000
	});
	expect(read[1]).toEqual(read[0]);
	expect(read[2]).toEqual(read[0]);
});

test('a line with another number of columns is told, not dropped', () => {
	const found = statement(
		[lighthouse, '2027-04-20,Ink, blue,3.00,,80.00', 'Total,88.00'].join('\n')
	);
	const habits = guessHabits(found, 'en-GB');
	if (!habits) throw new Error('not understood');
	expect(bookingsIn(found, habits).faults).toEqual([
		{ line: 5, says: 'has 6 columns, not 5' },
		{ line: 6, says: 'has 2 columns, not 5' }
	]);
});

function statement(text: string): Statement {
	const read = readStatement(text);
	if ('says' in read) throw new Error(read.says);
	return read;
}

function bookings(text: string, locale = 'en'): readonly BankBooking[] {
	const read = statement(text);
	const habits = guessHabits(read, locale);
	if (!habits) throw new Error('nothing is guessed');
	return bookingsIn(read, habits).bookings;
}

describe('statements of banks', () => {
	test.each([
		['semicolons, commas, days first, words above', harbour, 'de'],
		['two columns for out and in, years first', lighthouse, 'en'],
		['tabs, months first', island, 'en-US']
	])('%s', (_, text, locale) => {
		const found = bookings(text, locale).map(({ date, text, out }) => [date, text, Math.abs(out)]);
		expect(found).toEqual([
			['2027-04-03', 'BACKHAUS MEHL, Ost', 101_250],
			['2027-04-14', 'Reederei Lohn April', 240_000],
			['2027-04-14', 'FERRY CAFE 12', 420]
		]);
	});

	test('what went out is positive, what came in negative', () => {
		for (const text of [harbour, lighthouse])
			expect(bookings(text).map(({ out }) => Math.sign(out))).toEqual([1, -1, 1]);
	});

	test('older files are read in their own letters', () => {
		const bytes = new Uint8Array([0x42, 0xfc, 0x63, 0x68, 0x65, 0x72]);
		expect(statementText(bytes)).toBe('Bücher');
		expect(statementText(new TextEncoder().encode('Bücher'))).toBe('Bücher');
	});

	test('days and sums as they are written, and none that are not there', () => {
		expect(dateIn('31.04.2027', 'dmy')).toBeUndefined();
		expect(dateIn('29.02.2028', 'dmy')).toBe('2028-02-29');
		expect(dateIn('02/29/2027', 'mdy')).toBeUndefined();
		expect([sumIn('-1.234,50 EUR', ','), sumIn('1 234,5-', ','), sumIn('(12.50)', '.')]).toEqual([
			-123_450, -123_450, -1250
		]);
		expect([sumIn('', '.'), sumIn('12.345', '.'), sumIn('Lohn 12', '.')]).toEqual([
			undefined,
			undefined,
			undefined
		]);
	});

	test('lines that cannot be read are told, and quotes that never close harm nobody', () => {
		const text = `${lighthouse}\n2027-13-01,no day,1.00,,0\n2027-04-20,no sum,x,,0`;
		const read = statement(text);
		const habits = guessHabits(statement(lighthouse), 'en');
		if (!habits) throw new Error('nothing is guessed');
		expect(bookingsIn(read, habits).faults.map(({ line, says }) => [line, says])).toEqual([
			[5, 'has no day that can be read'],
			[6, 'has no sum that can be read']
		]);
		for (const odd of ['', '"', 'a,b', `"${'x'.repeat(100_000)}`, ',,,\n,,,', '\0\0'])
			expect(() => readStatement(odd)).not.toThrow();
	});

	test('any fields in quotes come out as another reader of RFC 4180 reads them', () => {
		const field = fc.string({ maxLength: 12 }).map((text) => `x${text.trim()}`);
		fc.assert(
			fc.property(
				fc.array(fc.tuple(field, field, field), { minLength: 3, maxLength: 8 }),
				(rows) => {
					const quoted = rows
						.map((cells) => cells.map((cell) => `"${cell.replaceAll('"', '""')}"`).join(','))
						.join('\r\n');
					const theirs = parse(quoted, { trim: true }) as string[][];
					const { columns, rows: ours } = statement(quoted);
					expect([columns, ...ours.map(({ cells }) => cells)]).toEqual(
						theirs.map((cells) => cells.map((cell) => cell.trim()))
					);
				}
			)
		);
	});
});

describe('bookings in rows', () => {
	const plan = planWith([
		{
			id: 's',
			kind: 'spending',
			form: 'table',
			size: { w: 14, h: 8 },
			columns: [
				{ name: 'Day', width: 2, holds: 'date' },
				{ name: 'Item', width: 5 },
				{ name: 'Cost ¤', width: 4 },
				{ name: 'For', width: 3 }
			]
		},
		{
			id: 'i',
			kind: 'income',
			columns: [
				{ name: 'From', width: 6 },
				{ name: 'Sum ¤', width: 4 }
			]
		}
	]);
	const [spending, income] = trackersOf(plan, planRun(plan));
	if (!spending || !income) throw new Error('no table');
	const after = (known: ReadonlyMap<string, Entry>, changes: readonly Entry[]) =>
		new Map([...known, ...changes.map((one) => [entryKey(one), one] as const)]);

	test('each is taken once, also when the statement comes again with more, and two equal ones are two', () => {
		const april = bookings(harbour, 'de');
		const out = bookingsFor(spending, '2027-04', april);
		expect(out.map(({ text }) => text)).toEqual(['BACKHAUS MEHL, Ost', 'FERRY CAFE 12']);
		expect(bookingsFor(income, '2027-04', april).map(({ out }) => out)).toEqual([-240_000]);
		expect(bookingsFor(spending, '2027-05', april)).toEqual([]);
		const first = intoRows(
			[spending],
			out.map((booking) => ({ booking, category: 'food' })),
			new Map()
		);
		const known = after(new Map(), first.changes);
		expect(known.get('s row=1&column=Day')?.value).toBe('3');
		expect(known.get(`s row=1&column=${encodeURIComponent('Cost ¤')}`)?.value).toBe('1012.50');
		expect(known.get('s row=2&column=For')?.value).toBe('food');
		const more = bookings(`${harbour}\r\n"14.04.2027";"FERRY CAFE 12";"-4,20";"2.479,60"`, 'de');
		const again = bookingsFor(spending, '2027-04', more);
		const second = intoRows(
			[spending],
			again.map((booking) => ({ booking, category: '' })),
			known
		);
		const rows = second.changes.filter(({ about }) => about.includes('column=Day'));
		expect(rows.map(({ about }) => about)).toEqual(['row=3&column=Day']);
		expect(
			intoRows(
				[spending],
				again.map((booking) => ({ booking, category: '' })),
				after(known, second.changes)
			).changes
		).toEqual([]);
	});

	test('what does not fit the rows is told and not taken', () => {
		const many = Array.from({ length: 40 }, (_, at): BankBooking => ({
			date: '2027-04-09',
			text: `shop ${at}`,
			out: 100,
			key: String(at)
		}));
		const { changes, without } = intoRows(
			[spending],
			many.map((booking) => ({ booking, category: '' })),
			new Map()
		);
		const taken = changes.filter(({ wish }) => wish === '#bank').length;
		expect(taken).toBeGreaterThan(0);
		expect(taken + without.length).toBe(40);
	});

	test('what does not fit goes on in the next table of the same kind', () => {
		const twice = planWith([
			{ id: 's', kind: 'spending', rules: { table: { entries: 3, tables: 1 } } },
			{ id: 't', kind: 'spending', rules: { table: { entries: 3, tables: 1 } } },
			{ id: 'i', kind: 'income' }
		]);
		const [one, ...others] = trackersOf(twice, planRun(twice));
		if (!one) throw new Error('no table');
		const tables = tablesLike(one, others);
		expect(tables.map(({ wish }) => wish.id)).toEqual(['s', 't']);
		const many = Array.from({ length: 500 }, (_, at): BankBooking => ({
			date: '2027-04-09',
			text: `shop ${at}`,
			out: 100,
			key: String(at)
		}));
		const sorted = many.map((booking) => ({ booking, category: '' }));
		const rows = (found: ReturnType<typeof intoRows>) => 500 - found.without.length;
		const alone = rows(intoRows([one], sorted, new Map()));
		expect(rows(intoRows(tables, sorted, new Map()))).toBe(2 * alone);
	});

	test('what something was for is learned from one correction, and the latest goes first', () => {
		const [bread, , cafe] = bookings(harbour, 'de');
		if (!bread || !cafe) throw new Error('a booking is missing');
		const once = learned([], bread, 'food');
		expect(categoryOf({ ...bread, text: 'Backhaus Mehl, West 7' }, once)).toBe('food');
		expect(categoryOf(cafe, once)).toBe('');
		expect(categoryOf(bread, learned(once, bread, 'bread'))).toBe('bread');
		expect(signatureOf(statement(harbour))).toBe('buchungstag|verwendungszweck|betrag|saldo');
	});
});

describe('columns for what came in and what went out', () => {
	const guess = (columns: string, ...rows: string[]) => {
		const read = readStatement([columns, ...rows].join('\n'));
		if ('says' in read) throw new Error(read.says);
		const habits = guessHabits(read, 'en-GB');
		return habits && bookingsIn(read, habits).bookings.map(({ out }) => out);
	};
	const rows = [
		'03/04/2027,Wages April,2400.00,',
		'14/04/2027,Bakery,,4.20',
		'15/04/2027,Cafe,,3.10'
	];

	test('are told by their names, whichever comes first', () => {
		for (const names of [
			'Paid in,Paid out',
			'Deposits,Withdrawals',
			'Money in,Money out',
			'Credit,Debit',
			'Haben,Soll',
			'Received,Spent'
		])
			expect(guess(`Date,Description,${names}`, ...rows), names).toEqual([-240_000, 420, 310]);
		const turned = rows.map((row) => row.replace(/,([\d.]*),([\d.]*)$/, ',$2,$1'));
		for (const names of ['Paid out,Paid in', 'Withdrawals,Deposits', 'Out,In'])
			expect(guess(`Date,Description,${names}`, ...turned), names).toEqual([-240_000, 420, 310]);
	});

	test('are told by how much stands in them where names say nothing', () => {
		expect(guess('Date,Description,A,B', ...rows)).toEqual([-240_000, 420, 310]);
	});
});
