import ICAL from 'ical.js';
import type { PlannedEvent } from '../../forms';
import { daysIn, type YearMonth } from '../../month';
import { cleanText } from '../schema/clean-text';
import { Clock, dayNumber, shifted, type LocalDate } from './clock';
import { occurrences, wallMs, type CalendarTime, type Occurrence } from './icalendar-repeats';

/** Events of one month in a calendar file, or why the file cannot be read. */
export type CalendarRead =
	| {
			readonly ok: true;
			readonly events: readonly PlannedEvent[];
			/** Events beyond the most that a month may hold; they were left out. */
			readonly leftOut: number;
			/** What was given up or taken otherwise than it says, and why. */
			readonly notes: readonly string[];
	  }
	| { readonly ok: false; readonly message: string };

/** Most events a month may hold; more would be no plan on paper. */
export const mostEvents = 500;
const mostNotes = 8;
const mostLetters = 300;

/** How reading goes on: the event that is begun, counted through all calendars of the file. */
export type Progress = (event: number) => void;

/** What is known about reading a file besides its text. */
export interface Reading {
	readonly month: YearMonth;
	/** IANA name of the zone whose clock shows the times. */
	readonly timeZone: string;
	/** Events that have proved to be endless to work out. */
	readonly skip?: ReadonlySet<number>;
	readonly progress?: Progress;
}

/**
 * The events of a month in an iCalendar file (RFC 5545), of all calendars in it, repetitions expanded, times
 * shown as they are in the person's time zone. An event over several days stands on each of them. Whoever calls
 * limits the time: rules can be written that no library ever gets to the end of.
 */
export function readCalendar(text: string, reading: Reading): CalendarRead {
	const calendars = calendarsIn(text);
	if (!calendars)
		return { ok: false, message: 'This is not a calendar file (.ics): nothing was taken from it.' };
	if (calendars.length === 0)
		return { ok: false, message: 'This file holds no calendar: nothing was taken from it.' };
	return new CalendarReader(reading).read(calendars);
}

type Component = InstanceType<typeof ICAL.Component>;

function calendarsIn(text: string): Component[] | undefined {
	try {
		const parsed: unknown = ICAL.parse(text);
		if (!Array.isArray(parsed)) return [];
		// Several calendars in one file come as a list of lists.
		const all: unknown[] = typeof parsed[0] === 'string' ? [parsed] : parsed;
		return all.flatMap((calendar) => {
			if (!Array.isArray(calendar)) return [];
			const component = new ICAL.Component(calendar);
			return component.name === 'vcalendar' ? [component] : [];
		});
	} catch {
		return undefined;
	}
}

class CalendarReader {
	private readonly found: PlannedEvent[] = [];
	private readonly notes = new Set<string>();
	private readonly clock: Clock;
	private readonly clocks = new Map<string, Clock | undefined>();

	constructor(private readonly reading: Reading) {
		this.clock = new Clock(reading.timeZone);
	}

	read(calendars: readonly Component[]): CalendarRead {
		ICAL.TimezoneService.reset();
		for (const zone of calendars.flatMap((all) => all.getAllSubcomponents('vtimezone')))
			if (zone.getFirstPropertyValue('tzid')) ICAL.TimezoneService.register(zone);
		const components = calendars.flatMap((all) => all.getAllSubcomponents('vevent'));
		const moved = exceptionsByUid(components);
		for (const [index, component] of components.entries()) {
			if (component.hasProperty('recurrence-id')) continue;
			this.reading.progress?.(index);
			if (this.reading.skip?.has(index))
				this.notes.add(`${nameOf(component)} repeats in a way that has no end: given up.`);
			else this.readEvent(component, moved.get(uidOf(component)) ?? []);
		}
		this.found.sort((a, b) => a.day - b.day || (a.time ?? '').localeCompare(b.time ?? ''));
		const notes = [...this.notes];
		const more = notes.length - mostNotes;
		return {
			ok: true,
			events: this.found.slice(0, mostEvents),
			leftOut: Math.max(0, this.found.length - mostEvents),
			notes: [...notes.slice(0, mostNotes), ...(more > 0 ? [`And ${more} more like these.`] : [])]
		};
	}

