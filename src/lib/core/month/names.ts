import { weekdayOrder, type WeekStart, type YearMonth } from './month';

export type NameWidth = 'long' | 'short' | 'narrow';

/** A Sunday, so that day n of the week is n days later. */
const aSunday = Date.UTC(2023, 0, 1);
const dayMs = 86_400_000;

/** Formatters are costly to make and cheap to keep; there are few languages and widths. */
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatter(locale: string, key: string, options: Intl.DateTimeFormatOptions) {
	const id = `${locale} ${key}`;
	let found = formatters.get(id);
	if (!found) {
		found = new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' });
		formatters.set(id, found);
	}
	return found;
}

const weekdays = new Map<string, readonly string[]>();

/** Names of the seven weekdays in the order of the grid's columns, in the platform's words. */
export function weekdayNames(
	locale: string,
	weekStart: WeekStart,
	width: NameWidth
): readonly string[] {
	// Every mini calendar asks for the same few names.
	const id = `${locale} ${weekStart} ${width}`;
	let found = weekdays.get(id);
	if (!found) {
		const names = formatter(locale, `weekday ${width}`, { weekday: width });
		found = weekdayOrder(weekStart).map((weekday) => names.format(aSunday + weekday * dayMs));
		weekdays.set(id, found);
	}
	return found;
}

/** Name of a month without its year ("May"), in the platform's words. */
export function monthName(locale: string, month: YearMonth, width: NameWidth = 'long'): string {
	const date = Date.UTC(month.year, month.month - 1, 1);
	return formatter(locale, `month ${width}`, { month: width }).format(date);
}

/** Names of the twelve months, in the platform's words. */
export function monthNames(locale: string, width: NameWidth = 'long'): readonly string[] {
	return Array.from({ length: 12 }, (_, index) =>
		monthName(locale, { year: 2023, month: index + 1 }, width)
	);
}

/** Month and year ("May 2027"), ordered as the locale has it. */
export function monthTitle(locale: string, month: YearMonth): string {
	const date = Date.UTC(month.year, month.month - 1, 1);
	return formatter(locale, 'month and year', { month: 'long', year: 'numeric' }).format(date);
}

/** Days from one to another, counted from a month's first ("10 – 16 May"), as the locale writes them. */
export function dayRange(
	locale: string,
	{ year, month }: YearMonth,
	from: number,
	to: number
): string {
	const day = (of: number) => Date.UTC(year, month - 1, of);
	const range = formatter(locale, 'days', { day: 'numeric', month: 'short' });
	// A pen knows one width of space.
	return range.formatRange(day(from), day(to)).replaceAll(/\s/g, ' ');
}

/** A locale tag the platform knows, or English: a bad tag must not stop a plan. */
export function knownLocale(tag: string | undefined): string {
	try {
		return Intl.DateTimeFormat.supportedLocalesOf(tag ?? 'en')[0] ?? 'en';
	} catch {
		return 'en';
	}
}
