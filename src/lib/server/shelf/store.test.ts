import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { openDatabase } from '../keep/database';
import { migrations } from '../keep/migrations';
import { loadDemo } from './demo';
import type { MonthContent } from '../stores/month-row';
import { openStore, type Store } from './store';

let folder: string;
let store: Store;

beforeEach(async () => {
	folder = await mkdtemp(join(tmpdir(), 'horarium-'));
	store = await openStore(join(folder, 'test.db'));
});

afterEach(async () => {
	store.close();
	await rm(folder, { recursive: true });
});

async function aMonth(): Promise<MonthContent> {
	const { id } = await store.notebooks.create(a5);
	const wishes = [
		{ id: 'a', kind: 'cover', title: 'MAY' },
		{ id: 'b', kind: 'habits', items: [{ name: 'Walk' }] }
	];
	return { notebookId: id, month: '2027-05', weekStart: 'monday', aim: 'balanced', wishes };
}

test('what was written is there after the file is opened again', async () => {
	const content: MonthContent = {
		...(await aMonth()),
		cuts: [{ id: 'door', kind: 'strip', leaves: { first: 13, last: 15 }, amount: 10 }],
		theme: {
			motif: 'rope and lanterns',
			lines: '#132c3a',
			lettering: '#004867',
			rest: '#dfeef7',
			accent: '#f2b58c',
			key: '#ffd4b8'
		}
	};
	const { id } = await store.months.create(content);
	store.close();
	store = await openStore(join(folder, 'test.db'));
	expect(await store.months.find(id)).toMatchObject({ ...content, revision: 1, deleted: false });
	expect((await store.notebooks.all())[0]?.notebook).toEqual(a5);
});

test('what stood beside a calendar by name lives there after the file is renewed', async () => {
	const path = join(folder, 'named.db');
	const older = Object.fromEntries(
		Object.entries(migrations).filter(([name]) => name < '008-rooms')
	);
	const { db, close } = await openDatabase(path, older);
	const wishes = [
		{ id: 'c', kind: 'month-calendar', span: 'spread', parts: ['Watches', 'To bake'] },
		{ id: 'l', kind: 'month-calendar', form: 'month-list', parts: ['Sky', 'Sea'] }
	];
	await db
		.insertInto('notebook')
		.values({ id: 'b', name: 'A5', content: JSON.stringify(a5), revision: 1, created_at: '' })
		.execute();
	await sql`insert into month (id, notebook_id, month, week_start, aim, revision, created_at)
		values ('m', 'b', '2027-05', 'monday', 'balanced', 1, '')`.execute(db);
	for (const [position, wish] of wishes.entries())
		await db
			.insertInto('wish')
			.values({
				month_id: 'm',
				id: wish.id,
				position,
				kind: wish.kind,
				content: JSON.stringify(wish)
			})
			.execute();
	close();
	const renewed = await openStore(path);
	const month = await renewed.months.find('m');
	renewed.close();
	expect(month?.wishes[0]).toEqual({
		id: 'c',
		kind: 'month-calendar',
		span: 'spread',
		members: ['Watches', 'To bake'].map((title, index) => ({
			id: `c-section-${index + 1}`,
			kind: 'tasks',
			form: 'lists',
			title,
			room: 'right'
		}))
	});
	expect(month?.wishes[1]).toEqual(wishes[1]);
});

