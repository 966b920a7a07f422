import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { defaultHand } from '$lib/core/hand';
import { copiesOf, copyAside, copyPath, mostCopies } from './copies';
import { loadDemo } from './demo';
import { compared, tables, type Dump } from './dump';
import { readPdf } from '../../../tests/support/read-pdf';
import { drawnMonths } from './drawn-months';
import { fontsChecked, packShelf, unpackShelf } from './shelf-file';
import { openStore, ShelfFault, type Store } from './store';

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

function dumpIn(bytes: Uint8Array): Dump {
	const read = unpackShelf(bytes);
	if (!read.ok) throw new Error(JSON.stringify(read.faults));
	return read.dump;
}

const hebrew = () =>
	readFile(
		'node_modules/@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew-400-normal.woff'
	);

async function filled(): Promise<void> {
	await loadDemo(store);
	await store.person.setYearly([{ month: 12, day: 24, text: 'Grandmother’s birthday' }]);
	await store.person.setPrinter('cabin', { acrossMm: 99.5, downMm: 100 });
	await store.fonts.add('signs', 'hand', [[0x5d0, 0x5ea]], await hebrew());
	const [month] = await store.months.all();
	await store.makings.add(month?.id ?? '', { done: [{ id: '62 rule', at: 1 }], moved: [] });
	const record = await store.months.find(month?.id ?? '');
	if (!record) throw new Error('no month');
	const { id, revision, deleted: _, ...content } = record;
	await store.months.update(id, revision, { ...content, aim: 'roomiest' });
}

