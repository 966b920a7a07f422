import fc from 'fast-check';
import rrulePackage from 'rrule';
import { describe, expect, test } from 'vitest';
import { planRun } from '../../src/lib/core/fit';
import { demoPlan } from '../support/arbitraries';
import { often } from '../support/effort';
import { mostEvents, readCalendar } from '../../src/lib/core/formats/outside/icalendar';
import {
	calendarFile,
	planEntries,
	sittingEntries
} from '../../src/lib/core/formats/outside/icalendar-out';
import type { PlannedSitting } from '../../src/lib/core/making';

const { rrulestr } = rrulePackage;
const may = { year: 2027, month: 5 };

function calendar(...events: string[]): string {
	const body = events.map(
		(event, index) => `BEGIN:VEVENT\r\nUID:${index}\r\n${event}\r\nEND:VEVENT`
	);
	return ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:test', ...body, 'END:VCALENDAR'].join('\r\n');
}

function eventsIn(text: string, timeZone = 'UTC') {
	const read = readCalendar(text, { month: may, timeZone });
	if (!read.ok) throw new Error(read.message);
	return read.events;
}

describe('calendar files', () => {
	test('all-day events stand on each of their days, the end excluded', () => {
		const text = calendar(
			'SUMMARY:Dry dock\r\nDTSTART;VALUE=DATE:20270430\r\nDTEND;VALUE=DATE:20270503'
		);
		expect(eventsIn(text)).toEqual([
			{ day: 1, text: 'Dry dock', time: undefined },
			{ day: 2, text: 'Dry dock', time: undefined }
		]);
	});

	test('an event that ends at midnight does not stand on the next day, whichever zone tells its end', () => {
		for (const times of [
			'DTSTART;TZID=Europe/Berlin:20270503T200000\r\nDTEND;TZID=Europe/Berlin:20270504T000000',
			'DTSTART:20270503T180000Z\r\nDTEND:20270503T220000Z',
			'DTSTART;TZID=Europe/Berlin:20270503T233000\r\nDTEND:20270503T220000Z',
			'DTSTART:20270503T200000\r\nDTEND:20270504T000000',
			'DTSTART;TZID=Europe/Berlin:20270503T200000\r\nDURATION:PT4H'
		]) {
			const zone = times.includes('TZID') || times.includes('Z') ? 'Europe/Berlin' : 'UTC';
			const found = eventsIn(calendar(`SUMMARY:Night\r\n${times}`), zone);
			expect(
				found.map(({ day }) => day),
				times
			).toEqual([3]);
		}
	});

	test('times are shown as the clock of the person shows them', () => {
		const text = calendar('SUMMARY:Choir\r\nDTSTART:20270512T223000Z\r\nDTEND:20270512T233000Z');
		expect(eventsIn(text, 'Europe/Berlin')).toEqual([{ day: 13, time: '00:30', text: 'Choir' }]);
		expect(eventsIn(text, 'America/New_York')).toEqual([{ day: 12, time: '18:30', text: 'Choir' }]);
	});

	test('a time zone that the file brings along is understood', () => {
		const zone = [
			'BEGIN:VTIMEZONE',
			'TZID:Harbour',
			'BEGIN:STANDARD',
			'DTSTART:19700101T000000',
			'TZOFFSETFROM:+0300',
			'TZOFFSETTO:+0300',
			'END:STANDARD',
			'END:VTIMEZONE'
		].join('\r\n');
		const text = calendar('SUMMARY:Crossing\r\nDTSTART;TZID=Harbour:20270510T010000').replace(
			'BEGIN:VEVENT',
			`${zone}\r\nBEGIN:VEVENT`
		);
		expect(eventsIn(text)).toEqual([{ day: 9, time: '22:00', text: 'Crossing' }]);
	});

	// Referee: the rrule package expands the same rules.
	test('repeating events fall on the days that a reference library finds', () => {
		const rule = fc
			.record({
				frequency: fc.constantFrom('DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'),
				interval: fc.integer({ min: 1, max: 5 }),
				end: fc.constantFrom('', ';COUNT=7', ';COUNT=60', ';UNTIL=20270520T080000Z'),
				byDay: fc.constantFrom('', ';BYDAY=MO,WE', ';BYDAY=SA', ';BYDAY=TU,TH,SU')
			})
			.filter(({ frequency, byDay }) => byDay === '' || frequency === 'WEEKLY')
			.map(
				({ frequency, interval, end, byDay }) =>
					`FREQ=${frequency};INTERVAL=${interval}${byDay}${end}`
			);
		const start = fc.integer({ min: 0, max: 600 }).map((days) => {
			return new Date(Date.UTC(2025, 9, 1, 8) + days * 86_400_000);
		});
		fc.assert(
			fc.property(rule, start, (rule, date) => {
				const stamp = date.toISOString().replace(/[-:]|\.\d+/g, '');
				const found = eventsIn(calendar(`SUMMARY:Watch\r\nDTSTART:${stamp}\r\nRRULE:${rule}`));
				const set = rrulestr(`DTSTART:${stamp}\nRRULE:${rule}`);
				const days = set
					.between(new Date(Date.UTC(2027, 4, 1)), new Date(Date.UTC(2027, 5, 1)), true)
					.map((moment) => moment.getUTCDate());
				// iCalendar counts the start as the first occurrence even where its rule passes it over.
				const withStart =
					date.getUTCFullYear() === 2027 && date.getUTCMonth() === 4
						? [...new Set([date.getUTCDate(), ...days])].sort((a, b) => a - b)
						: days;
				const ours = found.map(({ day }) => day);
				if (rule.includes('BYDAY') || rule.includes('COUNT'))
					expect([days, withStart]).toContainEqual(ours);
				else expect(ours).toEqual(days);
			}),
			{ numRuns: often(200) }
		);
	});

	test('a moved occurrence stands where it was moved to, a cancelled one nowhere', () => {
		const series =
			'SUMMARY:Bread\r\nDTSTART;VALUE=DATE:20270503\r\nRRULE:FREQ=WEEKLY;COUNT=4\r\nEXDATE;VALUE=DATE:20270517';
		const moved =
			'SUMMARY:Late bread\r\nRECURRENCE-ID;VALUE=DATE:20270510\r\nDTSTART;VALUE=DATE:20270511';
		const text = calendar(series, moved).replace('UID:1', 'UID:0');
		expect(eventsIn(text).map(({ day, text }) => [day, text])).toEqual([
			[3, 'Bread'],
			[11, 'Late bread'],
			[24, 'Bread']
		]);
	});

	test.each(['', 'garbage', 'BEGIN:VCARD\r\nEND:VCARD', '\0\0\0', 'BEGIN:VCALENDAR'])(
		'what is no calendar is refused in words: %j',
		(text) => {
			const read = readCalendar(text, { month: may, timeZone: 'UTC' });
			if (read.ok) expect(read.events).toEqual([]);
			else expect(read.message).toMatch(/nothing was taken/);
		}
	);

	test('a file of 50,000 events gives as many as a month may hold, and says how many were left out', () => {
		const event = 'SUMMARY:Bell\r\nDTSTART:20270512T080000Z';
		const read = readCalendar(calendar(...Array.from({ length: 50_000 }, () => event)), {
			month: may,
			timeZone: 'UTC'
		});
		expect(read).toMatchObject({ ok: true, leftOut: 50_000 - mostEvents });
	});

	// Referee: the rrule package, which starts at the beginning.
	test('a rule from long ago goes on as from its own start', () => {
		const rules = fc
			.record({
				frequency: fc.constantFrom('DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'),
				interval: fc.integer({ min: 1, max: 9 }),
				more: fc.constantFrom('', ';BYMONTH=5', ';UNTIL=20270520T080000Z')
			})
			// The parser's library takes every May where every fifth month is asked for, wherever it starts.
			.filter(({ interval, more }) => interval === 1 || !more.includes('BYMONTH'))
			.map(({ frequency, interval, more }) => `FREQ=${frequency};INTERVAL=${interval}${more}`);
		const starts = fc
			.record({ year: fc.integer({ min: 1990, max: 2026 }), day: fc.integer({ min: 0, max: 365 }) })
			.map(({ year, day }) => new Date(Date.UTC(year, 0, 1 + day, 8)));
		fc.assert(
			fc.property(rules, starts, (rule, date) => {
				const stamp = date.toISOString().replace(/[-:]|\.\d+/g, '');
				const text = calendar(`SUMMARY:Watch\r\nDTSTART:${stamp}\r\nRRULE:${rule}`);
				const expected = rrulestr(`DTSTART:${stamp}\nRRULE:${rule}`)
					.between(new Date(Date.UTC(2027, 4, 1)), new Date(Date.UTC(2027, 5, 1) - 1), true)
					.map((moment) => moment.getUTCDate());
				expect(eventsIn(text).map(({ day }) => day)).toEqual(expected.slice(0, mostEvents));
			}),
			{ numRuns: 100 }
		);
	});

	test('a bell of every third hour, rung for years, rings on', () => {
		const text = calendar(
			'SUMMARY:Bell\r\nDTSTART:20200101T010000Z\r\nRRULE:FREQ=HOURLY;INTERVAL=3'
		);
		const expected = rrulestr('DTSTART:20200101T010000Z\nRRULE:FREQ=HOURLY;INTERVAL=3')
			.between(new Date(Date.UTC(2027, 4, 1)), new Date(Date.UTC(2027, 5, 1) - 1), true)
			.map((moment) => moment.toISOString().slice(11, 16));
		expect(eventsIn(text).map(({ time }) => time)).toEqual(expected);
	});

	test('a zone that the file names but does not bring along is the platform’s', () => {
		const at = (zone: string) =>
			calendar(`SUMMARY:Ferry\r\nDTSTART;TZID=${zone}:20270510T233000\r\nDURATION:PT1H`);
		expect(eventsIn(at('Europe/Helsinki'), 'Europe/Lisbon')).toEqual([
			{ day: 10, time: '21:30', text: 'Ferry' }
		]);
		const read = readCalendar(at('Atlantis/Harbour'), { month: may, timeZone: 'Europe/Lisbon' });
		expect(read).toMatchObject({ events: [{ day: 10, time: '23:30' }, { day: 11 }] });
		expect(read.ok && read.notes[0]).toContain('“Atlantis/Harbour” is not known');
	});

	test('of several calendars in one file all are read', () => {
		const one = calendar('SUMMARY:One\r\nDTSTART;VALUE=DATE:20270501');
		const two = calendar('SUMMARY:Two\r\nDTSTART;VALUE=DATE:20270502');
		expect(eventsIn(`${one}\r\n${two}\r\n`).map(({ text }) => text)).toEqual(['One', 'Two']);
	});

	test('what is given up is said, and the rest is read', () => {
		const read = readCalendar(
			calendar(
				'SUMMARY:Pulse\r\nDTSTART:19900101T000000Z\r\nRRULE:FREQ=MINUTELY;COUNT=90000000',
				'SUMMARY:Undated',
				'SUMMARY:Hung\r\nDTSTART:20270501T000000Z\r\nRRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30',
				'SUMMARY:Fine\r\nDTSTART;VALUE=DATE:20270503'
			),
			{ month: may, timeZone: 'UTC', skip: new Set([2]) }
		);
		expect(read).toMatchObject({ ok: true, events: [{ day: 3, text: 'Fine' }] });
		expect(read.ok && read.notes).toEqual([
			'“Pulse” repeats more often before this month than can be followed: given up.',
			'“Undated” has no date: left out.',
			'“Hung” repeats in a way that has no end: given up.'
		]);
	});
});

