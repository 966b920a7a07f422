import type { PlannedEvent } from '$lib/core/forms';

/** An event as it stands in the fields of its row. */
export interface EventRow {
	readonly day: string;
	readonly time: string;
	readonly text: string;
}

export const emptyRow: EventRow = { day: '', time: '', text: '' };
const mostText = 300;
const mostTime = 20;

/** Events as rows. */
export function rowsOf(events: readonly PlannedEvent[]): EventRow[] {
	return events.map(({ day, time = '', text }) => ({ day: String(day), time, text }));
}

/** What a row says: an event, nothing, or what is missing for one. */
export type RowMeaning =
	| { readonly kind: 'event'; readonly event: PlannedEvent; readonly fault?: string }
	| { readonly kind: 'empty' }
	| { readonly kind: 'unfinished'; readonly fault: string };

/** Reads a row, for a month of so many days; an event on a day that it does not have is kept and said. */
export function meaningOf({ day, time, text }: EventRow, days: number): RowMeaning {
	const what = text.trim();
	if (day.trim() === '' && time.trim() === '' && what === '') return { kind: 'empty' };
	const number = /^(\d{1,2})\.?$/.exec(day.trim())?.[1];
	if (number === undefined || Number(number) < 1 || Number(number) > 31)
		return { kind: 'unfinished', fault: `Type a day from 1 to ${days}.` };
	if (what === '') return { kind: 'unfinished', fault: 'Type what happens.' };
	const event: PlannedEvent = {
		day: Number(number),
		text: what.slice(0, mostText),
		...(time.trim() === '' ? {} : { time: time.trim().slice(0, mostTime) })
	};
	if (event.day <= days) return { kind: 'event', event };
	return {
		kind: 'event',
		event,
		fault: `This month has ${days} days: it stands on no page.`
	};
}

/** The events of rows, and the rows that are none yet. */
export function readRows(rows: readonly EventRow[], days: number) {
	const meanings = rows.map((row) => ({ row, meaning: meaningOf(row, days) }));
	return {
		events: meanings.flatMap(({ meaning }) => (meaning.kind === 'event' ? [meaning.event] : [])),
		unfinished: meanings.flatMap(({ row, meaning }) => (meaning.kind === 'unfinished' ? [row] : []))
	};
}

/** Rows in order of time; what has no day yet stands last. */
export function inOrder(rows: readonly EventRow[]): EventRow[] {
	const place = ({ day }: EventRow) => Number.parseInt(day, 10) || 100;
	return [...rows].sort((a, b) => place(a) - place(b) || a.time.localeCompare(b.time));
}

/** Unfinished rows as a text to be remembered, and back. */
export function rowsToText(rows: readonly EventRow[]): string {
	return rows.map(({ day, time, text }) => [day, time, text].join('\t')).join('\n');
}

export function rowsFromText(text: string): EventRow[] {
	return text.split('\n').map((line) => {
		const [day = '', time = '', ...rest] = line.split('\t');
		return { day, time, text: rest.join('\t') };
	});
}
