/** A calendar feed with what calendars are full of: repeats, exceptions, time zones, whole days, events that were moved. */
export function calendarFeed(later: boolean): string {
	const event = (uid: string, lines: readonly string[]) => [
		'BEGIN:VEVENT',
		`UID:${uid}@standin.invalid`,
		'DTSTAMP:20270101T000000Z',
		...lines,
		'END:VEVENT'
	];
	return [
		'BEGIN:VCALENDAR',
		'VERSION:2.0',
		'PRODID:-//Stand-in//Calendar//EN',
		...event('choir', [
			'SUMMARY:Choir',
			'DTSTART;TZID=Europe/Berlin:20270107T193000',
			'DTEND;TZID=Europe/Berlin:20270107T210000',
			'RRULE:FREQ=WEEKLY;BYDAY=TH',
			'EXDATE;TZID=Europe/Berlin:20270513T193000'
		]),
		// One of them was moved to the evening after.
		...event('choir', [
			'SUMMARY:Choir, in the church',
			'RECURRENCE-ID;TZID=Europe/Berlin:20270520T193000',
			'DTSTART;TZID=Europe/Berlin:20270521T180000',
			'DTEND;TZID=Europe/Berlin:20270521T200000'
		]),
		...event('watch', [
			'SUMMARY:Night watch',
			'DTSTART;TZID=Europe/Berlin:20270101T220000',
			'DURATION:PT8H',
			'RRULE:FREQ=DAILY;INTERVAL=4'
		]),
		...event('dock', [
			'SUMMARY:Dry dock',
			'DTSTART;VALUE=DATE:20270518',
			'DTEND;VALUE=DATE:20270521'
		]),
		...event('call', ['SUMMARY:Call home', 'DTSTART:20270509T170000Z', 'DTEND:20270509T173000Z']),
		...(later
			? event('bellows', ['SUMMARY:Bellows are ready', 'DTSTART;VALUE=DATE:20270527'])
			: []),
		'END:VCALENDAR',
		''
	].join('\r\n');
}
