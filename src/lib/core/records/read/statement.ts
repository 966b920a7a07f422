import Papa from 'papaparse';
import type { LineFault } from './csv';
import { directionNamed, type Minor } from '../values/money';

/** In which order a date is written. */
export const dateOrders = ['ymd', 'dmy', 'mdy'] as const;

export type DateOrder = (typeof dateOrders)[number];

/** How a bank writes its statements; columns by their places. */
export interface BankHabits {
	readonly day: number;
	readonly text: number;
	/** One column with a sign. */
	readonly amount: number;
	/** Where what came in stands in a column of its own, `amount` is what went out. */
	readonly came?: number;
	readonly order: DateOrder;
	readonly decimal: '.' | ',';
	/** What went out is written without a sign, or what came in with a minus. */
	readonly turned?: boolean;
}

/** A file as it lies: its columns’ names, and its lines. */
export interface Statement {
	readonly columns: readonly string[];
	readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
	/** Lines below them that have more or fewer columns. */
	readonly odd: readonly LineFault[];
}

/** A booking: what went out is positive. */
export interface BankBooking {
	/** 2027-04-03 */
	readonly date: string;
	readonly text: string;
	readonly out: Minor;
	/** Tells it from all others, also from an equal one of the same day. */
	readonly key: string;
}

const mostLines = 20_000;
const mostLetters = 200;

/** The text of a statement’s bytes: UTF-8, or else as older programs of western Europe write it. */
export function statementText(bytes: Uint8Array): string {
	try {
		return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
	} catch {
		return new TextDecoder('windows-1252').decode(bytes);
	}
}

/**
 * Lines of a CSV file (RFC 4180 and its relatives: the separator is found out), from the line that names the columns on:
 * banks write some words above it.
 */
export function readStatement(text: string): Statement | LineFault {
	const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { preview: mostLines + 1 });
	if (data.length > mostLines) return { line: mostLines, says: `more than ${mostLines} lines` };
	const rows = data
		.map((cells, at) => ({ line: at + 1, cells: cells.map((cell) => cell.trim()) }))
		.filter(({ cells }) => cells.some(Boolean));
	const width = usualWidth(rows.map(({ cells }) => cells.length));
	const head = rows.findIndex(
		({ cells }) => cells.length === width && cells.filter(Boolean).length >= Math.min(3, width)
	);
	const columns = rows[head]?.cells;
	if (!columns || width < 3)
		return { line: 1, says: 'no table with a day, words and a sum was found' };
	const below = rows.slice(head + 1);
	const odd = below.flatMap(({ line, cells }) =>
		cells.length === width ? [] : [{ line, says: `has ${cells.length} columns, not ${width}` }]
	);
	return { columns, rows: below.filter(({ cells }) => cells.length === width), odd };
}

/** Columns that most lines have, of those with three at least; the more where two are as frequent. */
function usualWidth(widths: readonly number[]): number {
	const counts = new Map<number, number>();
	for (const width of widths) if (width >= 3) counts.set(width, (counts.get(width) ?? 0) + 1);
	const [usual] = [...counts].sort((a, b) => b[1] - a[1] || b[0] - a[0]);
	return usual?.[0] ?? 0;
}

/** What tells statements of one bank from those of others. */
export function signatureOf({ columns }: Statement): string {
	return columns.join('|').toLowerCase();
}

/** A date in plain form; undefined where it is none in that order. */
export function dateIn(text: string, order: DateOrder): string | undefined {
	const parts = /^(\d{1,4})[./-](\d{1,2})[./-](\d{1,4})\b/.exec(text);
	const numbers = [parts?.[1], parts?.[2], parts?.[3]];
	const at = (letter: string) => Number(numbers[order.indexOf(letter)]);
	const yearText = numbers[order.indexOf('y')];
	if (!yearText || (yearText.length !== 4 && yearText.length !== 2)) return undefined;
	const year = yearText.length === 2 ? 2000 + at('y') : at('y');
	const [month, day] = [at('m'), at('d')];
	const date = new Date(Date.UTC(year, month - 1, day));
	if (date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day) return undefined;
	return date.toISOString().slice(0, 10);
}

/** A sum in the smallest unit: “-1.234,50 EUR”, “(12.50)”, “1 234,50-”; undefined where it is none. */
export function sumIn(text: string, decimal: '.' | ','): Minor | undefined {
	const minus = /^\(.*\)$|^\s*[-−–]|[-−–]\s*$/.test(text);
	const bare = text.replace(/[^\d.,]/g, '');
	const plain =
		decimal === ',' ? bare.replaceAll('.', '').replace(',', '.') : bare.replaceAll(',', '');
	const found = /^(\d{1,9})(?:\.(\d{1,2}))?$/.exec(plain);
	if (!found || /[A-Za-z]{4,}/.test(text)) return undefined;
	const minor = Number(found[1]) * 100 + Number((found[2] ?? '0').padEnd(2, '0'));
	return minus && minor > 0 ? -minor : minor;
}

