import { afterEach, beforeEach, expect, test } from 'vitest';
import { a5 } from '../../../tests/support/arbitraries';
import { defaultHand } from '$lib/core/hand';
import { monthsInBook, pagesLeft, placedMonth } from './shelf';
import { openStore, type Store } from './store';

const person = { locale: 'en', hand: defaultHand };
const book = { ...a5, freePages: [{ first: 12, last: 31 }] };
let store: Store;
let notebookId: string;

beforeEach(async () => {
	store = await openStore(':memory:');
	notebookId = (await store.notebooks.create(book)).id;
});
afterEach(() => store.close());

const plan = (month: string, kinds: string[]) =>
	store.months.create({
		notebookId,
		month,
		weekStart: 'monday',
		aim: 'balanced',
		wishes: kinds.map((kind, index) => ({ id: `w${index}`, kind }))
	});

test('months follow one another in the book, whatever order they were planned in', async () => {
	await plan('2027-06', ['cover']);
	await plan('2027-05', ['cover', 'one-line-a-day']);
	const placed = await monthsInBook(store, notebookId, book, person);
	expect(
		placed.map(({ record, run }) => [record.month, run.pages.map(({ number }) => number)])
	).toEqual([
		['2027-05', [12, 13]],
		['2027-06', [14]]
	]);
	expect(pagesLeft(book, placed)).toBe(17);
});

test('a month that begins on a leaf which the one before has cut knows of it', async () => {
	await store.months.create({
		notebookId,
		month: '2027-05',
		weekStart: 'monday',
		aim: 'balanced',
		wishes: ['cover', 'one-line-a-day'].map((kind, index) => ({ id: `w${index}`, kind })),
		cuts: [{ id: 'door', kind: 'strip', leaves: { first: 13, last: 13 }, amount: 2 }]
	});
	const june = await plan('2027-06', ['brain-dump']);
	const placed = await placedMonth(store, june.id, person);
	expect(placed?.plan.earlierCuts).toHaveLength(1);
	const [dump] = placed?.run.blocks ?? [];
	expect(dump?.pieces[0]).toMatchObject({ page: 14, rect: { x: 2, w: 26 } });
});

test('a deleted month leaves its pages to the others', async () => {
	const may = await plan('2027-05', ['cover']);
	const june = await plan('2027-06', ['cover']);
	expect((await placedMonth(store, june.id, person))?.run.pages[0]?.number).toBe(13);
	await store.months.setDeleted(may.id, true);
	expect((await placedMonth(store, june.id, person))?.run.pages[0]?.number).toBe(12);
	expect(await placedMonth(store, may.id, person)).toBeUndefined();
});

test('a month in another book takes no page of this one', async () => {
	const other = await store.notebooks.create(a5);
	await store.months.create({
		notebookId: other.id,
		month: '2027-04',
		weekStart: 'monday',
		aim: 'balanced',
		wishes: [{ id: 'a', kind: 'cover' }]
	});
	const may = await plan('2027-05', ['cover']);
	expect((await placedMonth(store, may.id, person))?.run.pages[0]?.number).toBe(12);
});

test('a book that is full says so for the month that no longer fits', async () => {
	const small = { ...book, freePages: [{ first: 12, last: 12 }] };
	await store.notebooks.update(notebookId, 1, small);
	await plan('2027-05', ['cover']);
	const june = await plan('2027-06', ['cover']);
	const placed = await placedMonth(store, june.id, person);
	expect(placed?.run.unplaced).toEqual([{ wish: 'w0', reason: 'the notebook has no free page' }]);
	expect(await placedMonth(store, 'nobody', person)).toBeUndefined();
});
