/** Money in the smallest unit, so that sums are exact. */
export type Minor = number;

/** “12.50” in cents; undefined where it is no sum in its plain form. */
export function minorOf(value: string): Minor | undefined {
	const found = /^(-?)(\d{1,8})\.(\d{2})$/.exec(value);
	if (!found) return undefined;
	const minor = Number(found[2]) * 100 + Number(found[3]);
	return found[1] === '-' && minor > 0 ? -minor : minor;
}

/** Cents in the plain form of money. */
export function moneyText(minor: Minor): string {
	const positive = Math.abs(minor);
	return `${minor < 0 ? '-' : ''}${Math.floor(positive / 100)}.${String(positive % 100).padStart(2, '0')}`;
}

/** A row with a sum, and what it was for and when, as far as that is known. */
export interface Booking {
	readonly minor: Minor;
	readonly category: string;
	readonly day: number | undefined;
}

/** Sums of bookings. */
export interface MoneyTally {
	readonly total: Minor;
	readonly byCategory: readonly (readonly [string, Minor])[];
	/** By day of the month; what has no day is not in it. */
	readonly byDay: ReadonlyMap<number, Minor>;
}

/** Adds bookings up; categories with the most first. */
export function moneyTally(bookings: readonly Booking[]): MoneyTally {
	const categories = new Map<string, Minor>();
	const byDay = new Map<number, Minor>();
	for (const { minor, category, day } of bookings) {
		categories.set(category, (categories.get(category) ?? 0) + minor);
		if (day !== undefined) byDay.set(day, (byDay.get(day) ?? 0) + minor);
	}
	return {
		total: bookings.reduce((sum, { minor }) => sum + minor, 0),
		byCategory: [...categories].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])),
		byDay
	};
}
