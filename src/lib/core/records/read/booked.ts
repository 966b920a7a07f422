import { subjectKey, type FieldMark, type Subject } from '../../draw';
import { entryKey, type Change, type Entry } from '../values/entry';
import { moneyText } from '../values/money';
import type { BankBooking, BankHabits } from './statement';
import type { Tracker } from '../values/trackers';

/** Words in a booking’s text that say what it was for; the latest rule goes first. */
export interface CategoryRule {
	readonly word: string;
	readonly category: string;
}

/** What is known of a person’s banks. */
export interface BankKnown {
	/** How statements with a first line like that are written. */
	readonly banks: readonly { readonly signature: string; readonly habits: BankHabits }[];
	readonly rules: readonly CategoryRule[];
}

export const noBank: BankKnown = { banks: [], rules: [] };

/** Bookings that were taken are remembered under this in the place of a wish: none is taken twice. */
export const takenOf = '#bank';

/** What a booking was for, as the rules say. */
export function categoryOf({ text }: BankBooking, rules: readonly CategoryRule[]): string {
	const upper = text.toUpperCase();
	return rules.find(({ word }) => upper.includes(word))?.category ?? '';
}

/** Rules that have learned from what a person said of a booking: its longest word stands for all like it. */
export function learned(
	rules: readonly CategoryRule[],
	{ text }: BankBooking,
	category: string
): readonly CategoryRule[] {
	const words = text.toUpperCase().match(/\p{L}{3,}/gu) ?? [];
	const [word] = [...words].sort((a, b) => b.length - a.length);
	if (word === undefined || category === '') return rules;
	return [{ word, category }, ...rules.filter((rule) => rule.word !== word)];
}

/** A booking of the month, with what it was for. */
export interface Sorted {
	readonly booking: BankBooking;
	readonly category: string;
}

/** Bookings of a month that a tracker is for: what went out, or for income what came in. */
export function bookingsFor(
	tracker: Tracker,
	month: string,
	bookings: readonly BankBooking[]
): BankBooking[] {
	const comes = tracker.wish.kind === 'income';
	return bookings.filter(({ date, out }) => date.startsWith(month) && (comes ? out < 0 : out > 0));
}

/** Whether a booking was taken before. */
export function isTaken({ key }: BankBooking, known: ReadonlyMap<string, Entry>): boolean {
	return known.has(entryKey({ wish: takenOf, about: subjectKey({ item: key }) }));
}

/** What bookings change in the rows that tables have left, and those for which there is none. */
export function intoRows(
	trackers: readonly Tracker[],
	sorted: readonly Sorted[],
	known: ReadonlyMap<string, Entry>
): { readonly changes: readonly Change[]; readonly without: readonly BankBooking[] } {
	const rows = trackers.flatMap((tracker) => {
		const wish = tracker.wish.id;
		return rowsOf(tracker)
			.filter((fields) =>
				fields.every(({ about }) => !known.has(entryKey({ wish, about: subjectKey(about) })))
			)
			.map((fields) => ({ wish, fields }));
	});
	const fresh = sorted.filter(({ booking }) => !isTaken(booking, known));
	const changes = fresh.slice(0, rows.length).flatMap(({ booking, category }, at): Change[] => {
		const { wish = '', fields = [] } = rows[at] ?? {};
		return [
			...fields.flatMap((field) => {
				const value = valueFor(field, fields, booking, category);
				return value ? [{ wish, about: subjectKey(field.about), holds: field.holds, value }] : [];
			}),
			{ wish: takenOf, about: subjectKey({ item: booking.key }), holds: 'tick', value: 'x' }
		];
	});
	return { changes, without: fresh.slice(rows.length).map(({ booking }) => booking) };
}

/** A table and those that go on with it: of the same kind, with the same columns. */
export function tablesLike(tracker: Tracker, all: readonly Tracker[]): Tracker[] {
	const columns = ({ fields }: Tracker) =>
		[...new Set(fields.map(({ about, holds }) => `${about.column} ${holds}`))].sort().join();
	const others = all.filter(
		(other) =>
			other.wish.id !== tracker.wish.id &&
			other.wish.kind === tracker.wish.kind &&
			columns(other) === columns(tracker)
	);
	return [tracker, ...others];
}

/** Fields of a table, row by row. */
function rowsOf({ fields }: Tracker): FieldMark[][] {
	const rows = new Map<string, FieldMark[]>();
	const name = ({ item, row }: Subject) => `${item ?? ''} ${row}`;
	for (const field of fields) {
		if (field.about.row === undefined) continue;
		rows.set(name(field.about), [...(rows.get(name(field.about)) ?? []), field]);
	}
	return [...rows.values()];
}

/** What stands in a cell: the day, the sum, the words in the first column of words, what it was for in the last of several. */
function valueFor(
	field: FieldMark,
	fields: readonly FieldMark[],
	{ date, text, out }: BankBooking,
	category: string
): string {
	const words = fields.filter(({ holds }) => holds === 'text');
	switch (field.holds) {
		case 'date':
			return String(Number(date.slice(-2)));
		case 'money':
			return moneyText(Math.abs(out));
		case 'text':
			if (field === words[0]) return text.slice(0, 200);
			return field === words.at(-1) ? category : '';
		default:
			return '';
	}
}
