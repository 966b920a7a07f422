import { readCalendar, type CalendarRead } from '$lib/core/formats/outside/icalendar';
import type { YearMonth } from '$lib/core/month';

/** A calendar file to be read. */
export interface CalendarRequest {
	readonly text: string;
	readonly month: YearMonth;
	readonly timeZone: string;
	readonly skip: ReadonlySet<number>;
}

/** What the worker tells: which event it begins, and what it read in the end. */
export type CalendarMessage =
	| { readonly kind: 'begun'; readonly event: number }
	| { readonly kind: 'read'; readonly read: CalendarRead };

self.onmessage = ({ data }: MessageEvent<CalendarRequest>) => {
	const tell = (message: CalendarMessage) => self.postMessage(message);
	const { text, ...reading } = data;
	const progress = (event: number) => tell({ kind: 'begun', event });
	tell({ kind: 'read', read: readCalendar(text, { ...reading, progress }) });
};
