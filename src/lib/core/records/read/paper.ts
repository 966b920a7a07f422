import { subjectKey, type FieldMark, type Subject } from '../../draw';
import { entryKey, type Change, type Entry } from '../values/entry';
import type { LineFault } from './csv';
import { readValue, valueText } from './read-value';
import { itemsIn, type Tracker } from '../values/trackers';

/** What is known of all fields of a month, by `entryKey`. */
export type Known = ReadonlyMap<string, Entry>;

/** Days of one habit, or of one thing that has a state a day, to be copied in one go. */
export interface SignRow {
	readonly item: string | undefined;
	readonly fields: readonly FieldMark[];
}

/** Rows of signs that a tracker is copied as: marks and states by day; none where it holds other things. */
export function signRows({ fields }: Tracker): SignRow[] {
	const signs = fields.filter(
		({ about, holds }) =>
			about.day !== undefined && (holds === 'mark' || holds === 'level') && about.nth === undefined
	);
	return itemsIn({ fields: signs }).map((item) => ({
		item,
		fields: signs
			.filter(({ about }) => about.item === item)
			.sort((a, b) => (a.about.day ?? 0) - (b.about.day ?? 0))
	}));
}

/** A value as one sign: a count of more than nine has none of its own. */
const signOf = (value: string) => (value === '' ? '.' : value.length > 1 ? '9' : value);

/** What stands in a row as one text, a sign a day: “xx.x-x”; nothing behind the last one. */
export function rowText(wish: string, { fields }: SignRow, known: Known): string {
	const signs = fields.map(({ about }) =>
		signOf(known.get(entryKey({ wish, about: subjectKey(about) }))?.value ?? '')
	);
	return signs.join('').replace(/\.+$/, '');
}

/** Changes that a text of a sign a day makes, and where it cannot be read. */
export function readRow(
	wish: string,
	{ fields }: SignRow,
	text: string,
	known: Known,
	reading: Reading
): { readonly changes: readonly Change[]; readonly fault: string | undefined } {
	const signs = [...text.trim()];
	const over = signs.length - fields.length;
	if (over > 0)
		return {
			changes: [],
			fault: `${signs.length} signs for ${fields.length} days: ${over} too many`
		};
	const changes: Change[] = [];
	for (const [at, field] of fields.entries()) {
		const sign = signs[at] ?? '.';
		const typed = typedInto(wish, field, sign, known, reading, signOf);
		if (!typed.ok) return { changes: [], fault: `day ${field.about.day}: ${typed.says}` };
		changes.push(...typed.changes);
	}
	return { changes, fault: undefined };
}

/** Fields side by side, as a sheet of a spreadsheet has them. */
export interface Sheet {
	readonly columns: readonly string[];
	readonly rows: readonly {
		readonly name: string;
		readonly cells: readonly (FieldMark | undefined)[];
	}[];
}

/** A tracker as rows and columns: days by what is kept, or lines by columns; what is copied as signs is not in it. */
export function sheetOf(tracker: Tracker): Sheet {
	const signs = new Set(signRows(tracker).flatMap(({ fields }) => fields));
	const fields = tracker.fields.filter((field) => !signs.has(field));
	const rowOf = ({ item, day, week, row, nth, column }: Subject) =>
		day !== undefined
			? `${day}`
			: row !== undefined
				? [item, row].filter(Boolean).join(' ')
				: [week === undefined ? undefined : `week ${week}`, item, column, nth]
						.filter((part) => part !== undefined)
						.join(' ');
	const columnOf = ({ item, day, row, column, nth }: Subject) =>
		day !== undefined
			? [item, column, nth].filter((part) => part !== undefined).join(' ')
			: row !== undefined
				? [column, nth].filter((part) => part !== undefined).join(' ')
				: '';
	const columns = [...new Set(fields.map(({ about }) => columnOf(about)))];
	const rows = new Map<string, (FieldMark | undefined)[]>();
	for (const field of fields) {
		const name = rowOf(field.about);
		const cells = rows.get(name) ?? columns.map(() => undefined);
		cells[columns.indexOf(columnOf(field.about))] = field;
		rows.set(name, cells);
	}
	return { columns, rows: [...rows].map(([name, cells]) => ({ name, cells })) };
}

/** A value in a cell of a sheet: line ends and tabs part cells there, and are shown as spaces. */
const cellText = ({ holds }: FieldMark, value: string, locale: string) =>
	valueText(holds, value, locale).replace(/\s+/g, ' ');

/** What stands in a sheet as lines with tabs between the columns; nothing behind the last one. */
export function sheetText(wish: string, { rows }: Sheet, known: Known, locale: string): string {
	return rows
		.map(({ cells }) =>
			cells
				.map((field) => {
					const about = field && subjectKey(field.about);
					const entry = about === undefined ? undefined : known.get(entryKey({ wish, about }));
					return field && entry ? cellText(field, entry.value, locale) : '';
				})
				.join('\t')
				.replace(/\t+$/, '')
		)
		.join('\n')
		.replace(/\n+$/, '');
}

/** Changes that pasted or typed lines make to a sheet from one of its rows on, and the lines that cannot be read. */
export function readSheet(
	wish: string,
	{ rows }: Sheet,
	text: string,
	known: Known,
	reading: Reading
): { readonly changes: readonly Change[]; readonly faults: readonly LineFault[] } {
	const lines = text.replace(/(\r\n|\r|\n)+$/, '').split(/\r\n|\r|\n/);
	const faults: LineFault[] = [];
	if (lines.length > rows.length)
		faults.push({
			line: rows.length + 1,
			says: `${lines.length - rows.length} more lines than there is room for`
		});
	const changes = rows.flatMap(({ cells }, at) => {
		const parts = (lines[at] ?? '').split('\t');
		if (parts.length > cells.length)
			faults.push({
				line: at + 1,
				says: `${parts.length} columns where there are ${cells.length}`
			});
		return cells.flatMap((field, column): Change[] => {
			if (!field) return [];
			const shown = (value: string) => cellText(field, value, reading.locale);
			const typed = typedInto(wish, field, parts[column] ?? '', known, reading, shown);
			if (typed.ok) return [...typed.changes];
			faults.push({ line: at + 1, says: typed.says });
			return [];
		});
	});
	return { changes, faults };
}

/** How texts are read: in a person's language, in a month of so many days. */
export interface Reading {
	readonly locale: string;
	readonly days: number;
}

/** Changes that a typed text makes, or why it cannot be read. */
export type Typed =
	| { readonly ok: true; readonly changes: readonly Change[] }
	| { readonly ok: false; readonly says: string };

/**
 * What a text typed into a field changes: nothing where it is what was shown there, which may be shorter than what is kept,
 * as a rounded number is.
 */
export function typedInto(
	wish: string,
	field: FieldMark,
	text: string,
	known: Known,
	{ locale, days }: Reading,
	shown = (value: string) => valueText(field.holds, value, locale)
): Typed {
	const about = subjectKey(field.about);
	const before = known.get(entryKey({ wish, about }))?.value ?? '';
	if (text.trim() === shown(before).trim()) return { ok: true, changes: [] };
	const levels = field.levels?.length ?? 6;
	const read = readValue(field.holds, text, { locale, levels, days });
	if (!read.ok) return read;
	const { value } = read;
	const same = value === before;
	return { ok: true, changes: same ? [] : [{ wish, about, holds: field.holds, value }] };
}
