import fc from 'fast-check';
import { expect, test } from 'vitest';
import { allWishes, withChanged, type Wish } from '../../wish';
import { monthChanges } from './month-changes';
import type { KeptMonth } from './plan';

const wish = (id: string, more: Partial<Wish> = {}): Wish => ({ id, kind: 'notes', ...more });
const month: KeptMonth = {
	month: '2027-05',
	weekStart: 'monday',
	aim: 'balanced',
	wishes: [wish('cover'), wish('board', { members: [wish('tasks'), wish('notes')] }), wish('mood')]
};
const ids = (wishes: readonly Wish[]) => wishes.map(({ id }) => id);

test('a state and itself differ in nothing, whatever the order of fields', () => {
	const turned = month.wishes.map(({ id, kind, ...more }) => ({ ...more, kind, id }));
	expect(monthChanges(month, { ...month, wishes: turned })).toEqual({
		added: [],
		removed: [],
		changed: [],
		settings: [],
		moved: false
	});
});

test('a member that changes is told by itself, not as its host', () => {
	const wishes = withChanged(month.wishes, 'tasks', (one) => ({ ...one, title: 'To do' }));
	const told = monthChanges(month, { ...month, wishes, aim: 'roomiest' });
	expect(ids(told.changed)).toEqual(['tasks']);
	expect(told.settings).toEqual(['aim']);
	expect(told.moved).toBe(false);
});

test('what came and went adds up, whatever was taken away and put in', () => {
	const some = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'));
	fc.assert(
		fc.property(some, some, (before, after) => {
			const of = (names: readonly string[]) => ({ ...month, wishes: names.map((id) => wish(id)) });
			const { added, removed, changed, moved } = monthChanges(of(before), of(after));
			expect(allWishes(of(before).wishes).length + added.length - removed.length).toBe(
				after.length
			);
			expect(changed).toEqual([]);
			const both = (names: readonly string[], others: readonly string[]) =>
				names.filter((name) => others.includes(name));
			expect(moved).toBe(both(before, after).join() !== both(after, before).join());
		})
	);
});
