import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { jsonSchema, planSchema, type Fault } from '$lib/core/formats';
import { holdings } from '$lib/core/draw';
import { toCsv, type Entry } from '$lib/core/records';
import { parseMonth } from '$lib/core/month';
import type { Files } from './drawn-months';
import { checkFont } from './font-check';
import { cellFault, tables, type Cell, type Dump, type Row } from './dump';

/** Everything that is kept in one file: a ZIP of this version. */
export const version = 1;
const format = 'horarium/shelf';

/** The largest file that is taken, and what it may hold when it is unpacked. */
export const mostFileBytes = 64 * 1024 * 1024;
const mostUnpacked = 400 * 1024 * 1024;
const mostFiles = 5000;

/** ZIP knows no earlier time; with one that never changes the same content gives the same bytes. */
const noTime = new Date(1980, 0, 1);

const fontPath = (id: string) => `fonts/${id}`;
const tablePath = (name: string) => `tables/${name}.json`;
const taken = /^(horarium\.json|tables\/[a-z_]+\.json|fonts\/[0-9a-f-]{1,40})$/;

/**
 * Everything that is kept as a ZIP: tables as JSON, fonts as they are, records as CSV for other programs, and what was
 * drawn of the months.
 */
export function packShelf(dump: Dump, drawn: Files = {}): Uint8Array {
	const files: Zippable = {};
	const add = (path: string, content: Uint8Array) => {
		files[path] = [content, { mtime: noTime, level: 6 }];
	};
	add('horarium.json', json({ format, version }));
	add(
		'schemas/plan.schema.json',
		json(jsonSchema(planSchema, 'urn:horarium:plan:1', 'Horarium plan document'))
	);
	for (const { name } of tables) {
		const rows = dump[name] ?? [];
		for (const { id, file } of rows)
			if (file instanceof Uint8Array) add(fontPath(String(id)), file);
		add(tablePath(name), json(rows.map(withoutBytes)));
	}
	for (const [path, content] of recordFiles(dump)) add(path, strToU8(content));
	for (const [path, content] of Object.entries(drawn)) add(path, content);
	return zipSync(files);
}

const json = (value: unknown) => strToU8(`${JSON.stringify(value, null, '\t')}\n`);

function withoutBytes(row: Row): Record<string, Cell> {
	return Object.fromEntries(
		Object.entries(row).map(([column, value]) => [
			column,
			value instanceof Uint8Array ? fontPath(String(row.id)) : value
		])
	);
}

/** What was filled in, a file a month and thing: “records/2027-04 spending.csv”. */
function recordFiles(dump: Dump): [string, string][] {
	const months = new Map((dump.month ?? []).map(({ id, month }) => [id, String(month)]));
	const groups = new Map<string, { month: string; wish: string; rows: Row[] }>();
	for (const row of dump.entry ?? []) {
		const month = months.get(row.month_id ?? null) ?? '';
		const name = `${month} ${String(row.wish).replace(/[^\p{L}\p{N}-]+/gu, '-')}`;
		const known = groups.get(`${name} ${row.month_id}`) ?? { month, wish: name, rows: [] };
		groups.set(`${name} ${row.month_id}`, { ...known, rows: [...known.rows, row] });
	}
	const used = new Map<string, number>();
	return [...groups.values()].flatMap(({ month, wish, rows }): [string, string][] => {
		const parsed = parseMonth(month);
		if (!parsed) return [];
		const count = (used.get(wish) ?? 0) + 1;
		used.set(wish, count);
		const entries = rows.flatMap(({ wish, about, holds, value }): Entry[] => {
			const known = holdings.find((one) => one === holds);
			const kept = { wish: String(wish), about: String(about), value: String(value) };
			return known ? [{ ...kept, holds: known }] : [];
		});
		return [[`records/${wish}${count > 1 ? ` ${count}` : ''}.csv`, toCsv(entries)]];
	});
}

/** What a file holds, or what is wrong with it and where. */
export type ReadShelf =
	| { readonly ok: true; readonly dump: Dump }
	| { readonly ok: false; readonly faults: readonly Fault[] };

const refused = (path: string, message: string): ReadShelf => ({
	ok: false,
	faults: [{ path, message }]
});

/** Reads a ZIP that `packShelf` made, by this version or an earlier one; takes nothing of one that is broken. */
export function unpackShelf(bytes: Uint8Array): ReadShelf {
	let files: Record<string, Uint8Array>;
	try {
		files = unpacked(bytes);
	} catch (error) {
		const why = error instanceof RangeError ? error.message : 'is no ZIP file that can be read';
		return refused('file', why);
	}
	const head = read(files['horarium.json']);
	if (!isRecord(head) || head.format !== format)
		return refused('horarium.json', 'is missing: this ZIP was not saved by Horarium');
	if (typeof head.version !== 'number' || head.version > version)
		return refused('horarium.json', 'is of a newer Horarium: bring this one up to date');
	const dump: Record<string, readonly Row[]> = {};
	for (const { name, columns } of tables) {
		const path = tablePath(name);
		const rows = files[path] ? read(files[path]) : [];
		if (!Array.isArray(rows)) return refused(path, 'must be a list of rows');
		const found: Row[] = [];
		for (const [at, row] of rows.entries()) {
			if (!isRecord(row)) return refused(`${path}[${at}]`, 'must be a row');
			const cells: Record<string, Cell> = {};
			for (const [column, kind] of Object.entries(columns)) {
				const written = row[column];
				const value = kind === 'bytes' ? files[String(written)] : written;
				const fault = cellFault(kind, value);
				if (fault) return refused(`${path}[${at}].${column}`, fault);
				if (isCell(value)) cells[column] = value;
			}
			found.push(cells);
		}
		dump[name] = found;
	}
	return { ok: true, dump };
}

/** What was read, refused where a font in it cannot be written with: one such font would spoil every sheet. */
export async function fontsChecked(read: ReadShelf): Promise<ReadShelf> {
	if (!read.ok) return read;
	for (const { id, file } of read.dump.own_font ?? []) {
		const font = file instanceof Uint8Array ? await checkFont(file) : undefined;
		if (font?.ok === false) return refused(fontPath(String(id)), font.reason);
	}
	return read;
}

/** Files that are looked at; what else stands in the archive is left packed. */
function unpacked(bytes: Uint8Array): Record<string, Uint8Array> {
	let [sum, count] = [0, 0];
	return unzipSync(bytes, {
		filter: ({ name, originalSize }) => {
			if (!taken.test(name)) return false;
			count++;
			if (count > mostFiles) throw new RangeError(`holds more than ${mostFiles} files`);
			sum += originalSize;
			if (sum > mostUnpacked) throw new RangeError('is too large when it is unpacked');
			return true;
		}
	});
}

function read(file: Uint8Array | undefined): unknown {
	if (!file) return undefined;
	try {
		return JSON.parse(strFromU8(file));
	} catch {
		return undefined;
	}
}

function isRecord(value: unknown): value is Record<string, unknown> {
	return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isCell(value: unknown): value is Cell {
	return (
		typeof value === 'string' ||
		typeof value === 'number' ||
		value === null ||
		value instanceof Uint8Array
	);
}
