import { copyFile, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Migration } from 'kysely';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { openDatabase } from './database';
import { migrations } from './migrations';
import { openFile } from './sqlite';
import { openStore } from '../shelf/store';
import { DatabaseTrouble } from './trouble';

let folder: string;
let path: string;

beforeEach(async () => {
	folder = await mkdtemp(join(tmpdir(), 'horarium-'));
	path = join(folder, 'test.db');
});
afterEach(() => rm(folder, { recursive: true }));

const next: Migration = {
	up: async (db) => db.schema.createTable('later').addColumn('id', 'text').execute()
};

test('the one file alone holds everything: soon after a write, and after closing', async () => {
	const store = await openStore(path);
	const { id } = await store.notebooks.create(a5);
	const copy = join(folder, 'copy.db');
	await vi.waitFor(
		async () => {
			await copyFile(path, copy);
			const copied = await openStore(copy);
			const found = await copied.notebooks.find(id);
			copied.close();
			await rm(copy);
			expect(found?.notebook).toEqual(a5);
		},
		{ timeout: 10_000, interval: 200 }
	);
	const second = await store.notebooks.create(a5);
	store.close();
	await copyFile(path, copy);
	const again = await openStore(copy);
	expect(await again.notebooks.find(second.id)).toBeDefined();
	again.close();
});

test('a step that breaks off leaves the file as it was, and the next start does it again', async () => {
	const broken: Migration = {
		up: async (db) => {
			await next.up(db);
			throw new Error('the power went out');
		}
	};
	(await openDatabase(path)).close();
	await expect(openDatabase(path, { ...migrations, '900-next': broken })).rejects.toThrow('power');
	const { db, close } = await openDatabase(path, { ...migrations, '900-next': next });
	expect((await db.introspection.getTables()).map(({ name }) => name)).toContain('later');
	close();
});

test('a step that was done and not noted, as older versions could leave it, is done again', async () => {
	(await openDatabase(path)).close();
	const file = openFile(path);
	file.exec("delete from kysely_migration where name > '003'");
	file.close();
	const { db, close } = await openDatabase(path);
	expect(await db.selectFrom('month').selectAll().execute()).toEqual([]);
	close();
});

test('before a step the file is copied aside', async () => {
	const store = await openStore(path);
	await store.notebooks.create(a5);
	store.close();
	(await openDatabase(path, { ...migrations, '900-next': next })).close();
	const aside = `${path}.before-900-next`;
	const before = await openStore(aside);
	expect((await before.notebooks.all()).map(({ notebook }) => notebook)).toEqual([a5]);
	before.close();
});

test('what cannot be used is told in one sentence', async () => {
	const told = async (file: string, steps = migrations) => {
		const trouble = await openDatabase(file, steps).then(
			({ close }) => close(),
			(error: unknown) => error
		);
		expect(trouble).toBeInstanceOf(DatabaseTrouble);
		return String(trouble);
	};
	await writeFile(path, 'this is a letter and no database '.repeat(200));
	expect(await told(path)).toContain('is not a database');

	const foreign = join(folder, 'foreign.db');
	const other = openFile(foreign);
	other.exec('create table recipe (name text)');
	other.close();
	expect(await told(foreign)).toContain('another program');

	const newer = join(folder, 'newer.db');
	(await openDatabase(newer, { ...migrations, '900-next': next })).close();
	expect(await told(newer)).toContain('newer Horarium (step 900-next)');

	expect(await told(folder)).toContain('cannot be opened');
	expect(await told(join(path, 'below', 'test.db'))).toContain('cannot be made');
});

test('a lock held by another program keeps nobody from reading, and writing waits for it', async () => {
	const store = await openStore(path);
	const { id } = await store.notebooks.create(a5);
	const other = openFile(path);
	other.exec('begin immediate');
	let written = false;
	const write = store.notebooks.update(id, 1, { ...a5, name: 'Later' }).then(() => {
		written = true;
	});
	expect((await store.notebooks.find(id))?.notebook.name).toBe(a5.name);
	expect(written).toBe(false);
	other.exec('commit');
	other.close();
	await write;
	expect((await store.notebooks.find(id))?.notebook.name).toBe('Later');
	store.close();
});

test('a full disk refuses the write with its reason, and what was kept stays', async () => {
	const { db, close } = await openDatabase(path);
	await db.insertInto('setting').values({ name: 'a', content: 'kept' }).execute();
	close();
	const file = openFile(path);
	// As full as the file is now: the pages of the limit are counted, not bytes of a disk.
	file.exec('PRAGMA max_page_count = 1');
	const large = file.prepare<unknown[]>('insert into setting values (?, ?)');
	expect(() => large.run('b', 'x'.repeat(1_000_000))).toThrow(/full/);
	file.close();
	const again = await openDatabase(path);
	expect(await again.db.selectFrom('setting').selectAll().execute()).toHaveLength(1);
	again.close();
});

test('a row with a fault is set aside by name, and everything else works', async () => {
	const store = await openStore(path);
	const good = await store.notebooks.create(a5);
	const bad = await store.notebooks.create({ ...a5, name: 'Torn' });
	const content = { month: '2027-05', weekStart: 'monday', aim: 'balanced' } as const;
	const wishes = [{ id: 'a', kind: 'cover' }];
	const month = await store.months.create({ notebookId: good.id, ...content, wishes });
	const torn = await store.months.create({ notebookId: good.id, ...content, wishes });
	store.close();
	const file = openFile(path);
	file.exec(`update notebook set content = '{"name": 3' where id = '${bad.id}'`);
	file.exec(
		`update wish set content = '{"id":"a","kind":"nothing"}' where month_id = '${torn.id}'`
	);
	file.close();
	const again = await openStore(path);
	expect((await again.notebooks.all()).map(({ id }) => id)).toEqual([good.id]);
	expect((await again.months.inNotebook(good.id)).map(({ id }) => id)).toEqual([month.id]);
	expect(await again.setAside()).toMatchObject([
		{ what: 'notebook', name: 'Torn' },
		{ what: 'month', name: '2027-05', reason: expect.stringContaining('wishes[0].kind must be') }
	]);
	await expect(again.months.find(torn.id)).rejects.toThrow('It stays in the database as it is');
	again.close();
});
