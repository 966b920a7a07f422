import ICAL from 'ical.js';
import { daysIn, type YearMonth } from '../../month';

export type CalendarEvent = InstanceType<typeof ICAL.Event>;
export type CalendarTime = InstanceType<typeof ICAL.Time>;

/** One occurrence of an event. */
export interface Occurrence {
	readonly start: CalendarTime;
	readonly end: CalendarTime;
	readonly summary: string;
	/** Time zone that the event names, if it does. */
	readonly zone: string | undefined;
}

/** Repetitions looked at before a rule is given up. */
const mostRepetitions = 20_000;
/** An event that lasts longer than this is taken to begin this long before the month. */
const mostDaysLong = 3660;
const dayMs = 86_400_000;

/** Occurrences of an event that may touch a month; `given` is called when its rule is given up. */
export function occurrences(
	event: CalendarEvent,
	month: YearMonth,
	givenUp: () => void
): Occurrence[] {
	const summary = event.summary || 'Event';
	if (!event.isRecurring())
		return [{ start: event.startDate, end: event.endDate, summary, zone: zoneOf(event) }];
	// A day on either side covers every time zone.
	const from = Date.UTC(month.year, month.month - 1, 1) - dayMs;
	const to = Date.UTC(month.year, month.month - 1, daysIn(month) + 1) + dayMs;
	const found: Occurrence[] = [];
	const iterator = iteratorNear(event, from);
	for (let count = 0; ; count++) {
		if (count === mostRepetitions) {
			givenUp();
			break;
		}
		const next = iterator.next();
		if (!next || wallMs(next) > to) break;
		const details = event.getOccurrenceDetails(next);
		if (wallMs(details.endDate) < from) continue;
		found.push({
			start: details.startDate,
			end: details.endDate,
			summary: details.item.summary || summary,
			zone: zoneOf(details.item)
		});
	}
	return found;
}

function zoneOf({ component }: CalendarEvent): string | undefined {
	const zone = component.getFirstProperty('dtstart')?.getParameter('tzid');
	return typeof zone === 'string' && zone !== '' ? zone : undefined;
}

/** What a clock at the place of the event shows, as milliseconds. */
export function wallMs({ year, month, day, hour, minute, second }: CalendarTime): number {
	return Date.UTC(year, month - 1, day, hour, minute, second);
}

function iteratorNear(event: CalendarEvent, from: number) {
	const start = startNear(event, from);
	return start
		? new ICAL.RecurExpansion({ component: event.component, dtstart: start })
		: event.iterator();
}

/**
 * A start of the rule shortly before a moment, from which it goes on as from its own start: whole intervals
 * later, on a day that exists. None where occurrences are counted, or several rules meet.
 */
function startNear({ component, startDate, endDate }: CalendarEvent, from: number) {
	const rules = component.getAllProperties('rrule');
	const rule = rules[0]?.getFirstValue();
	if (rules.length !== 1 || !(rule instanceof ICAL.Recur) || rule.count) return undefined;
	const lasts = Math.min(wallMs(endDate) - wallMs(startDate), mostDaysLong * dayMs);
	const before = from - lasts - dayMs;
	const start = wallMs(startDate);
	if (start >= before) return undefined;
	const moved = shiftedStart(start, before, rule.freq, Math.max(1, rule.interval));
	if (moved === undefined) return undefined;
	const date = new Date(moved);
	const time = startDate.clone();
	time.year = date.getUTCFullYear();
	time.month = date.getUTCMonth() + 1;
	time.day = date.getUTCDate();
	time.hour = date.getUTCHours();
	time.minute = date.getUTCMinutes();
	time.second = date.getUTCSeconds();
	return time;
}

/** Lengths of what repeats at even distances. */
const evenMs: Readonly<Record<string, number>> = {
	SECONDLY: 1000,
	MINUTELY: 60_000,
	HOURLY: 3_600_000,
	DAILY: dayMs,
	WEEKLY: 7 * dayMs
};

function shiftedStart(
	start: number,
	before: number,
	frequency: string,
	interval: number
): number | undefined {
	const even = evenMs[frequency];
	if (even) return start + Math.floor((before - start) / (even * interval)) * even * interval;
	const months = frequency === 'MONTHLY' ? interval : 12 * interval;
	const date = new Date(start);
	// Only steps of whole years come back to a month of the same length.
	const step = date.getUTCDate() <= 28 ? months : lcm(months, 12);
	const away = (new Date(before).getUTCFullYear() - date.getUTCFullYear()) * 12 - 12;
	for (let steps = Math.floor(away / step); steps > 0; steps--) {
		const moved = new Date(start);
		moved.setUTCMonth(date.getUTCMonth() + steps * step);
		// 29 February comes back in leap years only.
		if (moved.getUTCDate() === date.getUTCDate()) return moved.getTime();
	}
	return undefined;
}

function lcm(a: number, b: number): number {
	const gcd = (x: number, y: number): number => (y === 0 ? x : gcd(y, x % y));
	return (a / gcd(a, b)) * b;
}