test('sittings are a calendar as RFC 5545 has it, and are read back as they were', () => {
	const sitting = (day: string): PlannedSitting => ({
		day,
		at: '20:15',
		minutes: 50,
		steps: [],
		pieces: [
			{
				left: 62,
				tasks: Array.from({ length: 24 }, (_, at) => ({
					id: String(at),
					page: 62 + at,
					pass: 'rule' as const,
					seconds: 60
				})),
				ordered: { order: [], end: 0, bound: 0, proven: true },
				neededBy: '2027-05-01'
			}
		],
		seconds: 1440,
		late: false
	});
	const title = 'Mai, 2027; Übersicht';
	const text = calendarFile(
		sittingEntries([sitting('2027-05-02'), sitting('2027-05-04')], title, 'm1'),
		Date.UTC(2026, 10, 28, 5, 0, 0)
	);
	// Lines end with CR LF and have at most 75 octets (3.1); each event has its id, stamp and beginning (3.6.1).
	const lines = text.split('\r\n');
	expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
	for (const line of lines) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
	const unfolded = text.replaceAll('\r\n ', '').split('\r\n');
	expect(unfolded.filter((line) => line === 'DTSTAMP:20261128T050000Z')).toHaveLength(2);
	expect(unfolded.filter((line) => line.startsWith('UID:m1-'))).toHaveLength(2);
	expect(unfolded.filter((line) => line === 'DURATION:PT50M')).toHaveLength(2);
	// Commas and semicolons of texts are masked (3.3.11).
	expect(unfolded).toContain('SUMMARY:Mai\\, 2027\\; Übersicht\\, sitting 1 of 2');
	expect(eventsIn(text, 'America/New_York')).toEqual([
		{ day: 2, time: '20:15', text: 'Mai, 2027; Übersicht, sitting 1 of 2' },
		{ day: 4, time: '20:15', text: 'Mai, 2027; Übersicht, sitting 2 of 2' }
	]);
});