describe('everything in one file', () => {
	test('brought into an empty Horarium it is all there, and saved again it is the same file, byte for byte', async () => {
		await filled();
		const here = await store.dump();
		for (const { name } of tables.filter(({ name }) => !['month_set', 'own_kind'].includes(name)))
			expect(here[name]?.length, name).toBeGreaterThan(0);
		const file = packShelf(here);
		const other = await openStore(join(folder, 'other.db'));
		try {
			await other.take(dumpIn(file), 'merge');
			expect(await other.dump()).toEqual(here);
			expect(Buffer.from(packShelf(await other.dump())).equals(Buffer.from(file))).toBe(true);
			const months = await other.months.all();
			expect(months).toEqual(await store.months.all());
			for (const { id } of months)
				expect(await other.records.ofMonth(id)).toEqual(await store.records.ofMonth(id));
		} finally {
			other.close();
		}
		// Whoever has no Horarium can look at the pages.
		const drawn = await drawnMonths(store, person, new AbortController().signal);
		const again = await drawnMonths(store, person, new AbortController().signal);
		expect(Object.keys(drawn).map((name) => name.slice(-11))).toEqual(
			['03', '04', '05'].map((month) => `2027-${month}.pdf`)
		);
		const may = await readPdf(Object.values(drawn).at(-1) ?? new Uint8Array());
		expect(may.pages.map(({ text }) => text).join(' ')).toContain('Calm water');
		expect(packShelf(here, drawn)).toEqual(packShelf(here, again));
		expect(dumpIn(packShelf(here, drawn))).toEqual(here);
		// Other programs can read the records.
		const spending = unzipSync(file)['records/2027-04 spending.csv'];
		expect(new TextDecoder().decode(spending)).toMatch(
			/^item,day,week,row,column,nth,holds,value\r\n/
		);
	});

	test('a font in it is looked at as closely as one that is added by hand', async () => {
		await filled();
		const whole = unzipSync(packShelf(await store.dump()));
		const font = Object.keys(whole).find((name) => name.startsWith('fonts/')) ?? '';
		expect((await fontsChecked(unpackShelf(zipSync(whole)))).ok).toBe(true);
		const torn = zipSync({ ...whole, [font]: (whole[font] ?? new Uint8Array()).slice(0, 99) });
		const read = await fontsChecked(unpackShelf(torn));
		expect(read).toMatchObject({ ok: false, faults: [{ path: font }] });
	});

	test('into a full one it says what is new, different and the same, and does as it is told', async () => {
		await filled();
		const file = packShelf(await store.dump());
		const [may] = (await store.months.all()).slice(-1);
		const record = await store.months.find(may?.id ?? '');
		if (!record) throw new Error('no May');
		// Since then: a wish less, a line more of what comes every year, and a month that is new here.
		const { id: _, revision, deleted: __, ...content } = record;
		await store.months.update(record.id, revision, { ...content, wishes: content.wishes.slice(1) });
		await store.months.create({ ...content, month: '2027-06' });
		await store.person.setYearly([]);
		const found = new Map(
			compared(await store.dump(), dumpIn(file)).map(({ table, ...counts }) => [table, counts])
		);
		expect(found.get('notebook')).toEqual({ added: 0, changed: 0, same: 2 });
		expect(found.get('month')).toEqual({ added: 0, changed: 1, same: 2 });
		expect(found.get('wish')).toMatchObject({ added: 1 });
		expect(found.get('setting')).toMatchObject({ changed: 1 });
		await store.take(dumpIn(file), 'add');
		expect((await store.months.find(record.id))?.wishes).toHaveLength(content.wishes.length - 1);
		expect(await store.person.yearly()).toEqual([]);
		await store.take(dumpIn(file), 'merge');
		expect((await store.months.find(record.id))?.wishes).toEqual(content.wishes);
		expect(await store.person.yearly()).toHaveLength(1);
		expect((await store.months.all()).map(({ month }) => month)).toContain('2027-06');
		await store.take(dumpIn(file), 'replace');
		expect((await store.months.all()).map(({ month }) => month)).not.toContain('2027-06');
	});

	test('what is broken, foreign, newer, huge or hostile is refused with its place, and nothing of it is taken', async () => {
		await filled();
		const before = await store.dump();
		const whole = unzipSync(packShelf(before));
		const changed = (path: string, change: (rows: Record<string, unknown>[]) => unknown) => {
			const rows = JSON.parse(new TextDecoder().decode(whole[path])) as Record<string, unknown>[];
			return zipSync({ ...whole, [path]: strToU8(JSON.stringify(change(rows))) });
		};
		const pathOf = (bytes: Uint8Array) => {
			const read = unpackShelf(bytes);
			return read.ok ? undefined : read.faults[0]?.path;
		};
		expect(pathOf(strToU8('no zip'))).toBe('file');
		expect(pathOf(packShelf(before).slice(0, 5000))).toBe('file');
		expect(pathOf(zipSync({ 'readme.txt': strToU8('hello') }))).toBe('horarium.json');
		const newer = { ...whole, 'horarium.json': strToU8('{"format":"horarium/shelf","version":2}') };
		expect(pathOf(zipSync(newer))).toBe('horarium.json');
		expect(pathOf(zipSync({ ...whole, 'tables/wish.json': strToU8('{') }))).toBe(
			'tables/wish.json'
		);
		expect(
			pathOf(changed('tables/month.json', (rows) => rows.map((row) => ({ ...row, revision: 'x' }))))
		).toBe('tables/month.json[0].revision');
		const bomb = Object.fromEntries(
			Array.from({ length: 5001 }, (_, at) => [`fonts/${at}`, new Uint8Array(1)])
		);
		expect(pathOf(zipSync(bomb))).toBe('file');
		// A path that climbs is no file of ours, whatever it holds.
		const climbing = { ...whole, '../../outside.json': strToU8('{}') };
		expect(pathOf(zipSync(climbing))).toBeUndefined();
		// What only the database and its checks can see.
		const hostile = [
			changed('tables/wish.json', (rows) => rows.map((row) => ({ ...row, content: '{"kind":7}' }))),
			changed('tables/month.json', (rows) =>
				rows.map((row) => ({ ...row, notebook_id: 'nobody', id: 'x' }))
			),
			changed('tables/entry.json', (rows) => rows.map((row) => ({ ...row, about: 'day=x' })))
		];
		for (const file of hostile) {
			await expect(store.take(dumpIn(file), 'merge')).rejects.toThrow();
			expect(await store.dump()).toEqual(before);
		}
		await expect(store.take(dumpIn(hostile[0] ?? new Uint8Array()), 'merge')).rejects.toThrow(
			ShelfFault
		);
	});
});

test('copies lie beside the database, the last ones are kept, and each opens as it was', async () => {
	await filled();
	const before = await store.dump();
	for (let day = 1; day <= 9; day++) await copyAside(store, path, `2027-05-0${day}`);
	await store.person.setYearly([]);
	await copyAside(store, path, '2027-05-09');
	await copyAside(store, path, '2027-05-09', true);
	const copies = copiesOf(path);
	expect(copies).toHaveLength(mostCopies);
	expect(copies.map(({ day }) => day).at(-1)).toBe('2027-05-04');
	// A copy of a day is that of its beginning; what was put aside is the latest.
	for (const { file, before: late } of copies) {
		const copy = await openStore(copyPath(path, file) ?? '');
		try {
			expect(await copy.person.yearly()).toHaveLength(late ? 0 : 1);
			if (!late) expect(await copy.dump()).toEqual(before);
		} finally {
			copy.close();
		}
	}
	expect(copyPath(path, '../test.db')).toBeUndefined();
});
