import { afterEach, beforeEach, expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { drawPage } from '$lib/core/fit';
import { pageMarks } from '$lib/core/page';
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
		wishes: kinds.map((kind, index) =>
			kind === 'page' ? wholePage(`w${index}`) : { id: `w${index}`, kind }
		)
	});

/** A wish that takes a page, whatever else there is. */
function wholePage(id: string) {
	return { id, kind: 'notes', size: { w: 28, h: 40 } };
}

test('months follow one another in the book, whatever order they were planned in', async () => {
	await plan('2027-06', ['page']);
	await plan('2027-05', ['page', 'page']);
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
		wishes: [wholePage('a'), { ...wholePage('b'), size: { w: 26, h: 40 } }],
		cuts: [{ id: 'door', kind: 'strip', leaves: { first: 13, last: 13 }, amount: 2 }]
	});
	const june = await plan('2027-06', ['brain-dump']);
	const placed = await placedMonth(store, june.id, person);
	expect(placed?.plan.earlierCuts).toHaveLength(1);
	const [dump] = placed?.run.blocks ?? [];
	expect(dump?.pieces[0]).toMatchObject({ page: 14, rect: { x: 2, w: 26 } });
});

test('a deleted month leaves its pages to the others', async () => {
	const may = await plan('2027-05', ['page']);
	const june = await plan('2027-06', ['page']);
	expect((await placedMonth(store, june.id, person))?.run.pages[0]?.number).toBe(13);
	await store.months.setDeleted(may.id, true);
	expect((await placedMonth(store, june.id, person))?.run.pages[0]?.number).toBe(12);
	expect(await placedMonth(store, may.id, person)).toBeUndefined();
});

test('what a later month has drawn is closed to an earlier one that grows', async () => {
	const may = await plan('2027-05', ['page']);
	const june = await plan('2027-06', ['page']);
	const placed = await placedMonth(store, june.id, person);
	if (!placed) throw new Error('June is not there');
	const drawn = drawPage(placed.plan, placed.run, undefined, 13);
	await store.months.update(june.id, 1, { ...placed.record, drawn });
	await store.months.update(may.id, 1, { ...may, wishes: [wholePage('a'), wholePage('b')] });
	const grown = await placedMonth(store, may.id, person);
	expect(grown?.run.blocks.map(({ pieces }) => pieces[0].page)).toEqual([12, 14]);
	const after = await placedMonth(store, june.id, person);
	expect(after?.run.blocks.map(({ pieces }) => pieces[0].page)).toEqual([13]);
});

test('what is drawn stays as it was drawn, whatever becomes of the month and the hand', async () => {
	const may = await plan('2027-05', ['habits']);
	const placed = await placedMonth(store, may.id, person);
	if (!placed) throw new Error('May is not there');
	const [page] = placed.run.pages;
	const before = pageMarks(placed.plan, placed.run, page?.number ?? 0);
	const drawn = drawPage(placed.plan, placed.run, undefined, page?.number ?? 0);
	await store.months.update(may.id, 1, { ...may, drawn, month: '2027-02', weekStart: 'sunday' });
	const hand = { ...person.hand, lettersPerSquare: 0.5 };
	const after = await placedMonth(store, may.id, { locale: 'de', hand });
	if (!after) throw new Error('February is not there');
	expect(pageMarks(after.plan, after.run, page?.number ?? 0)).toEqual(before);
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
