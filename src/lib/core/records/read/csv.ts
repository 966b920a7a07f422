import Papa from 'papaparse';
import { holdings, subjectKey, subjectOf, type Subject } from '../../draw';
import type { Entry } from '../values/entry';
import { readValue } from './read-value';

const header = ['item', 'day', 'week', 'row', 'column', 'nth', 'holds', 'value'] as const;
/** More lines than these no tracker has. */
const mostLines = 20_000;

/**
 * Entries of one wish as CSV (RFC 4180): what each is about, a column a part of it, and its value; by days, weeks and rows, of
 * each in the order given.
 */
export function toCsv(entries: readonly Entry[]): string {
	const rows = entries
		.map((entry) => ({ ...entry, subject: subjectOf(entry.about) ?? {} }))
		.sort(({ subject: a }, { subject: b }) => byTime(a, b))
		.map(({ subject: { item, day, week, row, column, nth }, holds, value }) =>
			[item, day, week, row, column, nth, holds, value].map((part) => part ?? '')
		);
	return Papa.unparse([[...header], ...rows], { newline: '\r\n' }) + '\r\n';
}

const byTime = (a: Subject, b: Subject) =>
	(a.day ?? 0) - (b.day ?? 0) || (a.week ?? 0) - (b.week ?? 0) || (a.row ?? 0) - (b.row ?? 0);

/** A line of a file that cannot be taken, and why. */
export interface LineFault {
	readonly line: number;
	readonly says: string;
}

/** Entries of a wish from CSV, and the lines that cannot be read. */
export function fromCsv(
	text: string,
	wish: string
): { readonly entries: readonly Entry[]; readonly faults: readonly LineFault[] } {
	const read = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), {
		skipEmptyLines: true,
		preview: mostLines + 2
	});
	const [names = [], ...lines] = read.data;
	if (names.join() !== header.join())
		return { entries: [], faults: [{ line: 1, says: `the first line must be ${header.join()}` }] };
	if (lines.length > mostLines)
		return { entries: [], faults: [{ line: mostLines, says: `more than ${mostLines} lines` }] };
	const entries: Entry[] = [];
	const faults: LineFault[] = read.errors.map(({ row = 0, message }) => ({
		line: row + 1,
		says: message
	}));
	lines.forEach((cells, at) => {
		const line = at + 2;
		const [item = '', day, week, row, column = '', nth, holds, value = ''] = cells;
		const kind = holdings.find((name) => name === holds);
		const parts = [
			...(item === '' ? [] : [`item=${encodeURIComponent(item)}`]),
			...(day ? [`day=${day}`] : []),
			...(week ? [`week=${week}`] : []),
			...(row ? [`row=${row}`] : []),
			...(column === '' ? [] : [`column=${encodeURIComponent(column)}`]),
			...(nth ? [`nth=${nth}`] : [])
		];
		const about = subjectOf(parts.join('&'));
		const plain = kind && readValue(kind, value, { locale: 'en' });
		if (!kind) faults.push({ line, says: `“${holds ?? ''}” is none of ${holdings.join(', ')}` });
		else if (!about) faults.push({ line, says: 'it does not say what it is about' });
		else if (!plain?.ok) faults.push({ line, says: plain?.says ?? 'it has no value' });
		else if (plain.value !== '')
			entries.push({ wish, about: subjectKey(about), holds: kind, value: plain.value });
	});
	return { entries, faults };
}
