import ICAL from 'ical.js';
import type { PlannedSitting } from '../making';

/** Of whom a calendar says that they made it. */
const maker = '-//Horarium//Sittings//EN';

/**
 * Sittings as a calendar file (RFC 5545): an event each, at the clock time of wherever it is read, with the pages in its
 * description. `stamp` is when it was made, in ms; `id` tells months apart, so that reading it again replaces what was
 * read before.
 */
export function sittingsCalendar(
	sittings: readonly PlannedSitting[],
	title: string,
	id: string,
	stamp: number
): string {
	const calendar = new ICAL.Component('vcalendar');
	calendar.addPropertyWithValue('version', '2.0');
	calendar.addPropertyWithValue('prodid', maker);
	for (const [index, { day, at, minutes, pieces }] of sittings.entries()) {
		const event = new ICAL.Component('vevent');
		const pages = [...new Set(pieces.flatMap(({ tasks }) => tasks.map(({ page }) => page)))];
		event.addPropertyWithValue('uid', `${id}-${index + 1}@horarium.invalid`);
		event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(stamp), true));
		event.addPropertyWithValue('dtstart', ICAL.Time.fromDateTimeString(`${day}T${at}:00`));
		event.addPropertyWithValue('duration', ICAL.Duration.fromSeconds(minutes * 60));
		event.addPropertyWithValue('summary', `${title}, sitting ${index + 1} of ${sittings.length}`);
		event.addPropertyWithValue('description', `Pages ${pages.join(', ')}`);
		calendar.addSubcomponent(event);
	}
	return `${calendar.toString()}\r\n`;
}
