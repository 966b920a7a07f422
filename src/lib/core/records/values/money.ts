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

/** Which way money goes. */
export type Direction = 'in' | 'out';

/** Names of columns for what comes in and what goes out, in the words of banks and of journals (common practice). */
const comesIn =
	/\bin\b|income|earned|credit|deposit|receive|receipt|haben|gutschrift|einnahme|eingang|crédit|recette|entrée/i;
const goesOut =
	/\bout\b|cost|debit|expense|withdraw|paid|payment|price|spen[dt]|charge|soll|lastschrift|ausgabe|ausgang|débit|dépense|sortie/i;

/** Which way the money of a column goes, as its name tells; undefined where it does not. */
export function directionNamed(name: string): Direction | undefined {
	return comesIn.test(name) ? 'in' : goesOut.test(name) ? 'out' : undefined;
}

/** A row with a sum, and what it was for and when, as far as that is known. */
export interface Booking {
	readonly minor: Minor;
	/** The other way than the table's own, such as what came in among what went out. */
	readonly against?: boolean;
	readonly category: string;
	readonly day: number | undefined;
}

/** Sums of bookings. */
export interface MoneyTally {
	/** What went the table's own way. */
	readonly total: Minor;
	/** What went the other way. */
	readonly against: Minor;
	/** Of what went the table's own way. */
	readonly byCategory: readonly (readonly [string, Minor])[];
	/** By day of the month; what has no day is not in it. */
	readonly byDay: ReadonlyMap<number, Minor>;
}

/** Adds bookings up; categories with the most first. */
export function moneyTally(bookings: readonly Booking[]): MoneyTally {
	const categories = new Map<string, Minor>();
	const byDay = new Map<number, Minor>();
	const own = bookings.filter(({ against }) => !against);
	const sum = (some: readonly Booking[]) => some.reduce((all, { minor }) => all + minor, 0);
	for (const { minor, category, day } of own) {
		categories.set(category, (categories.get(category) ?? 0) + minor);
		if (day !== undefined) byDay.set(day, (byDay.get(day) ?? 0) + minor);
	}
	return {
		total: sum(own),
		against: sum(bookings.filter(({ against }) => against)),
		byCategory: [...categories].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])),
		byDay
	};
}
