import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { defaultHand } from '$lib/core/hand';
import { openStore, type Store } from '../shelf/store';

let store: Store;
beforeEach(async () => {
	store = await openStore(':memory:');
});
afterEach(() => store.close());

describe('the hand', () => {
	test('is the usual one until it is measured, then what was measured last', async () => {
		expect(await store.person.hand()).toEqual(defaultHand);
		await store.person.setHand({ ...defaultHand, lettersPerSquare: 1.5 });
		await store.person.setHand({ ...defaultHand, lettersPerSquare: 3, lineHeight: 2 });
		expect(await store.person.hand()).toMatchObject({ lettersPerSquare: 3, lineHeight: 2 });
	});
});

describe('the language', () => {
	test('is the browser’s until one is chosen, and again when the choice is taken back', async () => {
		expect(await store.person.language()).toBeUndefined();
		await store.person.setLanguage('fi');
		expect(await store.person.language()).toBe('fi');
		await store.person.setLanguage('');
		expect(await store.person.language()).toBeUndefined();
	});
});

describe('printers', () => {
	test('are kept by name; measuring one again replaces its bars', async () => {
		await store.person.setPrinter('Hall', { acrossMm: 98.5, downMm: 99 });
		await store.person.setPrinter('Attic', { acrossMm: 100, downMm: 100 });
		await store.person.setPrinter('Hall', { acrossMm: 99.2, downMm: 99.4 });
		const printers = await store.person.printers();
		expect(printers.map(({ name, acrossMm, downMm }) => [name, acrossMm, downMm])).toEqual([
			['Attic', 100, 100],
			['Hall', 99.2, 99.4]
		]);
		await store.person.removePrinter(printers[0]?.id ?? '');
		expect(await store.person.printers()).toHaveLength(1);
	});
});

describe('kinds of one’s own', () => {
	const wish = {
		id: 'x',
		kind: 'exercise-log',
		title: 'Sourdough log',
		rules: { table: { entries: 31 } }
	};

	test('are kept with everything a wish of them starts with', async () => {
		const made = await store.kinds.create('Sourdough log', wish);
		expect(await store.kinds.all()).toEqual([{ id: made.id, name: 'Sourdough log', wish }]);
	});

	test('are renamed, deleted and brought back', async () => {
		const { id } = await store.kinds.create('Sourdough log', wish);
		expect(await store.kinds.rename(id, 'Loaves')).toBe(true);
		expect(await store.kinds.setDeleted(id, true)).toBe(true);
		expect(await store.kinds.all()).toEqual([]);
		await store.kinds.setDeleted(id, false);
		expect((await store.kinds.all()).map(({ name }) => name)).toEqual(['Loaves']);
		expect(await store.kinds.rename('nobody', 'x')).toBe(false);
		expect(await store.kinds.setDeleted('nobody', true)).toBe(false);
	});
});