test('a month goes out as events, goals, weeks and what comes every year, and is read as the same', () => {
	const demo = demoPlan();
	const goal = { name: 'Rivets, all', from: 3, to: 9 };
	const [cover, calendar, ...others] = demo.wishes;
	if (!cover || !calendar) throw new Error('the demo has too few pages');
	const events = [
		{ day: 4, text: 'Inga', time: undefined },
		{ day: 6, time: '19:30', text: 'Reel; then tea' },
		{ day: 7, text: 'Dry dock' }
	];
	const plan = {
		...demo,
		wishes: [cover, { ...calendar, events }, { ...cover, id: 'again', events }, ...others].map(
			(wish) => ({ ...wish, goals: wish === cover ? [goal] : wish.goals })
		)
	};
	const run = planRun(demo);
	const yearly = [
		{ month: 5, day: 4, text: 'Inga' },
		{ month: 2, day: 29, text: 'Leap' }
	];
	const text = calendarFile(planEntries(plan, run, yearly, 'm1'), Date.UTC(2026, 10, 28));
	const read = eventsIn(text);
	const on = (wanted: string) => read.filter((event) => event.text === wanted);
	expect(on('Reel; then tea')).toEqual([{ day: 6, time: '19:30', text: 'Reel; then tea' }]);
	expect(on('Dry dock').map(({ day }) => day)).toEqual([7]);
	expect(on('Goal: Rivets, all').map(({ day }) => day)).toEqual([3, 4, 5, 6, 7, 8, 9]);
	// The demo's weeks from Monday to Sunday; the short ones at both ends have no pages of their own.
	const weeks = read.filter(({ text }) => text.startsWith('Week on'));
	expect(weeks.map(({ day }) => day)).toEqual(Array.from({ length: 28 }, (_, at) => at + 3));
	const uids = [...text.matchAll(/^UID:(.*)$/gm)].map(([, uid]) => uid);
	expect(new Set(uids).size).toBe(uids.length);
	// What comes every year begins in 2028 and stands on 28 February in other years (RFC 5545, 3.3.10).
	const rule = /RRULE:(FREQ=YEARLY;BYMONTH=2.*)/.exec(text)?.[1];
	const leap = rrulestr(`DTSTART:20280229T000000Z\nRRULE:${rule}`);
	expect(
		leap
			.between(new Date('2029-01-01'), new Date('2032-12-31'))
			.map((day) => day.toISOString().slice(0, 10))
	).toEqual(['2029-02-28', '2030-02-28', '2031-02-28', '2032-02-29']);
});