test('wishes and drawn pages of an older file hold each form’s rules apart', async () => {
	const path = join(folder, 'older.db');
	const older = Object.fromEntries(
		Object.entries(migrations).filter(([name]) => name < '007-rules-by-form')
	);
	const { db, close } = await openDatabase(path, older);
	const base = { revision: 1, created_at: '', deleted_at: null };
	const book = { id: 'b', name: 'A5', content: JSON.stringify(a5) };
	await db
		.insertInto('notebook')
		.values({ ...base, ...book })
		.execute();
	const drawn = {
		pages: [12],
		blocks: [
			{
				wish: { id: 'w', kind: 'weekly-pages', week: 2, folded: [] },
				form: 'week-rows',
				pieces: [{ page: 12, rect: { x: 0, y: 0, w: 28, h: 40 } }]
			}
		]
	};
	await db
		.insertInto('month')
		.values({
			...base,
			id: 'm',
			notebook_id: 'b',
			month: '2027-05',
			week_start: 'monday',
			aim: 'balanced',
			drawn: JSON.stringify(drawn)
		})
		.execute();
	const wish = { id: 's', kind: 'sleep', title: 'Sleep', from: 20 };
	const broken = { month_id: 'm', id: 'x', position: 1, kind: 'sleep', content: '{' };
	const row = { month_id: 'm', id: 's', position: 0, kind: 'sleep', content: JSON.stringify(wish) };
	await db.insertInto('wish').values(row).execute();
	const kind = { id: 'k', name: 'Nights', content: JSON.stringify(wish) };
	await db
		.insertInto('own_kind')
		.values({ ...kind, created_at: '', deleted_at: null })
		.execute();
	close();

	const opened = await openStore(path);
	const rules = { hours: { from: 20 }, 'bed-wake': { from: 20 } };
	const month = await opened.months.find('m');
	expect(month?.wishes).toEqual([{ id: 's', kind: 'sleep', title: 'Sleep', rules }]);
	expect(month?.drawn?.blocks[0]?.wish.part).toEqual({ week: 2, page: 1, folded: [] });
	expect((await opened.kinds.all())[0]?.wish.rules).toEqual(rules);
	opened.close();

	// What is no JSON stays as it is, to be set aside when it is read.
	const again = await openDatabase(join(folder, 'broken.db'), older);
	await again.db
		.insertInto('notebook')
		.values({ ...base, ...book })
		.execute();
	const empty = { ...base, id: 'm', notebook_id: 'b', month: '2027-05', week_start: 'monday' };
	await again.db
		.insertInto('month')
		.values({ ...empty, aim: 'balanced' })
		.execute();
	await again.db.insertInto('wish').values(broken).execute();
	again.close();
	const store = await openStore(join(folder, 'broken.db'));
	expect(await store.setAside()).toMatchObject([{ what: 'month', id: 'm' }]);
	store.close();
});

test('the file keeps a write-ahead log and foreign keys', async () => {
	const { db, close } = await openDatabase(join(folder, 'test.db'));
	const orphan = {
		id: 'm',
		notebook_id: 'nobody',
		month: '2027-05',
		week_start: 'monday',
		aim: 'balanced',
		revision: 1,
		created_at: '',
		deleted_at: null
	};
	await expect(db.insertInto('month').values(orphan).execute()).rejects.toThrow(/FOREIGN KEY/);
	close();
});

test('a write on top of an older revision changes nothing and shows what is kept', async () => {
	const content = await aMonth();
	const { id } = await store.months.create(content);
	const mine = { ...content, wishes: content.wishes.slice(0, 1) };
	expect(await store.months.update(id, 1, mine)).toMatchObject({
		outcome: 'written',
		record: { revision: 2, wishes: mine.wishes }
	});
	const theirs = await store.months.update(id, 1, { ...content, aim: 'roomiest' });
	expect(theirs).toMatchObject({ outcome: 'conflict', record: { revision: 2, aim: 'balanced' } });
	expect(await store.months.find(id)).toMatchObject({ revision: 2, wishes: mine.wishes });
	expect(await store.months.update('nobody', 1, content)).toEqual({ outcome: 'missing' });
});

test('a write that fails halfway leaves the month as it was', async () => {
	const content = await aMonth();
	const { id } = await store.months.create(content);
	const doubled = {
		...content,
		aim: 'roomiest' as const,
		wishes: [...content.wishes, ...content.wishes]
	};
	await expect(store.months.update(id, 1, doubled)).rejects.toThrow(/UNIQUE/);
	expect(await store.months.find(id)).toMatchObject({ ...content, revision: 1 });
});

test('deleting marks, and bringing back takes the mark away', async () => {
	const content = await aMonth();
	const { id } = await store.months.create(content);
	await store.months.setDeleted(id, true);
	expect((await store.months.all())[0]?.deleted).toBe(true);
	await store.months.setDeleted(id, false);
	expect(await store.months.find(id)).toMatchObject({ ...content, deleted: false });
	expect(await store.notebooks.setDeleted('nobody', true)).toEqual({ outcome: 'missing' });
});

test('the demo is loaded into an empty database, and only there', async () => {
	await loadDemo(store);
	await loadDemo(store);
	expect(await store.notebooks.all()).toHaveLength(2);
	expect(await store.months.all()).toHaveLength(3);
});
