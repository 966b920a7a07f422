import { createHash } from 'node:crypto';
import { mkdtemp, readFile, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { defaultHand } from '$lib/core/hand';
import {
	archiveOf,
	everythingIn,
	fileWith,
	rowsIn,
	tableFile,
	type JsonRow
} from '../../../../tests/support/everything';
import { often } from '../../../../tests/support/effort';
import { readPdf } from '../../../../tests/support/read-pdf';
import { openDatabase } from '../keep/database';
import { keepPhotograph, photographsBeside } from '../keep/photograph-files';
import {
	clearForgotten,
	clearUnfinished,
	copiesOf,
	copyBefore,
	copyOfDay,
	copyPath,
	outdated
} from '../shelf/copies';
import { loadDemo } from '../shelf/demo';
import { drawnMonths } from '../shelf/drawn-months';
import { openStore, ShelfFault, type Store } from '../shelf/store';
import { version, type DrawnFile } from './pack';
import { tables, type TableName } from './tables';
import type { WayIn } from './take';
import { readCopy, unpackShelf } from './unpack';

const person = { locale: 'en-GB', hand: defaultHand };
let folder: string;
let path: string;
let store: Store;
beforeEach(async () => {
	folder = await mkdtemp(join(tmpdir(), 'horarium-shelf-'));
	path = join(folder, 'test.db');
	store = await openStore(path);
});
afterEach(async () => {
	store.close();
	await rm(folder, { recursive: true });
});

let made = 0;
const freshPath = (end: string) => join(folder, `${made++}.${end}`);

/** An archive in a database of its own, and what was left out of it. */
async function unpacked(bytes: Uint8Array) {
	const into = freshPath('db');
	const left = await unpackShelf(await fileWith(freshPath('zip'), bytes), into);
	return { into, left };
}

async function take(into: Store, bytes: Uint8Array, way: WayIn) {
	const read = await unpacked(bytes);
	await into.take(read.into, way, read.left);
	return read.left;
}

/** An archive with one table changed. */
function withRows(
	whole: Record<string, Uint8Array>,
	table: TableName,
	change: (rows: JsonRow[]) => unknown
): Uint8Array {
	const parts = { ...whole };
	parts[tableFile(table)] = strToU8(JSON.stringify(change(rowsIn(whole, tableFile(table)))));
	return zipSync(parts);
}

async function collected(files: AsyncIterable<DrawnFile>): Promise<DrawnFile[]> {
	const all: DrawnFile[] = [];
	for await (const file of files) all.push(file);
	return all;
}

const hebrew = () =>
	readFile(
		'node_modules/@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew-400-normal.woff'
	);

/** The smallest PNG there is. */
const photograph = Buffer.from(
	'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNgAAAAAgABSK+kcQAAAABJRU5ErkJggg==',
	'base64'
);

/** What of everything stands in the database itself, and not beside it. */
function inDatabase<T>(everything: Record<string, T>): Record<string, T> {
	return Object.fromEntries(
		Object.entries(everything).filter(([path]) => !path.startsWith('photographs/'))
	);
}

async function filled(): Promise<void> {
	await loadDemo(store);
	await store.person.setYearly([{ month: 12, day: 24, text: 'Grandmother’s birthday' }]);
	await store.person.setPrinter('cabin', { acrossMm: 99.5, downMm: 100 });
	await store.fonts.add('signs', 'hand', [[0x5d0, 0x5ea]], await hebrew());
	const [month] = await store.months.all();
	const picture = keepPhotograph(store.photographFolder, photograph);
	if (picture) await store.photographs.add(month?.id ?? '', 62, picture);
	await store.makings.add(month?.id ?? '', { done: [{ id: '62 rule', at: 1 }], moved: [] });
	const record = await store.months.find(month?.id ?? '');
	if (!record) throw new Error('no month');
	const { id, revision, deleted: _, ...content } = record;
	await store.months.update(id, revision, { ...content, aim: 'roomiest' });
}

describe('everything in one file', () => {
	test('brought into an empty Horarium it is all there, and saved again it is the same file, byte for byte', async () => {
		await filled();
		const here = await everythingIn(store);
		for (const { name } of tables.filter(({ name }) => !['month_set', 'own_kind'].includes(name)))
			expect(here[name]?.length, name).toBeGreaterThan(0);
		const file = await archiveOf(store);
		const other = await openStore(freshPath('db'));
		try {
			expect(await take(other, file, 'merge')).toEqual([]);
			expect(await everythingIn(other)).toEqual(here);
			expect(Buffer.from(await archiveOf(other)).equals(Buffer.from(file))).toBe(true);
			const months = await other.months.all();
			expect(months).toEqual(await store.months.all());
			for (const { id } of months)
				expect(await other.records.ofMonth(id)).toEqual(await store.records.ofMonth(id));
		} finally {
			other.close();
		}
		// Whoever has no Horarium can look at the pages.
		const drawn = await collected(drawnMonths(store, person, new AbortController().signal));
		expect(drawn.map(({ path }) => path.slice(-11))).toEqual(
			['03', '04', '05'].map((month) => `2027-${month}.pdf`)
		);
		const may = await readPdf(drawn.at(-1)?.bytes ?? new Uint8Array());
		expect(may.pages.map(({ text }) => text).join(' ')).toContain('Calm water');
		const again = await collected(drawnMonths(store, person, new AbortController().signal));
		expect(again).toEqual(drawn);
		// Other programs can read the records.
		const spending = unzipSync(file)['records/2027-04 spending.csv'];
		expect(new TextDecoder().decode(spending)).toMatch(
			/^item,day,week,row,column,nth,holds,value\r\n/
		);
	});

	test('more records than one save may hold come back, from the archive and from a copy', async () => {
		await filled();
		const [month] = await store.months.all();
		const many = Array.from({ length: 20_500 }, (_, at) => ({
			wish: `kept-${Math.floor(at / 1000)}`,
			about: `item=Walk&day=${(at % 1000) + 1}`,
			holds: 'mark' as const,
			value: 'x'
		}));
		await store.records.change(month?.id ?? '', many);
		const here = await everythingIn(store);
		const other = await openStore(freshPath('db'));
		try {
			expect(await take(other, await archiveOf(store), 'merge')).toEqual([]);
			expect((await everythingIn(other)).entry).toEqual(here.entry);
		} finally {
			other.close();
		}
		const copy = freshPath('db');
		await store.copyTo(copy);
		const read = freshPath('db');
		expect(await readCopy(copy, read)).toEqual([]);
		await store.records.change(
			month?.id ?? '',
			many.slice(0, 9).map((one) => ({ ...one, value: '' }))
		);
		await store.take(read, 'replace');
		expect((await everythingIn(store)).entry).toEqual(here.entry);
	});

	test('into a full one it says what is new, different and the same, and does as it is told', async () => {
		await filled();
		const file = await archiveOf(store);
		const [may] = (await store.months.all()).slice(-1);
		const record = await store.months.find(may?.id ?? '');
		if (!record) throw new Error('no May');
		// Since then: a wish less, a line more of what comes every year, and a month that is new here.
		const { id: _, revision, deleted: __, ...content } = record;
		await store.months.update(record.id, revision, { ...content, wishes: content.wishes.slice(1) });
		await store.months.create({ ...content, month: '2027-06' });
		await store.person.setYearly([]);
		const { into } = await unpacked(file);
		const found = new Map(
			(await store.compare(into)).map(({ table, ...counts }) => [table, counts])
		);
		expect(found.get('notebook')).toEqual({ added: 0, changed: 0, same: 2 });
		expect(found.get('month')).toEqual({ added: 0, changed: 0, same: 3 });
		expect(found.get('wish')).toMatchObject({ added: 1 });
		expect(found.get('setting')).toMatchObject({ changed: 1 });
		await store.take(into, 'add');
		expect((await store.months.find(record.id))?.wishes).toHaveLength(content.wishes.length - 1);
		expect(await store.person.yearly()).toEqual([]);
		await store.take(into, 'merge');
		expect((await store.months.find(record.id))?.wishes).toEqual(content.wishes);
		expect(await store.person.yearly()).toHaveLength(1);
		expect((await store.months.all()).map(({ month }) => month)).toContain('2027-06');
		await store.take(into, 'replace');
		expect((await store.months.all()).map(({ month }) => month)).not.toContain('2027-06');
		expect((await everythingIn(store)).entry).toEqual(rowsIn(unzipSync(file), tableFile('entry')));
	});

	test('a window that is open meanwhile hears that a month became another one', async () => {
		await filled();
		const [may] = (await store.months.all()).slice(-1);
		const archive = await archiveOf(store);
		const then = await store.months.find(may?.id ?? '');
		if (!then) throw new Error('no May');
		const { id, revision, deleted: _, ...content } = then;
		await store.months.update(id, revision, { ...content, wishes: content.wishes.slice(1) });
		const open = await store.months.find(id);
		for (const way of ['merge', 'replace'] as const) {
			await take(store, archive, way);
			const now = await store.months.find(id);
			expect(now?.wishes).toEqual(content.wishes);
			expect(now?.revision).toBeGreaterThan(Math.max(revision, open?.revision ?? 0));
			const late = await store.months.update(id, open?.revision ?? 0, content);
			expect(late.outcome).toBe('conflict');
		}
		// What stayed the same disturbs nobody.
		const before = await store.months.find(id);
		await take(store, archive, 'merge');
		expect((await store.months.find(id))?.revision).toBe(before?.revision);
		const [book] = await store.notebooks.all();
		if (!book) throw new Error('no book');
		const named = { ...book.notebook, name: 'Another name' };
		await store.notebooks.update(book.id, book.revision, named);
		await take(store, archive, 'merge');
		const renamed = await store.notebooks.find(book.id);
		expect(renamed?.notebook.name).toBe(book.notebook.name);
		expect(renamed?.revision).toBeGreaterThan(book.revision + 1);
	});

	test('what can be read is taken, the rest is named, and what is here under its name stays', async () => {
		await filled();
		const whole = unzipSync(await archiveOf(store));
		const here = await everythingIn(store);
		const [first, ...others] = await store.months.all();
		const firstId = first?.id;
		const broken = withRows(whole, 'wish', (rows) =>
			rows.map((row) => (row.month_id === firstId ? { ...row, content: '{"kind":7}' } : row))
		);
		const other = await openStore(freshPath('db'));
		try {
			const left = await take(other, broken, 'merge');
			expect(left[0]).toMatchObject({ what: 'month', id: firstId, name: '2027-03' });
			expect(left[0]?.reason).toMatch(/missing/);
			expect((await other.months.all()).map(({ id }) => id)).toEqual(others.map(({ id }) => id));
		} finally {
			other.close();
		}
		await take(store, broken, 'replace');
		expect(await everythingIn(store)).toEqual(here);

		const odd: [TableName, (row: JsonRow) => JsonRow, RegExp][] = [
			['entry', (row) => ({ ...row, about: 'day=x' }), /what it is about/],
			['entry', (row) => ({ ...row, value: 7 }), /must be a text/],
			['month', (row) => ({ ...row, revision: 'x' }), /must be a number/],
			['month', (row) => ({ ...row, notebook_id: 'nobody' }), /notebook is not there/],
			['own_font', (row) => ({ ...row, file: 'tables/wish.json' }), /must name a file/]
		];
		for (const [table, change, reason] of odd) {
			const file = withRows(whole, table, ([row, ...rest]) => [change(row ?? {}), ...rest]);
			const { into, left } = await unpacked(file);
			expect(left.map(({ reason }) => reason).join(), table).toMatch(reason);
			const read = await openStore(into);
			const rows = (await everythingIn(read))[table];
			read.close();
			expect(rows).toHaveLength((here[table]?.length ?? 0) - 1);
		}
		const font = Object.keys(whole).find((name) => name.startsWith('fonts/')) ?? '';
		const torn = zipSync({ ...whole, [font]: (whole[font] ?? new Uint8Array()).slice(0, 99) });
		expect((await unpacked(torn)).left).toMatchObject([{ what: 'own_font', name: 'signs' }]);
	});

	test('an archive of an older column set is read; one of a newer Horarium is refused by its version', async () => {
		await filled();
		const whole = unzipSync(await archiveOf(store));
		const older = withRows(whole, 'month', (rows) =>
			rows.map(({ cuts: _, lately: __, ...row }) => row)
		);
		const { left } = await unpacked(older);
		expect(left).toEqual([]);
		const { [tableFile('month_past')]: _, ...without } = whole;
		const head = strToU8('{"format":"horarium/shelf","version":1}');
		expect((await unpacked(zipSync({ ...without, 'horarium.json': head }))).left).toEqual([]);
		const newer = strToU8(`{"format":"horarium/shelf","version":${version + 1}}`);
		await expect(unpacked(zipSync({ ...whole, 'horarium.json': newer }))).rejects.toThrow(
			/newer Horarium/
		);
		// Whoever changes a table gives archives another version, and writes its columns down here.
		const columns = tables.map(({ name, columns }) => `${name}: ${Object.keys(columns).join(' ')}`);
		expect({ version, columns }).toEqual({
			version: 3,
			columns: [
				'notebook: id name content revision created_at deleted_at',
				'month: id notebook_id month week_start aim sizes titles theme lately drawn cuts revision created_at deleted_at',
				'wish: month_id id position kind content',
				'month_past: month_id revision left_at content',
				'month_making: month_id content',
				'entry: month_id wish about holds value',
				'photograph: id month_id page hash type created_at deleted_at',
				'month_set: id name content created_at deleted_at',
				'own_kind: id name content created_at deleted_at',
				'own_font: id name used_for letters file created_at deleted_at',
				'setting: name content',
				'printer: id name across_mm down_mm'
			]
		});
	});

	test('a photograph lies beside the database, not in it, and comes back from an archive as it was', async () => {
		await filled();
		const [month] = await store.months.all();
		const ids = [month?.id ?? ''];
		const [kept] = await store.photographs.ofMonths(ids);
		const file = await archiveOf(store);
		const other = freshPath('db');
		const into = await openStore(other);
		try {
			await take(into, file, 'merge');
			expect(await into.photographs.ofMonths(ids)).toEqual([kept]);
			expect(await readFile(join(photographsBeside(other), kept?.hash ?? ''))).toEqual(photograph);
		} finally {
			into.close();
		}
		const copy = freshPath('db');
		await store.copyTo(copy);
		expect((await readFile(copy)).includes(photograph)).toBe(false);
	});

	test('a photograph that is missing, damaged, or not what its row says is left out, and everything else is taken', async () => {
		await filled();
		const whole = unzipSync(await archiveOf(store));
		const path = `photographs/${createHash('sha256').update(photograph).digest('hex')}`;
		const changed = (change: (row: JsonRow) => JsonRow) =>
			withRows(whole, 'photograph', (rows) =>
				rows.map((row) => (row.page === 62 ? change(row) : row))
			);
		const { [path]: _, ...without } = whole;
		const page = strToU8('<script>alert(1)</script>');
		const odd: [Uint8Array, RegExp][] = [
			[zipSync(without), /not in the file/],
			[zipSync({ ...whole, [path]: page }), /another one/],
			[zipSync({ ...whole, [path]: photograph.subarray(0, 60) }), /another one/],
			[changed((row) => ({ ...row, type: 'text/html' })), /another one/],
			[changed((row) => ({ ...row, hash: '../test.db' })), /not in the file/]
		];
		for (const [bytes, reason] of odd) {
			const { left } = await unpacked(bytes);
			expect(left).toMatchObject([{ what: 'photograph', name: 'page 62' }]);
			expect(left[0]?.reason).toMatch(reason);
		}
	});

	test('a deleted photograph can be brought back for thirty days, and its file goes after them', async () => {
		await filled();
		const [month] = await store.months.all();
		const ids = [month?.id ?? ''];
		const [kept] = await store.photographs.ofMonths(ids);
		const file = join(store.photographFolder, kept?.hash ?? '');
		const inDays = (days: number) => new Date(Date.now() + days * 86_400_000);
		await clearForgotten(store, inDays(400));
		await store.photographs.setDeleted(kept?.id ?? '', true);
		expect(await store.photographs.ofMonths(ids)).toEqual([]);
		await clearForgotten(store, inDays(29));
		await store.photographs.setDeleted(kept?.id ?? '', false);
		expect(await store.photographs.ofMonths(ids)).toEqual([kept]);
		expect(await readFile(file)).toEqual(photograph);
		await store.photographs.setDeleted(kept?.id ?? '', true);
		await clearForgotten(store, inDays(31));
		await expect(readFile(file)).rejects.toThrow('ENOENT');
		await store.photographs.setDeleted(kept?.id ?? '', false);
		expect(await store.photographs.ofMonths(ids)).toEqual([]);
	});

	test('what is broken, foreign, huge or hostile is refused with its place', async () => {
		await filled();
		const whole = unzipSync(await archiveOf(store));
		const pathOf = async (bytes: Uint8Array) =>
			unpacked(bytes).then(
				() => undefined,
				(error: { path?: string }) => error.path
			);
		expect(await pathOf(strToU8('no zip'))).toBe('file');
		expect(await pathOf((await archiveOf(store)).slice(0, 5000))).toBe('file');
		expect(await pathOf(zipSync({ 'readme.txt': strToU8('hello') }))).toBe('horarium.json');
		const wish = tableFile('wish');
		for (const text of ['{', '[{}', '{}', '[1,]', '[{}] x', '"x"'])
			expect(await pathOf(zipSync({ ...whole, [wish]: strToU8(text) })), text).toBe(wish);
		const { [wish]: _, ...without } = whole;
		expect(await pathOf(zipSync(without))).toBe(wish);
		expect(await pathOf(withRows(whole, 'wish', (rows) => rows.slice(1)))).toBe(wish);
		expect(await pathOf(withRows(whole, 'entry', ([row, ...rest]) => [row, row, ...rest]))).toBe(
			tableFile('entry')
		);
		// A path that climbs is none of ours.
		expect(await pathOf(zipSync({ ...whole, '../../outside.json': strToU8('{}') }))).toBe('file');
	});

	test('no flipped bit comes in as something else', async () => {
		await filled();
		const file = await archiveOf(store);
		const here = await everythingIn(store);
		const flips = often(100);
		for (let at = 0; at < flips; at++) {
			const bytes = file.slice();
			const place = Math.floor(((at + 0.5) / flips) * bytes.length);
			bytes[place] = (bytes[place] ?? 0) ^ (1 << (at % 8));
			const read = await unpacked(bytes).catch(() => undefined);
			if (!read) continue;
			// A damaged picture is left out, and told.
			if (read.left.every(({ what }) => what === 'photograph') && read.left.length > 0) continue;
			expect(read.left).toEqual([]);
			const brought = await openStore(read.into);
			expect(await everythingIn(brought), `bit ${at % 8} of byte ${place}`).toEqual(here);
			brought.close();
		}
	}, 120_000);

	test('what breaks a rule of the tables is refused in words, and nothing of it is taken', async () => {
		await filled();
		const here = await everythingIn(store);
		const { into } = await unpacked(
			withRows(unzipSync(await archiveOf(store)), 'setting', ([row, ...rest]) => [
				{ ...row, name: 'other' },
				...rest
			])
		);
		const { db, close } = await openDatabase(into);
		await sql`PRAGMA foreign_keys = OFF`.execute(db);
		await sql`update month set notebook_id = 'nobody'`.execute(db);
		close();
		await expect(store.take(into, 'merge')).rejects.toThrow(ShelfFault);
		expect(await everythingIn(store)).toEqual(here);
	});
});

describe('copies beside the database', () => {
	const at = (day: number, hour = 12) => new Date(2027, 4, day, hour);

	test('a copy a day, of its beginning; the last seven are kept', async () => {
		await filled();
		const before = inDatabase(await everythingIn(store));
		for (let day = 1; day <= 9; day++) await copyOfDay(store, path, at(day));
		await store.person.setYearly([]);
		await copyOfDay(store, path, at(9, 20));
		const copies = copiesOf(path, at(9));
		expect(copies.map(({ day }) => day.slice(-1)).join('')).toBe('9876543');
		for (const { file } of copies) {
			const copy = await openStore(copyPath(path, file) ?? '');
			expect(inDatabase(await everythingIn(copy))).toEqual(before);
			copy.close();
		}
		expect(copyPath(path, '../test.db')).toBeUndefined();
	});

	test('each change has a copy of its own, kept for thirty days, the last three always', async () => {
		await copyOfDay(store, path, at(1));
		for (const hour of [9, 10, 10, 11]) await copyBefore(store, path, at(1, hour));
		const times = () => copiesOf(path, at(28)).map(({ time }) => time);
		expect(times()).toEqual(['11:00:00', '10:00:00-2', '10:00:00', '09:00:00', '']);
		// They do not count among the copies of days.
		for (let day = 2; day <= 8; day++) await copyOfDay(store, path, at(day));
		expect(copiesOf(path, at(8)).filter(({ before }) => !before)).toHaveLength(7);
		expect(outdated(copiesOf(path, at(31)), at(31)).map(({ file }) => file)).toEqual([]);
		const june = new Date(2027, 5, 15);
		expect(outdated(copiesOf(path, june), june).map(({ time }) => time)).toEqual(['09:00:00']);
	});

	test('a copy dated after today is of a wrong clock: it pushes out no other', async () => {
		await copyOfDay(store, path, new Date(2031, 0, 1));
		await copyBefore(store, path, new Date(2031, 0, 1));
		for (let day = 1; day <= 6; day++) await copyOfDay(store, path, at(day));
		const copies = copiesOf(path, at(6));
		expect(copies.map(({ wrongClock }) => wrongClock)).toEqual([
			...Array.from({ length: 6 }, () => false),
			true,
			true
		]);
		await copyOfDay(store, path, at(7));
		expect(copiesOf(path, at(7)).filter(({ before, wrongClock }) => !before && wrongClock)).toEqual(
			[]
		);
	});

	test('what a kill or a full disk left unfinished is cleared, and nothing else', async () => {
		await copyOfDay(store, path, at(1));
		const gone = 2 ** 22 + 1;
		const parts = [
			join(folder, `test.db.some-archive.${gone}.part`),
			join(folder, `test.db.some-archive.${gone}.part-wal`),
			join(`${path}.copies`, `2027-05-02.db.${gone}.part`)
		];
		const stay = join(folder, `test.db.mine.${process.ppid}.part`);
		for (const file of [...parts, stay]) await writeFile(file, 'x');
		clearUnfinished(path);
		const left = [...(await readdir(folder)), ...(await readdir(`${path}.copies`))];
		expect(left.filter((name) => name.includes('.part'))).toEqual([
			`test.db.mine.${process.ppid}.part`
		]);
		expect(copiesOf(path, at(1))).toHaveLength(1);
	});
});
