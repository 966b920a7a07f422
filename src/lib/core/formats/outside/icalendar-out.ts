import ICAL from 'ical.js';
import type { Plan, Run } from '../../fit';
import type { PlannedSitting } from '../../making';
import { firstDayOfWeek, formatMonth, monthShape } from '../../month';
import type { Yearly } from '../../next';
import { allWishes } from '../../wish';

/** Of whom a calendar says that they made it. */
const maker = '-//Horarium//Plan//EN';

/** Something of a calendar file. */
interface Entry {
	/** Tells it from all others, and stays the same when it is written again. */
	readonly id: string;
	readonly summary: string;
	readonly description?: string;
	/** 2027-05-02, or 2027-05-02T20:15:00 by the clock of wherever it is read. */
	readonly start: string;
	/** Of whole days: how many; of others, minutes where it is known. */
	readonly lasts?: number;
	readonly yearly?: string;
}

/**
 * A calendar file (RFC 5545), an event each. `stamp` is when it was made, in ms. Reading it again replaces what was read
 * before, for each event keeps its name.
 */
export function calendarFile(entries: readonly Entry[], stamp: number): string {
	const calendar = new ICAL.Component('vcalendar');
	calendar.addPropertyWithValue('version', '2.0');
	calendar.addPropertyWithValue('prodid', maker);
	for (const { id, summary, description, start, lasts, yearly } of entries) {
		const event = new ICAL.Component('vevent');
		event.addPropertyWithValue('uid', `${id}@horarium.invalid`);
		event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(stamp), true));
		const begins = start.includes('T')
			? ICAL.Time.fromDateTimeString(start)
			: ICAL.Time.fromDateString(start);
		event.addPropertyWithValue('dtstart', begins);
		if (lasts !== undefined)
			event.addPropertyWithValue(
				'duration',
				begins.isDate
					? ICAL.Duration.fromData({ days: lasts })
					: ICAL.Duration.fromSeconds(lasts * 60)
			);
		if (yearly) event.addPropertyWithValue('rrule', ICAL.Recur.fromString(yearly));
		event.addPropertyWithValue('summary', summary);
		if (description) event.addPropertyWithValue('description', description);
		calendar.addSubcomponent(event);
	}
	return `${calendar.toString()}\r\n`;
}

/** Sittings as events, with their pages; `id` tells months apart. */
export function sittingEntries(
	sittings: readonly PlannedSitting[],
	title: string,
	id: string
): Entry[] {
	return sittings.map(({ day, at, minutes, pieces }, index) => {
		const pages = new Set(pieces.flatMap(({ tasks }) => tasks.map(({ page }) => page)));
		return {
			id: `${id}-${index + 1}`,
			summary: `${title}, sitting ${index + 1} of ${sittings.length}`,
			description: `Pages ${[...pages].join(', ')}`,
			start: `${day}T${at}:00`,
			lasts: minutes
		};
	});
}

/**
 * A month as events: what happens on its days, its goals over the days that they are given, the weeks that have pages, and
 * what comes every year; `id` tells months apart.
 */
export function planEntries(plan: Plan, run: Run, yearly: readonly Yearly[], id: string): Entry[] {
	const wishes = allWishes(plan.wishes);
	const month = formatMonth(plan.month);
	const date = (day: number) => `${month}-${String(day).padStart(2, '0')}`;
	const isYearly = (day: number, text: string) =>
		yearly.some((one) => one.month === plan.month.month && one.day === day && one.text === text);
	// The same thing may stand in the calendar and on a page of its own.
	const entries = new Map<string, Entry>();
	const add = (entry: Entry) => entries.set(entry.id, entry);
	for (const { day, text, time } of wishes.flatMap(({ events = [] }) => events)) {
		if (isYearly(day, text)) continue;
		const clock = /^(\d{1,2})[:.](\d{2})/.exec(time ?? '');
		const at = clock ? `T${clock[1]?.padStart(2, '0')}:${clock[2]}:00` : '';
		add({
			id: `${id}-${day}-${named(`${time ?? ''} ${text}`)}`,
			summary: text,
			start: date(day) + at
		});
	}
	for (const { name, from, to } of wishes.flatMap(({ goals = [] }) => goals))
		add({
			id: `${id}-goal-${named(`${from} ${to} ${name}`)}`,
			summary: `Goal: ${name}`,
			start: date(from),
			lasts: to - from + 1
		});
	for (const [week, pages] of weekPages(run))
		add({
			id: `${id}-week-${week}`,
			summary: `Week on ${pages.length > 1 ? 'pages' : 'page'} ${pages.join(', ')}`,
			start: firstDayOfWeek(monthShape(plan.month, plan.weekStart), week),
			lasts: 7
		});
	for (const one of yearly)
		add({
			id: `yearly-${one.month}-${one.day}-${named(one.text)}`,
			summary: one.text,
			// 2028 is the next year that has a 29 February.
			start: `2028-${String(one.month).padStart(2, '0')}-${String(one.day).padStart(2, '0')}`,
			lasts: 1,
			// The last day of February in years that have none.
			yearly:
				one.month === 2 && one.day === 29 ? 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1' : 'FREQ=YEARLY'
		});
	return [...entries.values()];
}

/** Pages of each week that has any, by its row of the month's grid. */
function weekPages(run: Run): Map<number, number[]> {
	const weeks = new Map<number, number[]>();
	for (const { as, pieces } of run.blocks) {
		if (!as.part) continue;
		const known = weeks.get(as.part.week) ?? [];
		const pages = new Set([...known, ...pieces.map(({ page }) => page)]);
		weeks.set(
			as.part.week,
			[...pages].sort((a, b) => a - b)
		);
	}
	return weeks;
}

/** A text as the name of an event may have it. */
function named(text: string): string {
	return encodeURIComponent(text.trim()).replaceAll('%', '-').slice(0, 120);
}