	/** One broken event must not cost the others. */
	private readEvent(component: Component, exceptions: Component[]): void {
		try {
			// Left to itself the library looks through the whole file for each event.
			const event = new ICAL.Event(component, { exceptions });
			if (!event.startDate) {
				this.notes.add(`${nameOf(component)} has no date: left out.`);
				return;
			}
			const givenUp = () =>
				this.notes.add(
					`${nameOf(component)} repeats more often before this month than can be followed: given up.`
				);
			for (const occurrence of occurrences(event, this.reading.month, givenUp))
				this.place(occurrence);
		} catch (error) {
			const why = error instanceof Error ? error.message : 'it cannot be read';
			this.notes.add(`${nameOf(component)} was left out: ${why}.`);
		}
	}

	/** Puts an occurrence on the days of the month that it covers. */
	private place({ start, end, summary, zone }: Occurrence): void {
		const text = cleanText(summary).trim().slice(0, mostLetters) || 'Event';
		const first = this.localOf(start, zone, 0);
		// The end of an event is the first moment after it.
		const last = end.isDate
			? shifted(end, -1)
			: this.localOf(end, zone, this.momentOf(end, zone) > this.momentOf(start, zone) ? 1 : 0);
		const firstDay = dayNumber(first);
		const lastDay = Math.max(firstDay, dayNumber(last));
		const monthStart = dayNumber({ ...this.reading.month, day: 1 });
		const from = Math.max(firstDay, monthStart);
		const to = Math.min(lastDay, monthStart + daysIn(this.reading.month) - 1);
		for (let day = from; day <= to; day++)
			this.found.push({
				day: day - monthStart + 1,
				text,
				time: day === firstDay ? first.time : undefined
			});
	}

	/** What the person's clock shows so many milliseconds before a time. */
	private localOf(
		time: CalendarTime,
		zone: string | undefined,
		earlier: number
	): LocalDate & { readonly time?: string } {
		if (time.isDate) return { year: time.year, month: time.month, day: time.day };
		const moment = new Date(this.momentOf(time, zone) - earlier);
		// Times of no zone stand as they are written.
		return this.isFree(time, zone) ? utc.at(moment) : this.clock.at(moment);
	}

	/** When a time is, in ms; of one that is of no zone, or of one that is known neither here nor in the file, as if it were UTC. */
	private momentOf(time: CalendarTime, zone: string | undefined): number {
		if (time.zone.tzid !== 'floating') return time.toUnixTime() * 1000;
		const there = zone && this.clockOf(zone);
		return there ? there.momentOf(wallMs(time)).getTime() : wallMs(time);
	}

	private isFree(time: CalendarTime, zone: string | undefined): boolean {
		return time.zone.tzid === 'floating' && !(zone && this.clockOf(zone));
	}

	private clockOf(timeZone: string): Clock | undefined {
		if (!this.clocks.has(timeZone)) this.clocks.set(timeZone, knownClock(timeZone));
		const clock = this.clocks.get(timeZone);
		if (!clock)
			this.notes.add(
				`The time zone “${timeZone.slice(0, 40)}” is not known: its times are taken as they are written.`
			);
		return clock;
	}
}

const utc = new Clock('UTC');

function knownClock(timeZone: string): Clock | undefined {
	try {
		return new Clock(timeZone);
	} catch {
		return undefined;
	}
}

function nameOf(component: Component): string {
	const summary = cleanText(String(component.getFirstPropertyValue('summary') ?? '')).trim();
	return summary ? `“${summary.slice(0, 40)}”` : 'An event without a name';
}

function uidOf(component: Component): string {
	return String(component.getFirstPropertyValue('uid') ?? '');
}

/** Single occurrences that were changed by themselves, by the event they belong to. */
function exceptionsByUid(components: readonly Component[]): Map<string, Component[]> {
	const found = new Map<string, Component[]>();
	for (const component of components) {
		if (!component.hasProperty('recurrence-id')) continue;
		const uid = uidOf(component);
		const known = found.get(uid);
		if (known) known.push(component);
		else found.set(uid, [component]);
	}
	return found;
}
