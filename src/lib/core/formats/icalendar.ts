import ICAL from 'ical.js';
import type { PlannedEvent } from '../forms';
import { daysIn, type YearMonth } from '../month';

/** Events of one month in a calendar file, or why the file cannot be read. */
export type CalendarRead =
	| {
			readonly ok: true;
			readonly events: readonly PlannedEvent[];
			/** Events beyond the most that a month may hold; they were left out. */
			readonly leftOut: number;
	  }
	| { readonly ok: false; readonly message: string };

/** Most events a month may hold; more would be no plan on paper. */
export const mostEvents = 500;
/** Repetitions looked at before an endless rule is given up. */
const mostRepetitions = 20_000;
const dayMs = 86_400_000;

/**
 * The events of a month in an iCalendar file (RFC 5545), repetitions expanded, times shown as they are
 * in `timeZone` (an IANA name). An event over several days stands on each of them.
 */
export function readCalendar(text: string, month: YearMonth, timeZone: string): CalendarRead {
	let calendar: Component;
	try {
		calendar = new ICAL.Component(ICAL.parse(text));
	} catch {
		return { ok: false, message: 'This is not a calendar file (.ics): nothing was taken from it.' };
	}
	if (calendar.name !== 'vcalendar')
		return { ok: false, message: 'This file holds no calendar: nothing was taken from it.' };
	for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
	const found: PlannedEvent[] = [];
	const local = new LocalTime(timeZone);
	const components = calendar.getAllSubcomponents('vevent');
	const moved = exceptionsByUid(components);
	for (const component of components) {
		if (component.hasProperty('recurrence-id')) continue;
		try {
			// Left to itself the library looks through the whole file for each event.
			const exceptions = moved.get(uidOf(component)) ?? [];
			const event = new ICAL.Event(component, { exceptions });
			for (const { start, end, summary } of occurrences(event, month))
				found.push(...placed(start, end, summary, month, local));
		} catch {
			// One broken event must not cost the others.
			continue;
		}
	}
	found.sort((a, b) => a.day - b.day || (a.time ?? '').localeCompare(b.time ?? ''));
	return {
		ok: true,
		events: found.slice(0, mostEvents),
		leftOut: Math.max(0, found.length - mostEvents)
	};
}

type Component = InstanceType<typeof ICAL.Component>;

function uidOf(component: Component): string {
	return String(component.getFirstPropertyValue('uid') ?? '');
}

/** Single occurrences that were changed by themselves, by the event they belong to. */
function exceptionsByUid(components: readonly Component[]): Map<string, Component[]> {
	const found = new Map<string, Component[]>();
	for (const component of components) {
		if (!component.hasProperty('recurrence-id')) continue;
		const uid = uidOf(component);
		found.set(uid, [...(found.get(uid) ?? []), component]);
	}
	return found;
}

interface Occurrence {
	readonly start: InstanceType<typeof ICAL.Time>;
	readonly end: InstanceType<typeof ICAL.Time>;
	readonly summary: string;
}

/** Occurrences that may touch the month; a day on either side covers every time zone. */
function occurrences(event: InstanceType<typeof ICAL.Event>, month: YearMonth): Occurrence[] {
	const summary = event.summary || 'Event';
	if (!event.isRecurring()) return [{ start: event.startDate, end: event.endDate, summary }];
	const from = Date.UTC(month.year, month.month - 1, 1) - dayMs;
	const to = Date.UTC(month.year, month.month, 1) + dayMs;
	const found: Occurrence[] = [];
	const iterator = event.iterator();
	for (let count = 0; count < mostRepetitions; count++) {
		const next = iterator.next();
		if (!next || next.toJSDate().getTime() > to) break;
		const details = event.getOccurrenceDetails(next);
		if (details.endDate.toJSDate().getTime() < from) continue;
		found.push({
			start: details.startDate,
			end: details.endDate,
			summary: details.item.summary || summary
		});
	}
	return found;
}

/** An occurrence on the days of the month that it covers. */
function placed(
	start: Occurrence['start'],
	end: Occurrence['end'],
	summary: string,
	month: YearMonth,
	local: LocalTime
): PlannedEvent[] {
	const text = summary.trim().slice(0, 300) || 'Event';
	const first = start.isDate ? { ...fieldsOf(start), time: undefined } : local.of(start.toJSDate());
	// The end of an event is the first moment after it.
	const last = end.isDate
		? shifted(fieldsOf(end), -1)
		: local.of(new Date(Math.max(start.toJSDate().getTime(), end.toJSDate().getTime() - 1)));
	const events: PlannedEvent[] = [];
	const firstDay = dayNumber(first);
	const lastDay = Math.max(firstDay, dayNumber(last));
	const monthStart = dayNumber({ ...month, day: 1 });
	const from = Math.max(firstDay, monthStart);
	const to = Math.min(lastDay, monthStart + daysIn(month) - 1);
	for (let day = from; day <= to; day++)
		events.push({
			day: day - monthStart + 1,
			text,
			time: day === firstDay ? first.time : undefined
		});
	return events;
}

interface LocalDate extends YearMonth {
	readonly day: number;
}

function fieldsOf({ year, month, day }: Occurrence['start']): LocalDate {
	return { year, month, day };
}

function dayNumber({ year, month, day }: LocalDate): number {
	return Math.round(Date.UTC(year, month - 1, day) / dayMs);
}

function shifted(date: LocalDate, days: number): LocalDate {
	const moved = new Date((dayNumber(date) + days) * dayMs);
	return { year: moved.getUTCFullYear(), month: moved.getUTCMonth() + 1, day: moved.getUTCDate() };
}

/** Date and time of moments as a clock in a time zone shows them. */
class LocalTime {
	private readonly format: Intl.DateTimeFormat;

	constructor(timeZone: string) {
		this.format = new Intl.DateTimeFormat('en-GB', {
			timeZone,
			year: 'numeric',
			month: '2-digit',
			day: '2-digit',
			hour: '2-digit',
			minute: '2-digit',
			hourCycle: 'h23'
		});
	}

	of(moment: Date): LocalDate & { readonly time: string } {
		const parts = new Map(
			this.format.formatToParts(moment).map(({ type, value }) => [type, value])
		);
		return {
			year: Number(parts.get('year')),
			month: Number(parts.get('month')),
			day: Number(parts.get('day')),
			time: `${parts.get('hour')}:${parts.get('minute')}`
		};
	}
}
