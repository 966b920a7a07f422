import fc from 'fast-check';
import { expect, test } from 'vitest';
import { inOrder, meaningOf, readRows, rowsFromText, rowsOf, rowsToText } from './event-rows';

const event = fc.record(
	{
		day: fc.integer({ min: 1, max: 31 }),
		text: fc.string({ minLength: 1 }).filter((text) => text.trim() === text && text !== ''),
		time: fc.constantFrom('9:00', '19:30', 'noon')
	},
	{ requiredKeys: ['day', 'text'] }
);

test('events stand in rows and come out as they were', () => {
	fc.assert(
		fc.property(fc.array(event), (events) => {
			const read = readRows(rowsOf(events), 31);
			expect(read).toEqual({ events, unfinished: [] });
		})
	);
});

test('a row without a day or without words waits, and says what it needs', () => {
	expect(meaningOf({ day: '', time: '', text: ' ' }, 31)).toEqual({ kind: 'empty' });
	expect(meaningOf({ day: '9', time: '', text: '' }, 31)).toMatchObject({ kind: 'unfinished' });
	expect(meaningOf({ day: 'soon', time: '', text: 'Choir' }, 30)).toEqual({
		kind: 'unfinished',
		fault: 'Type a day from 1 to 30.'
	});
	const rows = [{ day: '', time: '20:00', text: 'Choir\tand dance' }];
	expect(readRows(rows, 31).unfinished).toEqual(rows);
	expect(rowsFromText(rowsToText(rows))).toEqual(rows);
});

test('an event on the 31st is kept in a month of 30 days, and said', () => {
	expect(meaningOf({ day: '31.', time: '', text: 'Rent' }, 30)).toEqual({
		kind: 'event',
		event: { day: 31, text: 'Rent' },
		fault: 'This month has 30 days: it stands on no page.'
	});
});

test('rows stand in order of day and time, what has no day last', () => {
	const row = (day: string, time = '') => ({ day, time, text: 'x' });
	expect(inOrder([row(''), row('9', '20:00'), row('10'), row('9', '08:00')])).toEqual([
		row('9', '08:00'),
		row('9', '20:00'),
		row('10'),
		row('')
	]);
});