/** How a statement is written, as far as its content tells; undefined where it does not. */
export function guessHabits({ columns, rows }: Statement, locale: string): BankHabits | undefined {
	const sample = rows.slice(0, 200);
	const cellsOf = (column: number) => sample.flatMap(({ cells }) => cells[column] || []);
	const most = (column: number, read: (cell: string) => unknown) => {
		const cells = cellsOf(column);
		return (
			cells.length > 0 &&
			cells.filter((cell) => read(cell) !== undefined).length >= 0.8 * cells.length
		);
	};
	const places = columns.map((_, at) => at);
	const americans = locale === 'en-US';
	const orders = americans ? (['ymd', 'mdy', 'dmy'] as const) : dateOrders;
	const dated = places.flatMap((column) =>
		orders
			.filter(
				(order) =>
					cellsOf(column).length > 0 && cellsOf(column).every((cell) => dateIn(cell, order))
			)
			.map((order) => ({ column, order }))
	);
	const [day] = dated;
	if (!day) return undefined;
	const notDates = places.filter((column) => !dated.some((one) => one.column === column));
	const decimal = decimalOf(notDates.flatMap(cellsOf));
	const sums = notDates.filter((column) => most(column, (cell) => sumIn(cell, decimal)));
	const named = (words: RegExp) => sums.find((column) => words.test(columns[column] ?? ''));
	const movements = sums.filter(
		(column) => !/balance|saldo|solde|total/i.test(columns[column] ?? '')
	);
	const [first, second] = movements;
	if (first === undefined) return undefined;
	const texts = notDates.filter((column) => !sums.includes(column));
	const length = (column: number) =>
		new Set(cellsOf(column)).size * cellsOf(column).reduce((sum, cell) => sum + cell.length, 0);
	const [text] = texts.sort((a, b) => length(b) - length(a));
	if (text === undefined) return undefined;
	const apart =
		second !== undefined && sample.every(({ cells }) => !(cells[first] && cells[second]));
	if (apart) {
		const [amount, came] = outAndIn(columns, movements, (column) => cellsOf(column).length);
		return { day: day.column, text, amount, came, order: day.order, decimal };
	}
	const amount = named(/amount|betrag|sum|montant|value/i) ?? first;
	// More goes out than comes in, one by one (common practice): what most bookings are is out.
	const signs = cellsOf(amount).map((cell) => Math.sign(sumIn(cell, decimal) ?? 0));
	const turned = signs.reduce((sum, sign) => sum + sign, 0) > 0;
	return {
		day: day.column,
		text,
		amount,
		order: day.order,
		decimal,
		...(turned ? { turned } : {})
	};
}

/**
 * Of columns for sums of two directions the one for what went out, and that for what came in: by their names, or, since more
 * goes out than comes in, one by one (common practice), by how much stands in them.
 */
function outAndIn(
	columns: readonly string[],
	movements: readonly number[],
	countIn: (column: number) => number
): [number, number | undefined] {
	const nameOf = (column: number) => columns[column] ?? '';
	const fuller = [...movements].sort((a, b) => countIn(b) - countIn(a));
	const came = movements.find((column) => directionNamed(nameOf(column)) === 'in');
	const rest = fuller.filter((column) => column !== came);
	const out = rest.find((column) => directionNamed(nameOf(column)) === 'out') ?? rest[0] ?? 0;
	return [out, came ?? fuller.find((column) => column !== out)];
}

/** What stands before the last one or two figures of sums. */
function decimalOf(cells: readonly string[]): '.' | ',' {
	const ends = cells.flatMap((cell) => /([.,])\d{1,2}\D{0,5}$/.exec(cell)?.[1] ?? []);
	const commas = ends.filter((end) => end === ',').length;
	return commas * 2 > ends.length ? ',' : '.';
}

/** Bookings of a statement, and lines that cannot be read. */
export function bookingsIn(
	{ rows, odd }: Statement,
	habits: BankHabits
): { readonly bookings: readonly BankBooking[]; readonly faults: readonly LineFault[] } {
	const faults: LineFault[] = [...odd];
	const counts = new Map<string, number>();
	const bookings = rows.flatMap(({ line, cells }): BankBooking[] => {
		const date = dateIn(cells[habits.day] ?? '', habits.order);
		const out = outOf(cells, habits);
		if (date === undefined || out === undefined) {
			faults.push({
				line,
				says: date === undefined ? 'has no day that can be read' : 'has no sum that can be read'
			});
			return [];
		}
		const text = (cells[habits.text] ?? '').replace(/\s+/g, ' ').trim().slice(0, mostLetters);
		const plain = `${date} ${out} ${text}`;
		const nth = (counts.get(plain) ?? 0) + 1;
		counts.set(plain, nth);
		return [{ date, text, out, key: nth > 1 ? `${plain} ${nth}` : plain }];
	});
	return { bookings, faults };
}

function outOf(cells: readonly string[], habits: BankHabits): Minor | undefined {
	const { amount, came, decimal, turned } = habits;
	const first = cells[amount] ?? '';
	if (came === undefined) {
		const sum = sumIn(first, decimal);
		return sum === undefined ? undefined : sum === 0 || turned ? sum : -sum;
	}
	if (first) {
		const sum = sumIn(first, decimal);
		return sum === undefined ? undefined : Math.abs(sum);
	}
	const sum = sumIn(cells[came] ?? '', decimal);
	return sum === undefined || sum === 0 ? sum : -Math.abs(sum);
}
