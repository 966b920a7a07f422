/** When a person has time: so many minutes on some days of the week, beginning some days before a month. */
export interface Evenings {
	/** A time such as 20:00. */
	readonly at: string;
	readonly minutes: number;
	/** Days of the week, Sunday is 0. */
	readonly days: readonly number[];
	readonly daysBefore: number;
}

/** One evening's time. */
export interface Sitting {
	/** A day such as 2027-04-24. */
	readonly day: string;
	readonly at: string;
	readonly minutes: number;
}

const daySeconds = 86_400;
/** Nobody plans further ahead. */
const mostDays = 70;

/** Fifty minutes an evening from the last week before the month on (common practice). */
export const usualEvenings: Evenings = {
	at: '20:00',
	minutes: 50,
	days: [0, 1, 2, 3, 4, 5, 6],
	daysBefore: 7
};

/**
 * The evenings for a month, such as 2027-05, that follow from when a person has time; those before `today` are over,
 * unless the whole month is.
 */
export function sittingsIn(evenings: Evenings, month: string, today: string): Sitting[] {
	const { at, minutes, days, daysBefore } = evenings;
	const first = dayAfter(`${month}-01`, -daysBefore);
	const over = today > dayAfter(`${month}-01`, 31);
	const from = !over && today > first ? today : first;
	return Array.from({ length: mostDays }, (_, count) => dayAfter(from, count))
		.filter((day) => days.includes(new Date(day).getUTCDay()))
		.map((day) => ({ day, at, minutes }));
}

/** The day so many days after another. */
export function dayAfter(day: string, count: number): string {
	return new Date(Date.parse(day) + count * daySeconds * 1000).toISOString().slice(0, 10);
}
