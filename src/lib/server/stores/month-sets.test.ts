import { expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { openStore } from '../shelf/store';

test('a set is kept, deleted and brought back; what comes every year is kept beside it', async () => {
	const store = await openStore(':memory:');
	try {
		const book = await store.notebooks.create(a5);
		const wishes = [{ id: 'h', kind: 'habits', items: [{ name: 'Walk' }] }];
		const month = {
			month: '2027-05',
			weekStart: 'monday' as const,
			aim: 'balanced' as const,
			wishes
		};
		await store.months.create({ ...month, notebookId: book.id });
		const { id } = await store.sets.create('At sea', month);
		expect(await store.sets.all()).toEqual([
			{ id, name: 'At sea', deleted: false, content: month }
		]);
		expect(await store.sets.setDeleted(id, true)).toBe(true);
		expect((await store.sets.all()).map(({ deleted }) => deleted)).toEqual([true]);
		expect(await store.sets.setDeleted('nobody', true)).toBe(false);
		expect(await store.person.yearly()).toEqual([]);
		const yearly = [{ month: 12, day: 24, text: 'Grandmother’s birthday' }];
		await store.person.setYearly(yearly);
		expect(await store.person.yearly()).toEqual(yearly);
	} finally {
		store.close();
	}
});
